import { apportion } from '../mix/apportion'
import { meanMix, USUAL_MIX } from '../mix/mixFacts'
import { wetFilmMm } from '../surface/wetFilm'
import { Invalid } from '../errors'
import { mustBeAmounts } from '../mustBe'
import { formatMl } from '../quantity/format'
import type { RunPlan } from './runPlan'
import type { Given, RunState } from './runState'

/** How it is known what stayed: weighed on the scale, by what was weighed off it, or by the usual share. */
export const STAYED_WAYS = ['weighed', 'by run-off', 'estimated'] as const
export type StayedWay = (typeof STAYED_WAYS)[number]
/** The same in a sentence. */
export const STAYED_WORDS: Readonly<Record<StayedWay, string>> = {
  weighed: 'by its weight',
  'by run-off': 'by what was weighed off it',
  estimated: 'estimated',
}

/** What became of the paint of one piece, µl: poured = left + jars + waste. */
export interface PieceStayed {
  readonly piece: string
  readonly pouredUl: number
  readonly leftUl: number
  readonly jarUl: number
  readonly wasteUl: number
  readonly how: StayedWay
  /** Mean wet film on face and edges together, mm, and what stays of it when the water has gone, µm. */
  readonly wetMm: number
  readonly dryUm: number
  /** All added water ÷ paint of the mean, g/ml of the mean. */
  readonly waterOfPaint: number
  readonly densityGPerMl: number
}

/** What really went onto each piece, less what went back, by bottle; nothing of 0. */
export function netGiven(state: Pick<RunState, 'given' | 'backs'>, piece: string): { bottle: string; ul: number }[] {
  const by = new Map<string, number>()
  for (const g of state.given) if (g.piece === piece) by.set(g.bottle, (by.get(g.bottle) ?? 0) + g.ul)
  for (const b of state.backs) if (b.piece === piece) by.set(b.bottle, (by.get(b.bottle) ?? 0) - b.ul)
  return [...by].flatMap(([bottle, ul]) => (ul > 0 ? [{ bottle, ul }] : []))
}

/** Means over what is on a piece, by volume. */
export function meanOf(given: readonly Given[], piece: string | null) {
  const on = given.filter((g) => piece === null || g.piece === piece)
  return meanMix(on.map((g) => ({ ...(g.frozen ?? USUAL_MIX), ul: g.ul })))
}

/**
 * What stayed on every piece and where the rest went. By weight before and after where both are there; else by what was
 * weighed off it; else by the share that usually runs off. Run-off that is not in a jar is waste: nothing is left unsaid.
 * @throws Invalid where more was weighed off than was poured
 */
export function whatStayed(plan: RunPlan, state: RunState): PieceStayed[] {
  mustBeAmounts('The share that runs off', [plan.runOffShare])
  const poured = plan.pieces.map((p) => netGiven(state, p.id).reduce((sum, g) => sum + g.ul, 0))
  const inJars = shares(plan, state, poured, 'jar')
  const thrown = shares(plan, state, poured, 'waste')
  return plan.pieces.map((p, i) => {
    const mean = meanOf(state.given, p.id)
    const off = inJars.ul[i]! + thrown.ul[i]!
    if (off > poured[i]!)
      throw new Invalid(
        `${formatMl(off)} were weighed off “${p.title}”, and only ${formatMl(poured[i]!)} were poured on it. Take one of them back, or weigh again.`,
        'run-off',
      )
    const { leftUl, how } = left(
      plan,
      state,
      p.id,
      poured[i]!,
      off,
      inJars.weighed[i]! || thrown.weighed[i]!,
      mean.densityGPerMl,
    )
    const wetMm = wetFilmMm(leftUl, [p.surface])
    return {
      piece: p.id,
      pouredUl: poured[i]!,
      leftUl,
      jarUl: inJars.ul[i]!,
      wasteUl: poured[i]! - leftUl - inJars.ul[i]!,
      how,
      wetMm,
      dryUm: 1000 * wetMm * mean.solids,
      waterOfPaint: mean.waterOfPaint,
      densityGPerMl: mean.densityGPerMl,
    }
  })
}

function left(
  plan: RunPlan,
  state: RunState,
  piece: string,
  pouredUl: number,
  offUl: number,
  isWeighed: boolean,
  densityGPerMl: number,
): { leftUl: number; how: StayedWay } {
  const weight = state.weights.get(piece)
  const most = pouredUl - offUl
  if (weight && weight.before !== null && weight.after !== null) {
    const byWeight = Math.round((1000 * (weight.after - weight.before)) / densityGPerMl)
    return { leftUl: Math.min(most, byWeight), how: 'weighed' }
  }
  if (isWeighed) return { leftUl: most, how: 'by run-off' }
  return { leftUl: Math.min(most, Math.round(pouredUl * (1 - plan.runOffShare))), how: 'estimated' }
}

/** What went into jars or waste of each piece: its own, and its part by what was poured of what was caught together. */
function shares(plan: RunPlan, { runOffs }: RunState, poured: readonly number[], to: 'jar' | 'waste') {
  const ul = plan.pieces.map(() => 0)
  const weighed = plan.pieces.map(() => false)
  for (const r of runOffs) {
    if (r.to !== to) continue
    for (const [i, part] of partsOf(plan, r, poured).entries()) {
      ul[i]! += part
      weighed[i] ||= r.weighed && part > 0
    }
  }
  return { ul, weighed }
}

/** One amount of run-off over the pieces, whole µl that sum to it. @throws Invalid where nothing was poured */
export function partsOf(
  plan: RunPlan,
  r: { readonly piece: string | null; readonly ul: number },
  poured: readonly number[],
): number[] {
  if (r.piece !== null) return plan.pieces.map((p) => (p.id === r.piece ? r.ul : 0))
  if (poured.every((p) => p === 0)) throw new Invalid('Nothing has been poured yet, so nothing can have run off.')
  return apportion(r.ul, [...poured])
}
