import { formatMl } from '../quantity/format'
import { formatSize } from '../quantity/size'
import { footprint } from '../surface/shapes'
import { CAUTIONS, type Technique } from '../technique/technique'
import type { PlanAmounts } from './amounts'
import type { Design } from './design'

export interface PutOutLine {
  readonly group: 'Surface' | 'Cups' | 'Bottles' | 'Tools' | 'On the table'
  readonly what: string
  readonly how: string
}

/** Pushed into the back of a canvas or set under a panel as feet (common practice). */
const FEET = 4
/** Of this kind nothing stands on feet. */
const ON_FOOT = 'profile'

/** Everything to put out for the day of a plan, in the order it is reached for. */
export function putOut(
  design: Design,
  amounts: PlanAmounts,
  technique: Technique,
  bottleName: (id: string) => string | undefined,
): PutOutLine[] {
  const lines: PutOutLine[] = []
  const add = (group: PutOutLine['group'], what: string, how: string) => lines.push({ group, what, how })
  for (const s of design.surfaces) {
    const pieces = `${s.surface.count} ×`
    add(
      'Surface',
      `${pieces} ${s.name || formatSize(footprint(s.surface))}`,
      s.name ? formatSize(footprint(s.surface)) : '',
    )
  }
  const feet = design.surfaces
    .filter((s) => s.surface.shape !== ON_FOOT)
    .reduce((n, s) => n + FEET * s.surface.count, 0)
  if (feet > 0) add('Surface', `${feet} pins or feet`, `${FEET} under each, level checked`)
  add('Surface', 'Tape', 'for the backs')
  for (const c of design.cups) {
    const f = amounts.cups.find((x) => x.id === c.id)!
    const size = c.sizeUl ?? f.smallestUl
    add('Cups', `${f.cups} × ${size ? `cup of ${formatMl(size)}` : 'cup'}`, `${formatMl(f.eachUl)} in each, ${c.kind}`)
  }
  const uses = new Map<string, { ul: number; uses: Set<string> }>()
  for (const p of amounts.parts) {
    const name =
      p.of.kind === 'bottle' ? (bottleName(p.of.id) ?? 'a bottle emptied since') : `${p.of.kind} still to be mixed`
    const sum = uses.get(name) ?? { ul: 0, uses: new Set() }
    sum.ul += p.ul
    sum.uses.add(p.use)
    uses.set(name, sum)
  }
  for (const [name, { ul, uses: of }] of uses) add('Bottles', name, `${formatMl(ul)}, ${[...of].join(', ')}`)
  for (const tool of technique.tools) add('Tools', tool, '')
  if (technique.heat !== 'never')
    add('Tools', 'torch or heat gun', technique.heat === 'needed' ? 'needed' : 'if wanted')
  add('On the table', 'Gloves', 'two pairs')
  add('On the table', 'Sheet', 'under everything, run-off is caught on it')
  add('On the table', 'Water, cloths, a jar for run-off', '')
  return lines
}

/** Cautions that belong to a technique and a finish, once each. */
export const cautionsOf = (technique: Technique): string[] => technique.cautions.map((c) => CAUTIONS[c])
