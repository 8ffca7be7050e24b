'use client'

import { useMemo, useState } from 'react'
import { schoolsOf } from '@/core/mix/houseRules'
import type { School } from '@/core/mix/schools'
import { type WaterRule } from '@/core/mix/waterLimit'
import { formatFlOz, formatMl } from '@/core/quantity/format'
import { type UnitSystem } from '@/core/quantity/parse'
import type { Material } from '@/db/materials/mixable'
import { rulesOf, type RulesRow } from '@/db/people/houseRules'
import { Cup } from '@/ui/pictures/Cup'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import { BenchProviders } from '@/ui/frame/Providers'
import { benchView, type Draft } from './mixDraft'
import { RecipePanel } from './RecipePanel'
import { AmountsPanel } from './AmountsPanel'
import { WaterMeter } from './WaterMeter'
import { BenchNav } from './BenchNav'
import { BookPanel } from './BookPanel'
import { GuidePanel } from './GuidePanel'
import { OpenMixings, type OpenMixing } from './OpenMixings'
import type { BenchStart } from './start'
import styles from './bench.module.css'

const CLEAR = '#e9e9e4'

/** The bench: what goes in, how much of it, what was really poured, and into which bottle. */
export function Bench({
  materials,
  start,
  units,
  waterRule,
  currency,
  rules: row,
  open,
}: {
  materials: Material[]
  start: BenchStart
  units: UnitSystem
  waterRule: WaterRule
  currency: string
  rules: RulesRow
  open: readonly OpenMixing[]
}) {
  const byId = useMemo(() => new Map(materials.map((m) => [m.id, m])), [materials])
  const [draft, setDraft] = useState(start.draft)
  const change = (part: Partial<Draft>) => setDraft((d) => ({ ...d, ...part }))
  const rules = useMemo(() => rulesOf(row), [row])
  const sizes = useDropSizes()
  const schools = useMemo((): School[] => schoolsOf(rules), [rules])
  const view = useMemo(
    () => benchView(draft, byId, units, waterRule, rules, sizes),
    [draft, byId, units, waterRule, rules, sizes],
  )
  const layers = view.lines.map((l) => ({
    id: l.materialId,
    label: l.material.name,
    ul: l.pouredUl ?? l.targetUl,
    hex: l.material.hex ?? (l.kind === 'water' ? '#cfd3d3' : CLEAR),
  }))
  const planned = view.totalUl - view.extraUl
  return (
    <BenchProviders>
      <div className="head">
        <h1>
          Bench <span className="sub">measure, mix, book</span>
        </h1>
        <button
          type="button"
          className="go second"
          data-key="n"
          onClick={() => setDraft({ ...start.draft, paints: [], mediums: [], poured: {}, waterParts: '' })}
        >
          Start over
        </button>
      </div>
      <BenchNav here="/bench" />
      <OpenMixings open={open} />
      <div className={styles.bench}>
        <RecipePanel draft={draft} change={change} view={view} materials={materials} units={units} schools={schools} />
        <div className={styles.benchCup}>
          <Cup layers={layers} fullUl={Math.max(view.totalUl * 1.12, 1)} markUl={planned} dark height={330} />
          <div className="centred under">
            <div className="big" data-testid="total-ml">
              {formatMl(view.totalUl)}
            </div>
            <div className="muted said">{formatFlOz(view.totalUl)}</div>
          </div>
          {view.water ? <WaterMeter view={view} /> : null}
          {view.hides ? <p className="muted">{view.hides}</p> : null}
        </div>
        <div className="grid">
          <AmountsPanel draft={draft} change={change} view={view} units={units} />
          <GuidePanel draft={draft} view={view} start={start} units={units} />
          <BookPanel draft={draft} view={view} start={start} byId={byId} units={units} currency={currency} />
        </div>
      </div>
    </BenchProviders>
  )
}
