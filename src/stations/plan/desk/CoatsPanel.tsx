'use client'

import { Button, Input, Select } from '@/ui/forms/still'
import { meanColour } from '@/core/colour/meanColour'
import { formatMl } from '@/core/quantity/format'
import { COAT_ROLES, COAT_START, type CoatRole } from '@/core/plan/uses'
import type { UnitSystem } from '@/core/quantity/parse'
import type { Technique } from '@/core/technique/technique'
import { suitsAsBase } from '@/core/vessel/suitsAsBase'
import { Chip } from '@/ui/pictures/Drawdown'
import { newCoat, type DraftCoat, type DraftSurface } from './draft'
import { PointsField } from './PointsField'
import { SourceSelect } from './SourceSelect'
import { colourOf, type DeskColour, type Worked } from './workOut'
import styles from './desk.module.css'

const upper = (s: string) => s[0]!.toUpperCase() + s.slice(1)

/** What is laid on beside the cups: each coat by share and film, or by an amount. */
export function CoatsPanel({
  coats,
  surfaces,
  technique,
  worked,
  colours,
  units,
  newId,
  change,
}: {
  coats: readonly DraftCoat[]
  surfaces: readonly DraftSurface[]
  technique: Technique
  worked: Worked | undefined
  colours: ReadonlyMap<string, DeskColour>
  units: UnitSystem
  newId: () => string
  change: (coats: DraftCoat[]) => void
}) {
  const set = (id: string, part: Partial<DraftCoat>) => change(coats.map((c) => (c.id === id ? { ...c, ...part } : c)))
  const add = (role: CoatRole) => change([...coats, newCoat(newId(), role, null)])
  const split = surfaces.some((s) => s.split)
  const wanted = technique.needs.filter((r) => !coats.some((c) => c.role === r))
  return (
    <section className="panel" aria-label="Coats">
      <h2>Apart from the cups</h2>
      {coats.length === 0 ? (
        <p className="muted">
          Painted sides, base coat, lead-in line, what is swiped over, the reserve for edges and corners: none of it is
          planned yet.
        </p>
      ) : null}
      {coats.map((c) => {
        const colour = colourOf(colours, c.of)
        const ul = worked?.amounts.coats.get(c.id) ?? 0
        return (
          <div key={c.id} className={styles.coat}>
            <Chip hex={colour?.hex ?? null} sheen={colour?.sheen ?? 'satin'} />
            <Select
              aria-label="What the coat is for"
              value={c.role}
              className={styles.role}
              onChange={(role) =>
                set(c.id, { role, share: String(COAT_START[role].share * 100), wet: String(COAT_START[role].wetMm) })
              }
              options={COAT_ROLES.map((value) => ({
                value,
                label: upper(value) + (technique.forbids.includes(value) ? ' (not here)' : ''),
              }))}
            />
            <span className={styles.source}>
              <SourceSelect
                colours={colours}
                value={c.of}
                label={`Bottle for the ${c.role}`}
                use={c.role}
                onChange={(of) => set(c.id, { of })}
              />
            </span>
            {surfaces.length > 1 ? (
              <Select
                aria-label={`Surface of the ${c.role}`}
                value={c.on ?? ''}
                className={styles.role}
                popupMatchSelectWidth={false}
                onChange={(id) => set(c.id, { on: id || null })}
                options={[
                  { value: '', label: 'all surfaces' },
                  ...surfaces.map((s, i) => ({ value: s.id, label: s.name || `surface ${i + 1}` })),
                ]}
              />
            ) : null}
            {split ? (
              <Select
                aria-label={`Half of the ${c.role}`}
                value={c.half === null ? '' : String(c.half)}
                className={styles.role}
                onChange={(half) => set(c.id, { half: half === '' ? null : half === '0' ? 0 : 1 })}
                options={[
                  { value: '', label: 'whole face' },
                  { value: '0', label: 'this side' },
                  { value: '1', label: 'other side' },
                ]}
              />
            ) : null}
            <Unit
              label={`Share of the face for the ${c.role}`}
              unit="%"
              value={c.share}
              off={c.amount !== ''}
              onChange={(share) => set(c.id, { share })}
            />
            <Unit
              label={`Wet film of the ${c.role}`}
              unit="mm"
              value={c.wet}
              off={c.amount !== ''}
              onChange={(wet) => set(c.id, { wet })}
            />
            <Input
              aria-label={`Amount of ${c.role}`}
              className="w90"
              value={c.amount}
              placeholder={formatMl(ul)}
              onChange={(e) => set(c.id, { amount: e.target.value })}
            />
            <Button aria-label={`Leave out the ${c.role}`} onClick={() => change(coats.filter((x) => x.id !== c.id))}>
              ×
            </Button>
            {c.role === 'lead-in' || c.role === 'swipe' ? (
              <PointsField
                key={JSON.stringify(c.path)}
                label={`Places of the ${c.role}`}
                points={c.path}
                units={units}
                onChange={(path) => set(c.id, { path })}
              />
            ) : null}
            {c.role === 'base coat' && !c.of ? (
              <JarOffers worked={worked} colours={colours} onTake={(id) => set(c.id, { of: { kind: 'bottle', id } })} />
            ) : null}
          </div>
        )
      })}
      <div className="row">
        {wanted.map((role) => (
          <Button key={role} type="primary" onClick={() => add(role)}>
            Add the {role} it wants
          </Button>
        ))}
        <Select
          aria-label="Add a coat"
          placeholder="Add a coat"
          value={null}
          className="w150"
          onChange={(role: CoatRole | null) => role && add(role)}
          options={COAT_ROLES.map((value) => ({ value, label: upper(value) }))}
        />
        <span className="muted fine">Films and shares offered are start values of Fika.</span>
      </div>
    </section>
  )
}

function Unit({
  label,
  unit,
  value,
  off,
  onChange,
}: {
  label: string
  unit: string
  value: string
  off: boolean
  onChange: (text: string) => void
}) {
  return (
    <Input
      aria-label={label}
      className="w90"
      value={value}
      suffix={unit}
      disabled={off}
      onChange={(e) => onChange(e.target.value)}
    />
  )
}

/** Jars of run-off that may lie under this pour. */
function JarOffers({
  worked,
  colours,
  onTake,
}: {
  worked: Worked | undefined
  colours: ReadonlyMap<string, DeskColour>
  onTake: (id: string) => void
}) {
  const pour = worked?.amounts.parts.filter((p) => p.use === 'cup') ?? []
  const hex = meanColour(pour.flatMap((p) => [{ hex: colourOf(colours, p.of)!.hex, amount: p.ul }]))
  if (!hex) return null
  const jars = [...colours.values()].flatMap((c) => {
    if (!c.bottle?.isJar || c.bottle.hasAdditive) return []
    const { suits, why } = suitsAsBase(c.hex, hex)
    return suits ? [{ c, why }] : []
  })
  return (
    <>
      {jars.slice(0, 2).map(({ c, why }) => (
        <p key={c.of.id} className="chipline">
          <Chip hex={c.hex} />
          <span className="grow">
            {c.label}, {formatMl(c.bottle!.ul)}: {why}.{' '}
            <button type="button" className="plain" onClick={() => onTake(c.of.id)}>
              Take it
            </button>
          </span>
        </p>
      ))}
    </>
  )
}
