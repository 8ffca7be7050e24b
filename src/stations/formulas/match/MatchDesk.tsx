'use client'

import { Button, Checkbox, Input, Progress, Segmented, Select } from 'antd'
import { startTransition, useMemo, useRef, useState } from 'react'
import { rank, type Candidate } from '@/core/colour/match/rank'
import type { Matched } from '@/core/colour/match/match'
import { packOptics } from '@/core/colour/packOptics'
import type { Sheen } from '@/core/paint/properties'
import type { UnitSystem } from '@/core/quantity/parse'
import type { Material } from '@/db/materials/mixable'
import { EmptyState, Notice } from '@/ui/frame/Notice'
import { readVolume } from '@/ui/forms/QuantityInput'
import { useTray } from '@/ui/frame/tray'
import { formulaPaint, mixesLikePigment, perMlOf } from '../formulaPaint'
import { spectrumOfTarget, type Coloured, type Target } from '../target/target'
import { TargetPicker } from '../target/TargetPicker'
import { useSearch } from '../useSearch'
import { CandidateCard } from './CandidateCard'
import formulasStyles from '../formulas.module.css'
import matchStyles from './match.module.css'

const FROM = ['On hand', 'Tray', 'Drawer'] as const
type From = (typeof FROM)[number]

/** What was asked for when a search ran, so that its answer is drawn by that and not by what is typed since. */
interface Asked {
  readonly target: Target
  readonly pool: readonly Material[]
}

/** Hits a colour with the paints there are: candidates in the order one would try them. */
export function MatchDesk({
  paints,
  studio,
  start,
  currency,
  units,
}: {
  paints: readonly Material[]
  studio: readonly Coloured[]
  start: Target | undefined
  currency: string
  units: UnitSystem
}) {
  const [target, setTarget] = useState(start)
  const counted = paints.some((p) => (p.onHandUl ?? 0) > 0)
  const [from, setFrom] = useState<From>(counted ? 'On hand' : 'Drawer')
  const [most, setMost] = useState<1 | 2 | 3 | 4>(3)
  const [largest, setLargest] = useState(10)
  const [musts, setMusts] = useState<readonly string[]>([])
  const [bans, setBans] = useState<readonly string[]>([])
  const [flakes, setFlakes] = useState(false)
  const [volume, setVolume] = useState(units === 'us' ? '8 fl oz' : '240 ml')
  const tray = useTray()
  const onTray = useMemo(() => new Set(tray.map((t) => t.id)), [tray])
  const pool = useMemo(
    () =>
      paints.filter(
        (p) =>
          musts.includes(p.id) ||
          (!bans.includes(p.id) &&
            (flakes || mixesLikePigment(p)) &&
            (from === 'Drawer' || (from === 'Tray' ? onTray.has(p.id) : (p.onHandUl ?? 0) > 0))),
      ),
    [paints, musts, bans, flakes, from, onTray],
  )
  const { search, cancel, progress, trouble, found } = useSearch<Matched>()
  const [asked, setAsked] = useState<Asked>()
  const pending = useRef<Asked>(undefined)
  const typed = readVolume(volume, units)
  const run = () => {
    if (!target) return
    pending.current = { target, pool }
    const packed = pool.map((p) => p.optics ?? packOptics(formulaPaint(p).optics))
    void search(async (worker, onProgress) => {
      const mine = pending.current
      const said = await worker.match(
        spectrumOfTarget(target),
        packed,
        { most, musts: musts.map((id) => pool.findIndex((p) => p.id === id)), largestPart: largest },
        onProgress,
      )
      if (said?.ok) startTransition(() => setAsked(mine))
      return said
    })
  }
  const candidates = useMemo<Candidate[]>(() => {
    if (!found || !asked) return []
    const ranked = rank(
      found.whole,
      asked.pool.map((p) => ({ ...formulaPaint(p), pigments: p.pigments, perMl: perMlOf(p) })),
      (asked.target.sheen as Sheen | null) ?? undefined,
    )
    return ranked.slice(0, 12)
  }, [found, asked])
  const options = paints.map((p) => ({ value: p.id, label: p.maker ? `${p.name} · ${p.maker}` : p.name }))
  return (
    <div className={formulasStyles.match}>
      <section className="panel" aria-label="What to match">
        <h2>The colour</h2>
        <TargetPicker target={target} onTarget={setTarget} studio={studio} />
        <h2 className="below">From which paints</h2>
        <Segmented block options={[...FROM]} value={from} onChange={setFrom} aria-label="From which paints" />
        <p className="muted between">{pool.length} paints</p>
        <label className="field">
          <span>Must be in it</span>
          <Select
            mode="multiple"
            aria-label="Must be in it"
            optionFilterProp="label"
            value={[...musts]}
            onChange={setMusts}
            options={options}
            maxCount={4}
            placeholder="no paint"
            className="wide"
          />
        </label>
        <label className="field">
          <span>Must not be in it</span>
          <Select
            mode="multiple"
            aria-label="Must not be in it"
            optionFilterProp="label"
            value={[...bans]}
            onChange={setBans}
            options={options}
            placeholder="no paint"
            className="wide"
          />
        </label>
        <div className="two gap">
          <label className="field">
            <span>Up to</span>
            <Select
              aria-label="Up to how many paints"
              value={most}
              onChange={setMost}
              options={([1, 2, 3, 4] as const).map((n) => ({ value: n, label: n === 1 ? '1 paint' : `${n} paints` }))}
              className="wide"
            />
          </label>
          <label className="field">
            <span>Largest part</span>
            <Select
              aria-label="Largest part"
              value={largest}
              onChange={setLargest}
              options={[5, 10, 20, 40, 100].map((n) => ({ value: n, label: String(n) }))}
              className="wide"
            />
          </label>
        </div>
        <Checkbox checked={flakes} onChange={(e) => setFlakes(e.target.checked)}>
          Flakes and fluorescents too
        </Checkbox>
        <div className="tools after">
          {progress === undefined ? (
            <Button type="primary" size="large" disabled={!target} onClick={run}>
              Find formulas
            </Button>
          ) : (
            <>
              <Progress
                percent={Math.round(100 * progress)}
                className="fill"
                showInfo={false}
                strokeColor="#1c1c1c"
                aria-label="Searching"
              />
              <Button size="large" onClick={cancel}>
                Call it off
              </Button>
            </>
          )}
        </div>
        {trouble ? <Notice kind="warning">{trouble}</Notice> : null}
      </section>
      <section aria-label="Candidates">
        {candidates.length ? (
          <>
            <div className="row apart">
              <span className="grow muted" aria-live="polite">
                {candidates.length} ways, the one to try first on top. The left half of each disc is the target.
              </span>
              <label className="row flush">
                <span>for</span>
                <Input
                  aria-label="Mixed volume"
                  value={volume}
                  onChange={(e) => setVolume(e.target.value)}
                  className="w120"
                  status={typed.sentence ? 'error' : ''}
                />
              </label>
            </div>
            <ul className={matchStyles.candidates}>
              {candidates.map((c) => (
                <CandidateCard
                  key={c.set.join()}
                  candidate={c}
                  pool={asked!.pool}
                  target={asked!.target}
                  volumeUl={typed.value}
                  currency={currency}
                />
              ))}
            </ul>
          </>
        ) : (
          <EmptyState title={found ? 'Nothing comes near' : 'Which colour?'}>
            {found
              ? 'Allow more paints, larger parts, or take back a ban.'
              : 'Choose the colour on the left; the paints on hand are tried in every combination.'}
          </EmptyState>
        )}
      </section>
    </div>
  )
}
