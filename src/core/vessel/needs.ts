import { START_DROPS } from '../quantity/dropSizes'
import { formatMl, formatSmall, formatSmallBeside, isCounted } from '../quantity/format'
import { thinWithin } from '../consistency/waterAdvice'
import { sinceRead, type Read, type SinceRead } from './thickening'
import type { TechniqueBook } from '../technique/techniques'
import { CHECK_AFTER_DAYS, LOW_SHARE, USUAL_CAPACITY_UL } from './level'

/** What is kept of a bottle and decides what it needs. Times in ms since 1970. */
export interface BottleFacts {
  readonly ul: number
  readonly capacityUl: number | null
  readonly mixedAt: number
  readonly restUntil: number
  readonly keepUntil: number | null
  /** Last shaken, stirred, watered or read; null: not since it was mixed. */
  readonly movedAt: number | null
  /** Water lost by weigh-ins since it was last watered, µl. */
  readonly evaporatedUl: number
  /** Its level time as it was when last read, s, and when. */
  readonly levelTimeS: number | null
  readonly readAt: number | null
}

/** The same with what it has become since it was read. */
export interface RackFacts extends BottleFacts, SinceRead {
  /** Water that may still go in by the house's limit, µl; not given: it is not asked for. */
  readonly roomUl?: number | undefined
}

export type NeedKind = 'empty' | 'past' | 'resting' | 'evaporated' | 'thickened' | 'keep' | 'check' | 'shake' | 'low'

/** One thing a bottle needs, with what to do about it. */
export interface Need {
  readonly kind: NeedKind
  /** Few words, for the shelf. */
  readonly short: string
  /** The whole sentence, for the bottle and the alerts. */
  readonly todo: string
  /** When it is due, ms; null: now. */
  readonly due: number | null
}

const DAY = 86_400_000
/** Stands this long before pigment and medium part. Start value of Fika. */
export const SHAKE_AFTER_DAYS = 3
/** Warned this long before the keep-until. Start value of Fika. */
export const KEEP_WARNING_DAYS = 14
/** A loss of water below this share of the bottle is left alone. Start value of Fika. */
const EVAPORATED_SHARE = 0.01

const drops = (ul: number, dropUl: number) => {
  const least = Math.max(dropUl, ul)
  return isCounted(least, dropUl)
    ? formatSmall(least, dropUl)
    : `${formatSmall(least, dropUl)} (${formatSmallBeside(least, dropUl)})`
}
const days = (ms: number) => {
  const n = Math.max(1, Math.round(ms / DAY))
  return `${n} ${n === 1 ? 'day' : 'days'}`
}

/** How much thicker it has become, where it was read before. @param words what leads to it */
const thickened = (b: RackFacts, words: string) =>
  b.levelTimeS !== null && b.expectedS !== null && b.expectedS > 1.1 * b.levelTimeS
    ? `${words} thickened from ${b.levelTimeS.toFixed(1)} to about ${b.expectedS.toFixed(1)} s`
    : ''

/** What brings it there: water, and medium where the house lets no more water in. */
function thinner(wantedUl: number, dropUl: number, roomUl = Infinity): string {
  const { waterUl, mediumUl } = thinWithin(wantedUl, roomUl)
  if (mediumUl === 0) return `${drops(waterUl, dropUl)} of water bring it there`
  const first =
    waterUl >= dropUl
      ? `${drops(waterUl, dropUl)} of water are all that the limit leaves room for, then `
      : 'it has all the water it may have, so add '
  return `${first}${formatMl(mediumUl)} of medium; time it again`
}

