'use client'

import { readTypedIfAny } from '@/core/quantity/typed'
import { Button, Input, Select, Tabs } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import { START_BANDS, type Band } from '@/core/consistency/levelTime'
import { schoolsOf } from '@/core/mix/houseRules'
import { type School, RATIO_BY_BODY } from '@/core/mix/schools'
import { BODIES, BODY_WORDS, type Body } from '@/core/paint/properties'
import { parseNumber } from '@/core/quantity/number'
import { parseRatio } from '@/core/quantity/ratio'
import type { Material } from '@/db/materials/mixable'
import { rulesOf, type RulesRow } from '@/db/people/houseRules'
import type { NamedRecipe } from '@/db/recipes/recipes'
import { ago } from '@/ui/tables/dates'
import { Chip } from '@/ui/pictures/Drawdown'
import { Mound } from '@/ui/pictures/Mound'
import { EmptyState, Notice } from '@/ui/frame/Notice'
import { BenchProviders } from '@/ui/frame/Providers'
import { useSend } from '@/ui/hooks/useSend'
import { BenchNav } from '../BenchNav'
import {
  bandsAction,
  bodyRatioAction,
  paintRatioAction,
  putRecipeAwayAction,
  schoolAction,
  rackWarmthAction,
} from './actions'
import type { RecipeBody } from '@/db/recipes/schema'
import recipesStyles from './recipes.module.css'
import benchStyles from '../bench.module.css'

interface Props {
  recipes: NamedRecipe<RecipeBody>[]
  rules: RulesRow
  materials: Material[]
  now: string
}

/** Recipes with a name, and the house rules of mixing: ratios, schools, bands, and how warm the rack stands. */
export function RecipeBook({ recipes, rules, materials, now }: Props) {
  const byId = new Map(materials.map((m) => [m.id, m]))
  return (
    <BenchProviders>
      <div className="head">
        <h1>
          Bench <span className="sub">recipes, and the rules of the house</span>
        </h1>
      </div>
      <BenchNav here="/bench/recipes" />
      <Tabs
        items={[
          {
            key: 'recipes',
            label: `Recipes, ${recipes.length}`,
            children: <Recipes recipes={recipes} byId={byId} now={now} />,
          },
          { key: 'ratios', label: 'Ratios', children: <Ratios rules={rules} materials={materials} /> },
          { key: 'schools', label: 'Schools and bases', children: <Schools rules={rules} /> },
          { key: 'bands', label: 'Bands and shelf', children: <BandsAndShelf rules={rules} /> },
        ]}
      />
    </BenchProviders>
  )
}

function Recipes({
  recipes,
  byId,
  now,
}: {
  recipes: NamedRecipe<RecipeBody>[]
  byId: Map<string, Material>
  now: string
}) {
  const { send, pending, refusal } = useSend<null>()
  if (recipes.length === 0)
    return (
      <EmptyState title="No recipe kept yet">
        Mix something at the bench and keep its recipe there; every change is a version of its own.
        <br />
        <Link className="go" href="/bench">
          To the bench
        </Link>
      </EmptyState>
    )
  return (
    <ul className={recipesStyles.recipes}>
      {recipes.map((r) => {
        const { body, version } = r.versions[0]!
        return (
          <li key={r.id} className="panel">
            <div className="head close">
              <h2 className="flush push">{r.name}</h2>
              <Link className="go" href={`/bench?recipe=${r.id}.${version}`}>
                Mix it
              </Link>
            </div>
            <div className="chipline wrap">
              {body.paints.map((p) => (
                <span key={p.id} className="chipline">
                  <Chip hex={byId.get(p.id)?.hex ?? null} /> {byId.get(p.id)?.name ?? 'gone since'} {p.parts}
                </span>
              ))}
            </div>
            <p className="between">
              {body.ratio || 'house ratio'} ·{' '}
              {body.mediums.map((m) => `${byId.get(m.id)?.name ?? 'gone since'} ${m.parts}`).join(', ') || 'no medium'}
              {body.waterParts ? ` · water ${body.waterParts}` : ''}
              {body.drops.length
                ? ` · ${body.drops.map((d) => `${byId.get(d.id)?.name ?? 'gone since'} ${d.parts} drops for 100 ml`).join(', ')}`
                : ''}
            </p>
            {body.steps.length ? (
              <ol className={benchStyles.saidSteps}>
                {body.steps.map((s) => (
                  <li key={s}>{s}</li>
                ))}
              </ol>
            ) : null}
            <p className="muted flush">
              {r.versions.map((v) => (
                <span key={v.version} className="block">
                  <Link href={`/bench?recipe=${r.id}.${v.version}`}>Version {v.version}</Link>,{' '}
                  {ago(v.at, new Date(now))}
                  {v.by ? `, ${v.by}` : ''}
                  {v.note ? `: ${v.note}` : ''}
                </span>
              ))}
              <button
                type="button"
                className="plain"
                disabled={pending}
                onClick={() => send(() => putRecipeAwayAction({ id: r.id }))}
              >
                Put away
              </button>
            </p>
          </li>
        )
      })}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </ul>
  )
}

