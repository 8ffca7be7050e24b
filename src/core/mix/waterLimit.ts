import { mustBeAmounts } from '../mustBe'
import { waterFactorOf } from '../paint/pouring'
import { DEFAULTS_BY_BODY, DEFAULTS_BY_MEDIUM, type MaterialKind } from '../paint/properties'

/** The schools of how much water is too much: parts of water that one part of a good paint bears. */
export const WATER_SCHOOLS = ['paint-30', 'thinned-40', 'own'] as const
export type WaterSchool = (typeof WATER_SCHOOLS)[number]

export interface WaterRule {
  readonly school: WaterSchool
  /** The studio's own share for `own`, 0–1; the start value where there is none. */
  readonly value?: number | null
}

export interface WaterAmount {
  readonly kind: MaterialKind
  readonly ul: number
  /** Volume share of water in it that was added by the studio: 1 for water, 0.4 for glue thinned 60 : 40. */
  readonly waterShare: number
  /** Volume solids, 0–1. */
  readonly solids: number
  /** Pigment and filler as a share of the solids, 0–1; none where nothing is said. */
  readonly pigmentShare?: number | undefined
  /** Grade of a paint, where somebody has said it: student and craft paint bear less. */
  readonly grade?: string | null | undefined
}

export interface WaterVerdict {
  readonly school: WaterSchool
  /** Water in it, and how much it bears, µl. */
  readonly waterUl: number
  readonly bornUl: number
  /** Water as a share of what bears it, and where the limit of that is. */
  readonly value: number
  readonly limit: number
  readonly within: boolean
  /** Water that may still be added before the limit, µl (0 when past it). */
  readonly roomUl: number
  /** Medium that would bring a mix past its limit exactly back to it, µl: of the kind it holds, else pouring medium. */
  readonly mediumUl: number
  readonly sentence: string
  readonly source: string
}

/** Each school in words, with its share and where that comes from. */
export const WATER_RULES: Readonly<Record<WaterSchool, { name: string; limit: number; source: string }>> = {
  'paint-30': {
    name: 'Cautious: water up to 30 % of the paint',
    limit: 0.3,
    source: 'common practice, no published source',
  },
  'thinned-40': {
    name: 'Good paint: water up to 40 % of the paint',
    limit: 0.4,
    source: 'common practice, no published source',
  },
  own: { name: 'Our own share of the paint', limit: 0.25, source: 'house rule' },
}

/** Binder of a soft tube paint, by volume: what a part of good paint is. Solids and pigment share from memory. */
const TUBE = DEFAULTS_BY_BODY.soft.solids * (1 - DEFAULTS_BY_BODY.soft.pigmentShare)
/** Pouring medium, where a mix holds none of its own that could be offered. From memory. */
const POURING_MEDIUM = { solids: 0.3, pigmentShare: 0, waterShare: 0 }

const percent = (x: number) => `${Math.round(x * 100)}\u00a0%`
const ml = (ul: number) => `${(ul / 1000).toFixed(ul < 10_000 ? 1 : 0)} ml`
const binderOf = (a: Pick<WaterAmount, 'solids' | 'pigmentShare'>) => a.solids * (1 - (a.pigmentShare ?? 0))

/**
 * Water a recipe of 1 part of paint and some parts of medium starts with, parts: half of what it bears, to a tenth.
 * Start value of Fika.
 */
export function usualWater(medium: number, rule: WaterRule): number {
  const { bornUl } = judgeWater(
    [
      { kind: 'paint', ul: 1e6, waterShare: 0, ...DEFAULTS_BY_BODY.soft },
      { kind: 'medium', ul: 1e6 * medium, ...DEFAULTS_BY_MEDIUM.conditioner },
    ],
    rule,
  )
  return Math.round((10 * bornUl) / 2e6) / 10
}

/** What a mix is to the rule: its paint, that paint's binder, and its medium, the latter two as volumes of tube paint. */
interface Bearing {
  readonly paint: number
  readonly binder: number
  readonly medium: number
  readonly water: number
}