/** The facts of a bottle whose times are ISO texts, as a page has it. */
export function factsFromTexts(
  b: Read & {
    capacityUl: number | null
    mixedAt: string
    restUntil: string
    keepUntil: string | null
    movedAt: string | null
    readAt: string | null
    evaporatedUl: number
  },
  now: number,
  techniques?: TechniqueBook,
): RackFacts {
  const ms = (text: string | null) => (text === null ? null : Date.parse(text))
  return {
    ...sinceRead(b, ms(b.readAt), now, techniques),
    ul: b.ul,
    capacityUl: b.capacityUl,
    evaporatedUl: b.evaporatedUl,
    levelTimeS: b.levelTimeS,
    mixedAt: Date.parse(b.mixedAt),
    restUntil: Date.parse(b.restUntil),
    keepUntil: ms(b.keepUntil),
    movedAt: ms(b.movedAt),
    readAt: ms(b.readAt),
  }
}

/**
 * Everything a bottle needs now, the most pressing first; empty where it is ready.
 * @param date how a time is written for people
 * @param dropUl volume of a drop of water here
 */
export function needsOf(b: RackFacts, now: number, date: (ms: number) => string, dropUl = START_DROPS.water): Need[] {
  if (b.ul === 0)
    return [
      {
        kind: 'empty',
        short: 'Empty, wash it',
        todo: 'It is empty. Wash it before the rest dries, and mix into it again.',
        due: null,
      },
    ]
  const needs: Need[] = []
  const add = (kind: NeedKind, short: string, todo: string, due: number | null = null) =>
    needs.push({ kind, short, todo, due })
  if (b.keepUntil !== null && b.keepUntil <= now)
    add(
      'past',
      'Past its date',
      `It was to keep until ${date(b.keepUntil)}. Smell it and look for lumps: pour it soon, or throw it away.`,
    )
  if (b.restUntil > now)
    add(
      'resting',
      `Rests until ${date(b.restUntil)}`,
      `It rests until ${date(b.restUntil)}, so that bubbles rise. Leave it alone.`,
      b.restUntil,
    )
  if (b.evaporatedUl > EVAPORATED_SHARE * b.ul)
    add(
      'evaporated',
      `Lost ${formatMl(b.evaporatedUl)} of water`,
      `It has lost ${formatMl(b.evaporatedUl)} of water${thickened(b, ' and')}: ${drops(b.evaporatedUl, dropUl)} bring it back. Add them by halves, stir, look.`,
    )
  else if (b.thinUl > 0 && b.expectedS !== null && b.wantedS && b.readAt !== null)
    add(
      'thickened',
      `Too thick by ${drops(b.thinUl, dropUl)}`,
      `It is flat in about ${b.expectedS.toFixed(1)} s, read ${date(b.readAt)}, and ${b.wantedS[0]} to ${b.wantedS[1]} s are wanted: ${thinner(b.thinUl, dropUl, b.roomUl)}.`,
    )
  if (b.keepUntil !== null && b.keepUntil > now && b.keepUntil - now <= KEEP_WARNING_DAYS * DAY)
    add(
      'keep',
      `Keeps ${days(b.keepUntil - now)} more`,
      `It keeps until ${date(b.keepUntil)}. Plan it into a pour before then.`,
      b.keepUntil,
    )
  const looked = Math.max(b.mixedAt, b.movedAt ?? 0, b.readAt ?? 0)
  if (b.restUntil <= now && now - looked > CHECK_AFTER_DAYS * DAY)
    add(
      'check',
      'Check before pouring',
      `Nobody has looked at it for ${days(now - looked)}${thickened(b, ': it has likely')}. Shake, strain, and time the mound before it is poured.`,
    )
  else if (b.restUntil <= now && now - looked > SHAKE_AFTER_DAYS * DAY)
    add('shake', 'Shake and strain', `It has stood for ${days(now - looked)}. Shake and strain it before it is poured.`)
  if (b.ul < LOW_SHARE * (b.capacityUl ?? USUAL_CAPACITY_UL))
    add('low', 'Low, mix more', `${formatMl(b.ul)} are left. Mix more of it, or use it up.`)
  return needs
}

/** Whether a bottle of another shelf life asks for something that will not wait. */
export const isPressing = (kind: NeedKind) =>
  kind === 'past' || kind === 'evaporated' || kind === 'thickened' || kind === 'keep'