/** Reads a ratio, `medium : paint`. */
function ratioOf(text: string): { medium: number; paint: number } {
  const [medium = 0, paint = 0] = parseRatio(text)
  return { medium, paint }
}

function RatioRow({
  name,
  value,
  usual,
  onSave,
  hex,
}: {
  name: string
  value: string
  usual: string
  onSave: (ratio: { medium: number; paint: number } | null) => void
  hex?: string | null
}) {
  const [typed, setTyped] = useState(value)
  const [trouble, setTrouble] = useState<string>()
  const save = () => {
    const text = typed.trim()
    const read = readTypedIfAny(text, ratioOf)
    setTrouble(read.sentence)
    if (!read.sentence && text !== value) onSave(read.value ?? null)
  }
  return (
    <tr>
      <td>
        <span className="chipline">
          {hex === undefined ? null : <Chip hex={hex} />}
          {name}
        </span>
      </td>
      <td className="w190">
        <Input
          value={typed}
          aria-label={`Medium : paint for ${name}`}
          placeholder={usual}
          onChange={(e) => setTyped(e.target.value)}
          onBlur={save}
          onPressEnter={save}
        />
        {trouble ? <small role="alert">{trouble}</small> : null}
      </td>
      <td className="muted">{value ? 'house rule' : `usual ${usual}`}</td>
    </tr>
  )
}

function Ratios({ rules, materials }: { rules: RulesRow; materials: Material[] }) {
  const { send, refusal } = useSend<null>()
  const [adding, setAdding] = useState<string>()
  const paints = materials.filter((m) => m.kind === 'paint')
  const byId = new Map(paints.map((p) => [p.id, p]))
  const text = (r: { medium: number; paint: number } | undefined) => (r ? `${r.medium} : ${r.paint}` : '')
  const own = [
    ...rules.byPaint,
    ...(adding && !rules.byPaint.some((r) => r.paintId === adding) ? [{ paintId: adding, medium: 0, paint: 0 }] : []),
  ]
  return (
    <div className="two">
      <section className="panel">
        <h2>Medium : paint by body</h2>
        <table className="sheet">
          <tbody>
            {BODIES.map((b: Body) => (
              <RatioRow
                key={`${b} ${text(rules.byBody[b])}`}
                name={BODY_WORDS[b]}
                value={text(rules.byBody[b])}
                usual={text(RATIO_BY_BODY[b])}
                onSave={(ratio) => send(() => bodyRatioAction({ body: b, ratio }), undefined, 'Kept')}
              />
            ))}
          </tbody>
        </table>
        <p className="muted">Common practice, no published source. Empty a field, and the usual one is taken again.</p>
      </section>
      <section className="panel">
        <h2>A ratio of its own, by paint</h2>
        <table className="sheet">
          <tbody>
            {own.map((r) => {
              const paint = byId.get(r.paintId)
              return (
                <RatioRow
                  key={`${r.paintId} ${text(r)}`}
                  name={paint?.name ?? 'gone since'}
                  hex={paint?.hex ?? null}
                  value={r.paint ? text(r) : ''}
                  usual={text(RATIO_BY_BODY[paint?.body ?? 'soft'])}
                  onSave={(ratio) =>
                    send(
                      () => paintRatioAction({ paintId: r.paintId, ratio: ratio && { ...ratio, note: '' } }),
                      () => setAdding(undefined),
                      'Kept',
                    )
                  }
                />
              )
            })}
          </tbody>
        </table>
        <Select
          showSearch
          optionFilterProp="label"
          aria-label="Paint with a ratio of its own"
          placeholder="Add a paint"
          value={null}
          className="wide under"
          onChange={(v: string | null) => setAdding(v ?? undefined)}
          options={paints.map((p) => ({ value: p.id, label: p.name }))}
        />
      </section>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </div>
  )
}

