import { Invalid } from '../errors'
import { mustBeAmounts } from '../mustBe'
import type { MediumKind } from '../paint/properties'

/** What a medium does to a pour, each 0 (none) to 3 (strong). */
export const EFFECTS = [
  'cells',
  'tiny cells',
  'lacing',
  'gloss',
  'film strength',
  'anti-craze',
  'drying speed',
  'colour brightness',
  'clarity between layers',
  'silicone response',
] as const
/** One value for each of `EFFECTS`, in that order. */
export type EffectProfile = readonly number[]

/** Start values by kind, in the order of `EFFECTS`. Start values of Fika after what makers say; editable per medium. */

export const EFFECTS_BY_KIND: Readonly<Record<MediumKind, EffectProfile>> = {
  conditioner: [2, 3, 2, 0, 1, 1, 1, 1, 1, 2],
  'pouring medium': [1, 1, 1, 2, 2, 2, 1, 2, 2, 2],
  'gloss medium': [1, 0, 1, 3, 3, 1, 2, 3, 2, 1],
  glue: [1, 0, 0, 1, 1, 0, 2, 1, 3, 1],
  'anti-craze medium': [0, 0, 0, 2, 3, 3, 0, 2, 2, 1],
  'enamel or house paint': [2, 2, 3, 1, 2, 1, 2, 0, 1, 1],
  'clear varnish': [2, 1, 2, 3, 3, 1, 2, 3, 1, 1],
  'one-bottle base': [1, 2, 1, 1, 2, 2, 1, 1, 2, 2],
}

/** More parts than this in a blend, and each one's effect is lost. Common practice, no published source. */
export const MOST_IN_BLEND = 3
export const BLEND_WARNING =
  'More than three mediums in a blend: each one’s effect is lost, and a blend of six is known to give no cells at all. Leave some out.'

export interface BlendPart {
  readonly parts: number
  readonly effects: EffectProfile
  readonly densityGPerMl: number
  readonly solids: number
  /** Minor units per ml; null where no price is known. */
  readonly perMl: number | null
}

export interface Blend {
  readonly effects: EffectProfile
  readonly densityGPerMl: number
  readonly solids: number
  readonly perMl: number | null
  readonly tooMany: boolean
}

/**
 * A blend of mediums by volume: everything is the mean of its parts by volume, the effects too.
 * @throws Invalid when nothing is in it, or what is no number
 */
export function blend(list: readonly BlendPart[]): Blend {
  mustBeAmounts(
    'A part of a blend',
    list.flatMap((p) => [p.parts, p.densityGPerMl, p.solids, p.perMl, ...p.effects]),
  )
  const used = list.filter((p) => p.parts > 0)
  const total = used.reduce((sum, p) => sum + p.parts, 0)
  if (!(total > 0)) throw new Invalid('Give at least one medium a part above zero.')
  const mean = (pick: (p: BlendPart) => number) => used.reduce((sum, p) => sum + p.parts * pick(p), 0) / total
  return {
    effects: EFFECTS.map((_, i) => mean((p) => p.effects[i]!)),
    densityGPerMl: mean((p) => p.densityGPerMl),
    solids: mean((p) => p.solids),
    perMl: used.some((p) => p.perMl === null) ? null : mean((p) => p.perMl!),
    tooMany: used.length > MOST_IN_BLEND,
  }
}

export interface StandIn {
  readonly parts: readonly { index: number; parts: number }[]
  readonly effects: EffectProfile
  /** 1 = the same profile, 0 = as unlike as can be: 1 − root mean square difference ÷ 3. */
  readonly nearness: number
}

/** Whole parts tried in a stand-in. */
const PARTS = [1, 2, 3, 4] as const

/** How near two profiles are, 0–1. */
export const nearness = (a: EffectProfile, b: EffectProfile) =>
  1 - Math.sqrt(a.reduce((sum, v, i) => sum + (v - b[i]!) ** 2, 0) / a.length) / 3

/**
 * Blends of up to three others that imitate a medium one cannot get, nearest first; fewer mediums win a near tie.
 * @param others profiles to blend from
 */
export function standIns(wanted: EffectProfile, others: readonly EffectProfile[], most = 5): StandIn[] {
  const found: StandIn[] = []
  const visit = (from: number, chosen: { index: number; parts: number }[]) => {
    if (chosen.length) {
      const total = chosen.reduce((s, c) => s + c.parts, 0)
      const simplest = chosen.length === 1 ? chosen[0]!.parts === 1 : gcd(chosen.map((c) => c.parts)) === 1
      if (simplest) {
        const effects = EFFECTS.map((_, i) => chosen.reduce((s, c) => s + (c.parts * others[c.index]![i]!) / total, 0))
        found.push({ parts: [...chosen], effects, nearness: nearness(wanted, effects) })
      }
    }
    if (chosen.length === MOST_IN_BLEND) return
    for (let index = from; index < others.length; index++)
      for (const parts of PARTS) visit(index + 1, [...chosen, { index, parts }])
  }
  visit(0, [])
  // One simpler blend is worth a hundredth of nearness.
  const worth = (s: StandIn) => s.nearness - 0.01 * s.parts.length
  const best = found.sort((a, b) => worth(b) - worth(a))
  const seen = new Set<string>()
  return best
    .filter((s) => {
      const key = s.parts.map((p) => p.index).join()
      return !seen.has(key) && seen.add(key)
    })
    .slice(0, most)
}

const gcd = (list: readonly number[]): number => list.reduce((a, b) => (b === 0 ? a : gcd([b, a % b])))
