'use client'

import { Checkbox, Input } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { offsText } from '@/core/colour/sureWords'
import { useTechniques } from '@/ui/hooks/useTechniques'
import { formatFlOz, formatMl } from '@/core/quantity/format'
import type { UnitSystem } from '@/core/quantity/parse'
import { barsAdditive } from '@/core/vessel/additives'
import { factsFromTexts, needsOf, type RackFacts } from '@/core/vessel/needs'
import { dayAndTime } from '@/ui/tables/dates'
import type { BottleFull } from '@/db/bottles/read'
import type { PlanWithParts } from '@/db/plans/read'
import type { KeptRehearsal } from '@/db/rehearsals/read'
import { Chip } from '@/ui/pictures/Drawdown'
import { RehearsalPicture } from '@/ui/pictures/RehearsalPicture'
import { ToldLine } from '@/ui/tables/ToldLine'
import { Notice } from '@/ui/frame/Notice'
import { readVolume } from '@/ui/forms/QuantityInput'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import { useSend } from '@/ui/hooks/useSend'
import { pourAction } from './actions'
import { BeginRun } from './BeginRun'

const BEFORE = [
  'Surface level, pins under, back taped',
  'Gloves on, sheet on the table, air moving',
  'Every bottle shaken or stirred, and its ribbon checked',
] as const

