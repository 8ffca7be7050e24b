/** The schools of how much water is too much, each with its own basis. */
export const WATER_SCHOOLS = ['paint-30', 'thinned-40', 'share', 'binder'] as const
export type WaterSchool = (typeof WATER_SCHOOLS)[number]

export interface WaterRule {
  readonly school: WaterSchool
  /** Share of the whole for `share`; floor of binder for `binder`; otherwise ignored. 0–1. */
  readonly value?: number
}

export interface WaterAmount {
  readonly kind: 'paint' | 'medium' | 'water' | 'additive'
  readonly ul: number
  /** Volume share of water in it that was added by the studio: 1 for water, 0.4 for glue thinned 60/40. */
  readonly waterShare: number
  /** Volume solids, 0–1. */
  readonly solids: number
}

export interface WaterVerdict {
  readonly school: WaterSchool
  readonly basis: string
  /** What is measured now, and where the limit is, both as shares of the basis. */
  readonly value: number
  readonly limit: number
  readonly within: boolean
  /** Water that may still be added before the limit, µl (0 when past it). */
  readonly roomUl: number
  /** Medium (at 0.3 solids) that would bring a mix past its limit back, µl. */
  readonly mediumUl: number
  readonly sentence: string
  readonly source: string
}

/** Each school in words, with its limit and where that comes from. */
export const WATER_RULES: Readonly<Record<WaterSchool, { name: string; limit: number; source: string }>> = {
  'paint-30': { name: 'Water up to 30 % of the paint', limit: 0.3, source: 'common practice, no published source' },
  'thinned-40': {
    name: 'Water up to 40 % of the paint, water alone as thinner',
    limit: 0.4,
    source: 'common practice, no published source',
  },
  share: { name: 'Own share of the whole', limit: 0.2, source: 'house rule' },
  binder: {
    name: 'Binder at least a share of the whole',
    limit: 0.18,
    source: 'start value 0.18 from memory; editable',
  },
}

const MEDIUM_SOLIDS = 0.3
const percent = (x: number) => `${Math.round(x * 100)} %`

/**
 * Judges the water in a mix by one school. Water hidden in thinned glue and thinning mix counts. A mix with at least
 * as much medium as paint brings its own binder: judged by parts of paint it would fail for no reason, so `paint-30`
 * and `thinned-40` hand it to the binder rule.
 */
export function judgeWater(amounts: readonly WaterAmount[], rule: WaterRule): WaterVerdict {
  const sum = (pick: (a: WaterAmount) => number) => amounts.reduce((total, a) => total + pick(a), 0)
  const water = sum((a) => a.ul * a.waterShare)
  const paint = sum((a) => (a.kind === 'paint' ? a.ul : 0))
  const medium = sum((a) => (a.kind === 'medium' ? a.ul * (1 - a.waterShare) : 0))
  const total = sum((a) => a.ul)
  const binder = sum((a) => a.ul * a.solids)
  const byPaint = rule.school === 'paint-30' || rule.school === 'thinned-40'
  const school: WaterSchool = byPaint && medium >= paint ? 'binder' : rule.school
  const limit = school === rule.school && rule.value !== undefined ? rule.value : WATER_RULES[school].limit
  const { source } = WATER_RULES[school]

  if (school === 'binder') {
    const value = total > 0 ? binder / total : 1
    const within = value >= limit - 1e-9
    const roomUl = Math.max(0, Math.floor(binder / limit - total))
    const mediumUl = within ? 0 : Math.ceil((limit * total - binder) / (MEDIUM_SOLIDS - limit))
    const sentence = within
      ? `Binder is ${percent(value)} of the whole; the floor is ${percent(limit)}.`
      : `Binder is ${percent(value)} of the whole, below ${percent(limit)}: it may crack or powder. Thin with medium instead: ${Math.ceil(mediumUl / 1000)} ml brings it back.`
    return { school, basis: 'binder in the whole', value, limit, within, roomUl, mediumUl, sentence, source }
  }
  const basisUl = school === 'share' ? total : paint
  const basis = school === 'share' ? 'of the whole' : 'of the paint'
  const value = basisUl > 0 ? water / basisUl : water > 0 ? Infinity : 0
  const within = value <= limit + 1e-9
  const room = school === 'share' ? (limit * total - water) / (1 - limit) : limit * paint - water
  const excessUl = within ? 0 : water - limit * basisUl
  const sentence = within
    ? `Water is ${percent(value)} ${basis}; the limit is ${percent(limit)}.`
    : `Water is ${Number.isFinite(value) ? percent(value) : 'all'} ${basis}, ${Math.ceil(excessUl / 1000)} ml past the limit of ${percent(limit)}. Thin with medium instead.`
  return {
    school,
    basis,
    value,
    limit,
    within,
    roomUl: Math.max(0, Math.floor(room)),
    mediumUl: Math.ceil(excessUl),
    sentence,
    source,
  }
}