function bearingOf(amounts: readonly WaterAmount[]): Bearing {
  const sum = (pick: (a: WaterAmount) => number) => amounts.reduce((total, a) => total + pick(a), 0)
  return {
    paint: sum((a) => (a.kind === 'paint' ? a.ul * waterFactorOf(a.grade) : 0)),
    binder: sum((a) => (a.kind === 'paint' ? (a.ul * waterFactorOf(a.grade) * binderOf(a)) / TUBE : 0)),
    // Oil and other additives bind nothing.
    medium: sum((a) => (a.kind === 'medium' ? (a.ul * binderOf(a)) / TUBE : 0)),
    water: sum((a) => a.ul * a.waterShare),
  }
}

/**
 * Volume that bears water like paint. Paint alone bears by its volume; the more medium, the more it counts by its
 * binder, as the medium does from the start. Rises with every amount, and nothing jumps.
 */
function bears({ paint, binder, medium }: Bearing): number {
  const all = paint + medium
  if (all === 0) return 0
  const byMedium = medium / all
  return paint * (1 - byMedium) + binder * byMedium + medium
}

/**
 * Judges the water in a mix: water borne = s × what bears it, s being the school's share. Water hidden in thinned glue
 * and thinning mix counts. The shares are common practice; their extension to mediums by binder (polymer: solids
 * without pigment) against that of a soft tube paint is Fika's own.
 * @throws Invalid for what is no number
 */
export function judgeWater(amounts: readonly WaterAmount[], rule: WaterRule): WaterVerdict {
  mustBeAmounts('An amount of a mix', [
    ...amounts.flatMap((a) => [a.ul, a.waterShare, a.solids, a.pigmentShare]),
    rule.value,
  ])
  const { limit: usual, source } = WATER_RULES[rule.school]
  const limit = rule.school === 'own' ? (rule.value ?? usual) : usual
  const mix = bearingOf(amounts)
  const basis = bears(mix)
  const bornUl = limit * basis
  const within = mix.water <= bornUl + 1e-6
  const mediumUl = within ? 0 : mediumBack(mix, limit, mediumIn(amounts))
  const holds = `Water is ${ml(mix.water)}`
  const sentence = within
    ? `${holds}; this mix bears ${ml(bornUl)} (${percent(limit)}, by its paint and binder).`
    : basis === 0
      ? `${holds} and there is nothing that binds. Add paint or medium.`
      : `${holds}, ${ml(mix.water - bornUl)} more than this mix bears (${percent(limit)}, by its paint and binder): it may crack or powder. ${
          Number.isFinite(mediumUl)
            ? `Thin with medium instead: ${ml(mediumUl)} of it brings it back.`
            : 'Its medium brings too much water of its own: add paint.'
        }`
  return {
    school: rule.school,
    waterUl: mix.water,
    bornUl,
    value: basis > 0 ? mix.water / basis : mix.water > 0 ? Infinity : 0,
    limit,
    within,
    roomUl: Math.max(0, Math.floor(bornUl - mix.water)),
    mediumUl,
    sentence,
    source,
  }
}

/** The medium of a mix, all of it together; pouring medium where it has none that binds. */
function mediumIn(amounts: readonly WaterAmount[]): { tube: number; waterShare: number } {
  const mediums = amounts.filter((a) => a.kind === 'medium' && a.ul > 0 && binderOf(a) > 0)
  const ul = mediums.reduce((sum, a) => sum + a.ul, 0)
  if (ul === 0) return { tube: binderOf(POURING_MEDIUM) / TUBE, waterShare: POURING_MEDIUM.waterShare }
  const mean = (value: (a: WaterAmount) => number) => mediums.reduce((sum, a) => sum + a.ul * value(a), 0) / ul
  return { tube: mean(binderOf) / TUBE, waterShare: mean((a) => a.waterShare) }
}

/** How much of a medium brings a mix back to the limit, µl, rounded up; infinite where its own water outweighs it. */
function mediumBack(mix: Bearing, limit: number, medium: { tube: number; waterShare: number }): number {
  const lacks = (ul: number) =>
    mix.water + ul * medium.waterShare - limit * bears({ ...mix, medium: mix.medium + ul * medium.tube }) > 0
  let high = 1000
  while (lacks(high)) {
    high *= 2
    if (high > 1e12) return Infinity
  }
  let low = 0
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2
    if (lacks(middle)) low = middle
    else high = middle
  }
  return Math.ceil(high)
}
