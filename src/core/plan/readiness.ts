import { formatMl, formatSmall } from '../quantity/format'
import { wantedBand, type Look } from '../consistency/wanted'
import { thinWithin } from '../consistency/waterAdvice'
import type { Role } from '../paint/properties'
import type { Technique } from '../technique/technique'
import { barsAdditive } from '../vessel/additives'
import { thinTo } from '../vessel/thickening'
import type { PlanBottle } from './bottle'
import type { Finish } from './finish'
import type { PlanUse } from './uses'

/** What a bottle is asked for by this plan, and by every other open plan of the same day or before. */
export interface Asked {
  readonly uses: readonly PlanUse[]
  readonly needUl: number
  readonly elsewhereUl: number
  /** When it is poured, ms since 1970. */
  readonly pourAt: number
  readonly technique: Technique
  readonly look: Look
  readonly finish: Finish
}

export const CONCERNS = [
  'short',
  'resting',
  'past',
  'thick',
  'thin',
  'unread',
  'silicone',
  'no silicone',
  'barred',
  'unsure',
  'bad container',
] as const
export type ConcernKind = (typeof CONCERNS)[number]

/** One thing that stands between a bottle and this plan, with what to do about it. */
export interface Concern {
  readonly kind: ConcernKind
  /** Few words, and the whole sentence that says what to do. */
  readonly short: string
  readonly todo: string
  /** What the one tap is for, µl: to mix so much, or to add so much water; null where there is none. */
  readonly mixUl: number | null
  readonly waterUl: number | null
}

/** A colour that is computed further off than this is worth a swatch first, ΔE00. Start value of Fika. */
const UNSURE = 6

/** The role a bottle is judged in for a use: in a cup what it was mixed for, else the coat itself. */
export const roleFor = (use: PlanUse, mixedFor: string): Role =>
  use === 'cup' ? (mixedFor as Role) : use === 'sides' ? 'base coat' : use

/**
 * Everything that keeps a bottle from this plan, the most pressing first; empty where it is ready. Volume is counted
 * over all open plans, its level time as it will be on the day, against the band of this technique, look and role.
 * @param date how a time is written for people
 * @param dropUl a drop of water here
 */
export function readiness(b: PlanBottle, a: Asked, date: (ms: number) => string, dropUl: number): Concern[] {
  const found: Concern[] = []
  const add = (
    kind: ConcernKind,
    short: string,
    todo: string,
    mixUl: number | null = null,
    waterUl: number | null = null,
  ) => found.push({ kind, short, todo, mixUl, waterUl })
  const short = a.needUl + a.elsewhereUl - b.ul
  if (short > 0) {
    const others = a.elsewhereUl > 0 ? `, and other open plans want ${formatMl(a.elsewhereUl)}` : ''
    add(
      'short',
      `Short by ${formatMl(short)}`,
      `This plan wants ${formatMl(a.needUl)}${others}; it holds ${formatMl(b.ul)}. Mix ${formatMl(short)} more.`,
      short,
    )
  }
  if (b.keepUntil !== null && b.keepUntil < a.pourAt)
    add('past', 'Past its date by then', `It keeps until ${date(b.keepUntil)}. Pour before then, or mix it anew.`)
  if (b.restUntil > a.pourAt)
    add(
      'resting',
      'Still resting then',
      `It rests until ${date(b.restUntil)}. Pour after that, so that bubbles have risen.`,
    )
  const band = bandFor(b, a)
  const { expectedS, waterUl } = thinTo(b, b.readAt, a.pourAt, band)
  if (expectedS === null)
    add(
      'unread',
      'Never timed',
      `Nobody has timed its ribbon. Level again in ${band[0]} – ${band[1]} s is wanted: time it before the day.`,
    )
  else if (waterUl > 0) {
    const { waterUl: water, mediumUl } = thinWithin(waterUl, b.roomUl)
    const medium =
      mediumUl > 0 ? `${water > 0 ? ', then ' : ''}${formatMl(mediumUl)} of medium, since its water limit is near` : ''
    add(
      'thick',
      'Too thick by then',
      `About ${expectedS.toFixed(1)} s by then, ${band[0]} – ${band[1]} s are wanted. Add ${water > 0 ? `${formatSmall(water, dropUl)} of water` : ''}${medium}, stir, time it.`,
      null,
      water > 0 ? water : null,
    )
  } else if (expectedS < band[0] / 1.3)
    add(
      'thin',
      'Too thin',
      `About ${expectedS.toFixed(1)} s by then, ${band[0]} – ${band[1]} s are wanted. Add unwatered mix, or take another bottle.`,
    )
  if (b.hasAdditive) {
    const barred = a.uses.map((u) => barsAdditive(u)).find(Boolean)
    if (barred) add('barred', 'Holds an additive', `${barred}. Take another bottle for this.`)
    if (a.technique.silicone === 'never')
      add('silicone', 'Holds an additive', `${a.technique.name} wants none of it. Take one without.`)
    else if (a.finish !== 'none')
      add(
        'silicone',
        `Silicone under ${a.finish}`,
        `It holds silicone or the like, and ${a.finish} draws back from it. Take one without, or clean the dry piece before the ${a.finish}.`,
      )
  } else if (a.technique.silicone === 'needed' && a.uses.includes('cup'))
    add(
      'no silicone',
      'No silicone in it',
      `${a.technique.name} lives from it. Add one drop for a small cup, or choose another look.`,
    )
  for (const { name, flag } of b.badLots)
    add(
      'bad container',
      `${name}: bad container`,
      `It holds ${name} from a container that was flagged: ${flag}. Try it on card first, or mix it anew from another.`,
    )
  if (b.off !== null && b.off > UNSURE)
    add(
      'unsure',
      'Colour unsure',
      `Its colour is computed and may be off by ΔE ${b.off.toFixed(0)}. Paint a swatch before a large piece.`,
    )
  return found
}

/** Seconds wanted of a bottle for this plan; where it has several uses, what all of them bear, or else the first. */
export function bandFor(
  b: Pick<PlanBottle, 'role'>,
  a: Pick<Asked, 'uses' | 'technique' | 'look'>,
): readonly [number, number] {
  const bands = a.uses.map((u) => wantedBand(a.technique, a.look, roleFor(u, b.role)))
  const both: readonly [number, number] = [Math.max(...bands.map((x) => x[0])), Math.min(...bands.map((x) => x[1]))]
  return both[0] <= both[1] ? both : bands[0]!
}
