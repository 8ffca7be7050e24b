'use client'

import { Input, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useMemo, useState, type ReactNode } from 'react'
import { deltaE00 } from '@/core/colour/deltaE00'
import { hexToLab, labToLch } from '@/core/colour/lab'
import { layeredReflectance, type Film } from '@/core/colour/film'
import { hexOfReflectance } from '@/core/colour/paintedOut'
import { reflectanceFromHex } from '@/core/colour/reflectance'
import { showOnScreen } from '@/core/colour/gamut'
import { needsPigmentCare } from '@/core/paint/pigments'
import { MEDIUM_KINDS, type MediumKind } from '@/core/paint/properties'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import type { UnitSystem } from '@/core/quantity/parse'
import { wetDryShift, wetOf } from '@/core/colour/wetDry'
import type { DriedPair } from '@/core/colour/driedIn'
import { sureWords } from '@/core/colour/sureWords'
import type { Material } from '@/db/materials/mixable'
import type { WetDryRow } from '@/db/formulas/formulas'
import { rulesOf, type RulesRow } from '@/db/people/houseRules'
import { EmptyState, Notice } from '@/ui/frame/Notice'
import { readVolume } from '@/ui/forms/QuantityInput'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import { pairsOf } from '../shown'
import { TargetPicker } from '../target/TargetPicker'
import type { Coloured, Target } from '../target/target'
import { inUnit, formulaView, type Row, type Unit } from './deskDraft'
import { InThePour } from './InThePour'
import { MixPicture } from './MixPicture'
import { PartsTable } from './PartsTable'
import { SaveFormula, type Kept } from './SaveFormula'
import styles from './desk.module.css'

/** Share of medium taken for the wet look: 2 : 1. */
const USUAL_MEDIUM = 2 / 3

export interface DeskStart {
  readonly rows: readonly Row[]
  readonly target: Target | undefined
}

/** What a film looks like over a dry ground of another colour. */
const lookOver = (film: Film, groundHex: string) =>
  hexOfReflectance(layeredReflectance([film], reflectanceFromHex(groundHex)))