/** The day of a plan: step by step beside the wet surface; or what really went in, booked at once with one tap. */
export function PourSheet({
  plan,
  bottles,
  rehearsals,
  units,
  now,
  zone,
}: {
  plan: PlanWithParts
  bottles: (BottleFull & Pick<RackFacts, 'roomUl'>)[]
  rehearsals: readonly KeptRehearsal[]
  units: UnitSystem
  now: string
  zone: string
}) {
  const [ids] = useState(() => ({ pieceId: uuidv7(), vesselId: uuidv7() }))
  const techniques = useTechniques()
  const parts = plan.parts.flatMap((p) => (p.of.kind === 'bottle' ? [{ ...p, vesselId: p.of.id }] : []))
  const unmixed = plan.parts.filter((p) => p.of.kind !== 'bottle')
  const [amounts, setAmounts] = useState(() => parts.map((p) => `${Math.floor(p.ul / 100) / 10} ml`))
  const [checked, setChecked] = useState<ReadonlySet<number>>(new Set())
  const { send, pending, refusal } = useSend<{ pieceId: string }>()
  const router = useRouter()
  const dropSizes = useDropSizes()
  const byId = new Map(bottles.map((b) => [b.id, b]))
  const reads = amounts.map((a) => readVolume(a, units))
  const total = reads.reduce((s, r) => s + (r.value ?? 0), 0)
  const wants = new Map<string, number>()
  parts.forEach((p, i) => wants.set(p.vesselId, (wants.get(p.vesselId) ?? 0) + (reads[i]?.value ?? 0)))
  const lack = (vesselId: string) => Math.max(0, (wants.get(vesselId) ?? 0) - (byId.get(vesselId)?.ul ?? 0))
  const unreadable = reads.find((r) => r.sentence)?.sentence
  const technique = techniques.find(plan.technique)
  const wanted = technique?.levelTimeS
  const book = (findRest = false) =>
    send(
      (requestId) =>
        pourAction({
          requestId,
          planId: plan.id,
          ...ids,
          takes: parts.map((p, i) => ({ vesselId: p.vesselId, ul: reads[i]?.value ?? 0 })),
          findRest,
        }),
      ({ pieceId }) => router.push(`/wall/${pieceId}`),
      'Poured and booked',
    )
  const toggle = (i: number) => setChecked((c) => new Set(c.has(i) ? [...c].filter((x) => x !== i) : [...c, i]))
  return (
    <>
      <div className="head">
        <h1>
          {plan.title} <span className="sub">{techniques.name(plan.technique)}</span>
        </h1>
        <Link className="go second" href={`/plan/${plan.id}`}>
          Change the plan
        </Link>
        <Link className="go second" href={`/plan/${plan.id}/rehearse`}>
          Rehearse
        </Link>
      </div>
      <div className="wide-left">
        <section className="panel" aria-label="Bottles">
          {plan.pouredAt ? null : (
            <>
              <BeginRun planId={plan.id} />
              <h2 className="after">Or book it at once</h2>
            </>
          )}
          <table className="sheet said">
            <thead>
              <tr>
                <th>Ready</th>
                <th>Bottle</th>
                <th>For</th>
                <th className="num">Holds</th>
                <th className="w150">Goes in</th>
              </tr>
            </thead>
            <tbody>
              {parts.map((p, i) => {
                const b = byId.get(p.vesselId)
                const needs = b
                  ? needsOf(
                      { ...factsFromTexts(b, Date.parse(now), techniques), roomUl: b.roomUl },
                      Date.parse(now),
                      (at) => dayAndTime(at, zone),
                      dropSizes.water,
                    ).filter((n) => n.kind !== 'low')
                  : []
                return (
                  <tr key={i} style={{ height: 66 }}>
                    <td>
                      <Checkbox
                        checked={checked.has(i)}
                        onChange={() => toggle(i)}
                        aria-label={`${p.label} is ready`}
                        className="big-check"
                      />
                    </td>
                    <td>
                      <span className="chipline">
                        <Chip hex={p.hex} sheen={p.sheen} size={44} />
                        <span>
                          <Link href={`/rack/${p.vesselId}`}>{p.label}</Link>
                          {needs.slice(0, 2).map((n) => (
                            <b key={n.kind} className="block fine" title={n.todo}>
                              {n.short}
                            </b>
                          ))}
                          {b?.hasAdditive && barsAdditive(p.use) ? (
                            <b className="block fine">
                              {barsAdditive(p.use)}: it holds some. Take another {p.use}.
                            </b>
                          ) : null}
                          {lack(p.vesselId) > 0 && !plan.pouredAt ? (
                            <Link
                              href={`/bench?like=${p.vesselId}&ul=${lack(p.vesselId)}`}
                              style={{ display: 'block', fontSize: '0.95rem', fontWeight: 650 }}
                            >
                              Short by {formatMl(lack(p.vesselId))}: mix it
                            </Link>
                          ) : null}
                        </span>
                      </span>
                    </td>
                    <td>{p.use}</td>
                    <td className="num">{formatMl(b?.ul ?? 0)}</td>
                    <td>
                      <Input
                        size="large"
                        aria-label={`Goes in: ${p.label}, ${p.use}`}
                        value={amounts[i]!}
                        {...(reads[i]?.sentence ? { status: 'error' as const } : {})}
                        onChange={(e) => setAmounts((a) => a.map((x, k) => (k === i ? e.target.value : x)))}
                      />
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </table>
          <p className="muted under">
            In all {formatMl(total)} · {formatFlOz(total)}. Write what really goes in; what is booked leaves the bottles
            by exactly that. {offsText(parts.flatMap((p) => byId.get(p.vesselId) ?? []))}
          </p>
          {unmixed.length ? (
            <Notice kind="warning">
              Not mixed yet: {unmixed.map((p) => `${p.label}, ${formatMl(p.ul)}`).join('; ')}. Mix it, and put the
              bottle in its place in the plan; or pour without it.
            </Notice>
          ) : null}
          {parts.length === 0 ? (
            <Notice>This plan names no bottle yet. Put bottles into its cups, then pour.</Notice>
          ) : null}
          {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
          {refusal?.code === 'NotEnough' && !unreadable ? (
            <button
              type="button"
              className="go second"
              style={{ minHeight: 56, width: '100%', marginTop: 14 }}
              onClick={() => book(true)}
            >
              It is poured: book what was more as found in the bottle
            </button>
          ) : null}
          <button
            type="button"
            className="go second"
            style={{ minHeight: 64, width: '100%', fontSize: '1.25rem', marginTop: 14 }}
            disabled={pending || Boolean(unreadable) || Boolean(plan.pouredAt) || parts.length === 0}
            onClick={() => book()}
          >
            {plan.pouredAt ? 'Poured already' : pending ? 'Booking…' : `Book the pour, ${formatMl(total)}`}
          </button>
        </section>
        <div className="grid">
          {rehearsals[0] ? (
            <section className="panel" aria-label="As rehearsed">
              <h2>As rehearsed</h2>
              <RehearsalPicture rehearsal={rehearsals[0]} className="fit" />
              <p className="close">
                <ToldLine told={rehearsals[0].told} />{' '}
                {rehearsals.length > 1 ? (
                  <Link href={`/plan/${plan.id}/rehearse`}>All {rehearsals.length} that were kept</Link>
                ) : null}
              </p>
            </section>
          ) : null}
          <section className="panel">
            <h2>Before</h2>
            {BEFORE.map((b) => (
              <p key={b} className="close">
                <Checkbox className="big-check">{b}</Checkbox>
              </p>
            ))}
            {technique?.tools.length ? (
              <p className="close">
                <Checkbox className="big-check">At hand: {technique.tools.join(', ')}</Checkbox>
              </p>
            ) : null}
            {technique?.waits.map((w) => (
              <p key={w.what} className="close">
                {w.what[0]!.toUpperCase() + w.what.slice(1)}: about {w.minutes} min.
              </p>
            ))}
            <p className="muted after">
              {wanted ? `The ribbon wants to be level again in ${wanted[0]} – ${wanted[1]} s. ` : ''}Thicker by now:
              water by drops, stir, look again.
            </p>
          </section>
          <Notice kind="warning">
            If you torch: away from alcohol, aerosols, sheeting and just-sprayed work, never left lit, an extinguisher
            near. Painted vessels: nothing where food or lips touch. Kitchen tools never go back to the kitchen.
            Children and pets out. Follow product labels, local codes and licensed practice.
          </Notice>
        </div>
      </div>
    </>
  )
}