function Schools({ rules }: { rules: RulesRow }) {
  const schools = schoolsOf(rulesOf(rules))
  return (
    <ul className={recipesStyles.recipes}>
      {schools.map((s) => (
        <SchoolCard key={`${s.key} ${s.lines.map((l) => l.parts).join()} ${s.steps.length}`} school={s} />
      ))}
    </ul>
  )
}

function SchoolCard({ school }: { school: School }) {
  const [parts, setParts] = useState(school.lines.map((l) => String(l.parts)))
  const [steps, setSteps] = useState(school.steps.join('\n'))
  const { send, pending, refusal } = useSend<null>()
  const changed = parts.some((p, i) => p !== String(school.lines[i]!.parts)) || steps !== school.steps.join('\n')
  const save = () =>
    send(
      () =>
        schoolAction({
          key: school.key,
          school: {
            lines: school.lines.map((l, i) => ({ what: l.what, parts: parseNumber(parts[i]!) })),
            steps: steps.split('\n').filter((s) => s.trim()),
          },
        }),
      undefined,
      'Kept',
    )
  return (
    <li className="panel">
      <div className="head close">
        <h2 className="flush push">{school.name}</h2>
        {changed ? (
          <Button onClick={save} loading={pending}>
            Keep
          </Button>
        ) : school.source === 'house rule' ? (
          <Button onClick={() => send(() => schoolAction({ key: school.key, school: null }))} loading={pending}>
            As usual
          </Button>
        ) : null}
      </div>
      {school.lines.map((l, i) => (
        <div key={i} className="row">
          <Input
            value={parts[i]!}
            inputMode="decimal"
            className="w90"
            aria-label={`${school.name}: parts of ${l.what}`}
            onChange={(e) => setParts(parts.map((p, k) => (k === i ? e.target.value : p)))}
          />
          <span>{l.what}</span>
        </div>
      ))}
      <Input.TextArea
        value={steps}
        rows={Math.min(4, Math.max(1, school.steps.length))}
        aria-label={`${school.name}: steps`}
        placeholder="steps, one a line"
        onChange={(e) => setSteps(e.target.value)}
      />
      <small className="muted">{school.source}</small>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </li>
  )
}

function BandsAndShelf({ rules }: { rules: RulesRow }) {
  const [rows, setRows] = useState(rules.bands.map((b) => ({ name: b.name, fromS: String(b.fromS) })))
  const [shelf, setShelf] = useState(String(rules.rackC))
  const { send, pending, refusal } = useSend<null>()
  const set = (i: number, part: Partial<{ name: string; fromS: string }>) =>
    setRows(rows.map((r, k) => (k === i ? { ...r, ...part } : r)))
  const read = (r: { name: string; fromS: string }): Band => ({ name: r.name, fromS: parseNumber(r.fromS) ?? NaN })
  return (
    <div className="two">
      <section className="panel">
        <h2>Bands of consistency, thickest first</h2>
        {rows.map((r, i) => (
          <div key={i} className="row">
            <Mound levelTimeS={parseNumber(r.fromS) ?? 1} width={70} />
            <span className="grow">
              <Input
                value={r.name}
                maxLength={30}
                aria-label={`Name of band ${i + 1}`}
                onChange={(e) => set(i, { name: e.target.value })}
              />
            </span>
            from
            <Input
              value={r.fromS}
              inputMode="decimal"
              className="w90"
              aria-label={`Seconds of band ${i + 1}`}
              onChange={(e) => set(i, { fromS: e.target.value })}
            />
            s
          </div>
        ))}
        <div className="row">
          <Button
            type="primary"
            loading={pending}
            onClick={() => send(() => bandsAction({ bands: rows.map(read) }), undefined, 'Kept')}
          >
            Keep the bands
          </Button>
          <Button
            onClick={() => {
              setRows(START_BANDS.map((b) => ({ name: b.name, fromS: String(b.fromS) })))
              send(() => bandsAction({ bands: null }))
            }}
          >
            As usual
          </Button>
        </div>
        {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      </section>
      <section className="panel">
        <h2>How warm the rack stands</h2>
        <div className="row">
          <Input
            value={shelf}
            inputMode="numeric"
            className="w120"
            aria-label="How warm the rack stands"
            onChange={(e) => setShelf(e.target.value)}
          />{' '}
          °C
          <Button
            loading={pending}
            onClick={() =>
              send(
                () => rackWarmthAction({ rackC: parseNumber(shelf) }),
                undefined,
                'Kept; what keeps was worked out anew',
              )
            }
          >
            Keep
          </Button>
        </div>
        <p className="muted">Mixes keep by their water and medium; every 10 °C above 20 halve that, frost ends it.</p>
      </section>
    </div>
  )
}