/** A formula: what colour do these make, how sure is that, and how does it stand against the target. */
export function FormulaDesk({
  paints,
  start,
  studio,
  kept,
  wetDry,
  rules,
  dried,
  discontinued,
  currency,
  units,
  children,
}: {
  paints: readonly Material[]
  start: DeskStart
  studio: readonly Coloured[]
  kept: Kept | undefined
  wetDry: readonly WetDryRow[]
  rules: RulesRow
  /** Mixes painted out in a medium, against what their paints come to. */
  dried: readonly DriedPair[]
  discontinued: readonly { id: string; label: string }[]
  currency: string
  units: UnitSystem
  /** What stands below the picture: versions and the like. */
  children?: ReactNode
}) {
  const [rows, setRows] = useState<readonly Row[]>(start.rows)
  const [unit, setUnit] = useState<Unit>('parts')
  const [target, setTarget] = useState(start.target)
  const [batch, setBatch] = useState(units === 'us' ? '4 fl oz' : '100 ml')
  const [film, setFilm] = useState(1)
  const [groundKey, setGroundKey] = useState<string>()
  const [medium, setMedium] = useState<MediumKind | ''>('pouring medium')
  const byId = useMemo(() => new Map(paints.map((p) => [p.id, p])), [paints])
  const typedBatch = readVolume(batch, units)
  const batchUl = typedBatch.value ?? 100_000
  const { paint: dropUl } = useDropSizes()
  const view = useMemo(
    () => formulaView(rows, unit, batchUl, byId, film, dropUl),
    [rows, unit, batchUl, byId, film, dropUl],
  )
  const { used, prediction } = view
  const house = useMemo(() => rulesOf(rules), [rules])
  const shift = useMemo(() => wetDryShift(pairsOf(wetDry), medium || null, medium ? USUAL_MEDIUM : 0), [wetDry, medium])
  const ground = studio.find((c) => `${c.kind}:${c.id}` === groundKey)
  const overGround =
    prediction && ground
      ? { label: ground.label, ground: ground.hex, hex: lookOver(prediction.film, ground.hex) }
      : undefined
  const wetHex = prediction ? showOnScreen(wetOf(prediction.lab, shift)).hex : undefined
  const sure = prediction
    ? sureWords(
        prediction,
        used.map((u) => u.material.name),
      )
    : undefined
  // The very version that was painted out needs no estimate.
  const painted =
    kept?.dryHex && prediction && JSON.stringify(rows) === JSON.stringify(start.rows)
      ? deltaE00(prediction.lab, hexToLab(kept.dryHex))
      : undefined
  const pigments = [...new Set(used.flatMap((u) => u.material.pigments))]
  const ids = used.map((u) => u.material.id).join(',')
  const parts = used.map((u) => Number(u.parts.toPrecision(6))).join(',')
  if (paints.length === 0)
    return (
      <EmptyState title="There is no paint to mix">
        Bring your paints in first.
        <br />
        <Link className="go" href="/paints/import">
          Bring in a list
        </Link>
      </EmptyState>
    )
  return (
    <div className="wide-left">
      <div className="grid">
        <section aria-label="Mixed colour">
          <MixPicture used={used} prediction={prediction} wetHex={wetHex} target={target} over={overGround} />
        </section>
        <section className="panel" aria-label="What it will be">
          {prediction && sure ? (
            <dl className="facts">
              <dt>How sure</dt>
              <dd>
                {painted === undefined
                  ? sure.how
                  : `painted out: the real swatch lies ΔE00 ${painted.toFixed(1)} from what is computed`}
                {sure.next && painted === undefined ? <small className="muted said-under">{sure.next}</small> : null}
              </dd>
              <dt>Dry</dt>
              <dd>
                {prediction.hex}, lightness {prediction.lab[0].toFixed(0)}, chroma{' '}
                {labToLch(prediction.lab)[1].toFixed(0)}, hue {labToLch(prediction.lab)[2].toFixed(0)}°
                {prediction.clipped ? ', more vivid than the screen can show' : ''}
              </dd>
              <dt>Wet</dt>
              <dd>
                <span className="row flush">
                  lighter by about {shift.darker.toFixed(1)} in
                  <Select
                    size="small"
                    aria-label="What carries it"
                    value={medium}
                    onChange={setMedium}
                    className="min200"
                    options={[
                      { value: '', label: 'nothing, paint alone' },
                      ...MEDIUM_KINDS.map((k) => ({ value: k, label: k })),
                    ]}
                  />
                </span>
                <small className="muted">
                  {shift.pairs
                    ? `learned from ${shift.pairs} wet and dry pairs`
                    : 'start values of Fika; no pair of this studio yet'}
                </small>
              </dd>
              <dt>Film</dt>
              <dd>
                <Select
                  size="small"
                  aria-label="How thick it lies"
                  value={film}
                  onChange={setFilm}
                  options={[
                    { value: 0.4, label: 'thin' },
                    { value: 1, label: 'usual' },
                    { value: 2, label: 'thick' },
                  ]}
                />{' '}
                {prediction.hidesAt === undefined
                  ? 'never hides'
                  : prediction.hidesAt > 1.05
                    ? `hides from ${prediction.hidesAt.toFixed(1)} usual films on`
                    : 'hides in a usual film'}
                , {prediction.sheen}
                {prediction.sheens.length > 1
                  ? `: ${prediction.sheens.map((s) => `${Math.round(100 * s.share)} % ${s.sheen}`).join(', ')}`
                  : ''}
              </dd>
              <InThePour used={used} rules={house} medium={medium || null} dried={dried} />
              <dt>Laid over</dt>
              <dd>
                <Select
                  size="small"
                  showSearch
                  allowClear
                  optionFilterProp="label"
                  aria-label="Laid over"
                  placeholder="the card"
                  value={groundKey}
                  onChange={setGroundKey}
                  popupMatchSelectWidth={false}
                  className="min200"
                  options={studio.map((c) => ({ value: `${c.kind}:${c.id}`, label: `${c.label} (${c.kind})` }))}
                />
              </dd>
              <dt>Pigments</dt>
              <dd>{pigments.length ? pigments.join(' ') : 'not named'}</dd>
              <dt>Cost</dt>
              <dd>
                {view.perMl === null
                  ? 'a price is missing'
                  : `${formatMoney(view.perMl, currency, 3)} a ml, ${formatMoney((view.perMl * view.batchUl) / 1000, currency)} for ${formatMl(view.batchUl)}`}
              </dd>
            </dl>
          ) : (
            <p className="muted flush">Choose paints and give them amounts: the colour is worked out as you type.</p>
          )}
          {needsPigmentCare(pigments) ? (
            <Notice kind="warning">
              A pigment in it needs care: gloves, no sanding or spraying, nothing down the drain. The product’s label
              and local rules come first.
            </Notice>
          ) : null}
        </section>
        {used.length > 1 ? (
          <section className="panel" aria-label="In steps">
            <h2>{formatMl(view.batchUl)} in steps</h2>
            <ol className={styles.steps}>
              {view.steps.map((s, i) => (
                <li key={i}>
                  <b className="num">{formatMl(s.ul)}</b> {byId.get(s.id)!.name}
                  {s.look ? <span className="muted"> stir, look, then go on</span> : null}
                </li>
              ))}
            </ol>
          </section>
        ) : null}
        {children}
      </div>
      <div className="grid">
        <section className="panel" aria-label="Amounts">
          <PartsTable
            rows={rows}
            unit={unit}
            view={view}
            paints={paints}
            onRows={setRows}
            onUnit={(to) => {
              if (view.used.length) setRows(inUnit(view, to, dropUl))
              setUnit(to)
            }}
          />
          {view.problems.map((p) => (
            <Notice key={p} kind="warning">
              {p}
            </Notice>
          ))}
          {unit === 'parts' ? (
            <label className="field after">
              <span>Paint in the batch</span>
              <Input
                value={batch}
                onChange={(e) => setBatch(e.target.value)}
                status={typedBatch.sentence ? 'error' : ''}
              />
              <small className="muted">{typedBatch.sentence ?? ''}</small>
            </label>
          ) : null}
          {used.length ? (
            <div className="tools after">
              <Link
                className="go second"
                href={`/bench?paints=${ids}&parts=${parts}${kept ? `&formula=${kept.id}.${kept.version}` : ''}`}
              >
                Mix it at the bench
              </Link>
              {target ? null : (
                <Link className="go second" href={`/formulas/match?hex=${prediction!.hex.slice(1)}`}>
                  Match this colour
                </Link>
              )}
            </div>
          ) : null}
        </section>
        <section className="panel" aria-label="Target">
          <h2>Target</h2>
          <TargetPicker target={target} onTarget={setTarget} studio={studio} />
        </section>
        <SaveFormula
          kept={kept}
          parts={used.map((u) => ({ paintId: u.material.id, parts: Number(u.parts.toPrecision(6)) }))}
          targetHex={target?.hex ?? null}
          discontinued={discontinued}
        />
      </div>
    </div>
  )
}
