import type { Band } from '@/core/consistency/levelTime'
import { hexToLab } from '@/core/colour/lab'
import { fold } from '@/core/paint/fold'
import { START_DROPS } from '@/core/quantity/dropSizes'
import { hueOrder } from '@/core/colour/hueFamily'
import { isPressing, needsOf, type Need, type NeedKind } from '@/core/vessel/needs'
import { shelves, type Grouping } from '@/core/vessel/shelves'
import type { TechniqueBook } from '@/core/technique/techniques'
import { sinceRead } from '@/core/vessel/thickening'
import { techniqueBook } from '@/db/techniques/read'
import { houseRules } from '@/db/people/houseRules'
import { rackBottles, type RackBottle } from '@/db/bottles/rack'
import type { Tx } from '@/db/base/withStudio'
import { dayAndTime } from '@/ui/tables/dates'
import type { RackFilterInput } from './filter'

/** A bottle on a shelf: what is drawn of it, and what it needs. */
export interface ShelfBottle extends Pick<
  RackBottle,
  | 'id'
  | 'label'
  | 'role'
  | 'hex'
  | 'sheen'
  | 'isJar'
  | 'ul'
  | 'capacityUl'
  | 'mixedAt'
  | 'restUntil'
  | 'keepUntil'
  | 'levelTimeS'
  | 'isReference'
  | 'hasAdditive'
> {
  readonly expectedS: number | null
  readonly needs: readonly Pick<Need, 'kind' | 'short'>[]
}

export interface FoundRack {
  readonly shelves: readonly { readonly name: string; readonly count: number }[]
  readonly total: number
  /** How many bottles need what. */
  readonly counts: Readonly<Partial<Record<NeedKind, number>>>
  readonly palettes: readonly string[]
  /** Of all shelves one after another, from `from` on. */
  readonly rows: readonly ShelfBottle[]
}

/** How many bottles come with the page, and with each further request. */
export const RACK_CHUNK = 60

/** The facts of a bottle as the core asks for them. */
export const factsOf = (b: RackBottle, now: number, techniques?: TechniqueBook) => ({
  ...b,
  ...sinceRead(b, b.readAt, now, techniques),
})

const ORDERS: Readonly<Record<string, (a: RackBottle, b: RackBottle) => number>> = {
  oldest: (a, b) => a.mixedAt - b.mixedAt,
  name: (a, b) => a.label.localeCompare(b.label),
  fullest: (a, b) => b.ul - a.ul,
  emptiest: (a, b) => a.ul - b.ul,
  colour: (a, b) => shade(a) - shade(b),
}
const shade = (b: RackBottle) => (b.hex ? hueOrder(hexToLab(b.hex)) : 9_999)

/** The rack by a filter: shelves with their counts, and the bottles from a place on. */
export async function findBottles(
  tx: Tx,
  filter: RackFilterInput,
  now: Date,
  zone: string,
  from = 0,
  count = RACK_CHUNK,
  dropUl = START_DROPS.water,
): Promise<FoundRack> {
  const [all, { bands }] = [await rackBottles(tx, filter.show === 'empty'), await houseRules(tx)]
  return sortRack(all, filter, now, bands, zone, from, count, dropUl, await techniqueBook(tx))
}

/** As `findBottles`, of bottles that are here already. */
export function sortRack(
  all: readonly RackBottle[],
  filter: RackFilterInput,
  now: Date,
  bands: readonly Band[],
  zone: string,
  from: number,
  count: number,
  dropUl = START_DROPS.water,
  techniques?: TechniqueBook,
): FoundRack {
  const words = fold(filter.q).split(' ').filter(Boolean)
  const date = (at: number) => dayAndTime(at, zone)
  // What a bottle needs is asked only of those it has to be known of: to count and narrow, words are not written yet.
  const plain = () => ''
  const counts: Partial<Record<NeedKind, number>> = {}
  const facts = new Map<RackBottle, ReturnType<typeof factsOf>>()
  const wanted = all.filter((b) => {
    if (filter.role && b.role !== filter.role) return false
    if (filter.palette && b.palette !== filter.palette) return false
    if (words.length) {
      const text = fold(`${b.label} ${b.role} ${b.palette} ${b.code}`)
      if (!words.every((w) => text.includes(w))) return false
    }
    const known = factsOf(b, now.getTime(), techniques)
    facts.set(b, known)
    const kinds = needsOf(known, now.getTime(), plain).map((n) => n.kind)
    for (const k of kinds) counts[k] = (counts[k] ?? 0) + 1
    return !filter.need || kinds.includes(filter.need as NeedKind)
  })
  const order = ORDERS[filter.sort]
  const sorted = order ? [...wanted].sort(order) : wanted
  const grouped = shelves(
    sorted,
    (b) => ({ ...b, levelTimeS: facts.get(b)!.expectedS ?? b.levelTimeS }),
    filter.by as Grouping,
    now.getTime(),
    bands,
    techniques,
  )
  const row = grouped.flatMap((s) => s.bottles)
  return {
    shelves: grouped.map((s) => ({ name: s.name, count: s.bottles.length })),
    total: wanted.length,
    counts,
    palettes: [...new Set(all.map((b) => b.palette).filter(Boolean))].sort(),
    rows: row.slice(from, from + count).map((b): ShelfBottle => {
      const known = facts.get(b)!
      return {
        id: b.id,
        label: b.label,
        role: b.role,
        hex: b.hex,
        sheen: b.sheen,
        isJar: b.isJar,
        ul: b.ul,
        capacityUl: b.capacityUl,
        mixedAt: b.mixedAt,
        restUntil: b.restUntil,
        keepUntil: b.keepUntil,
        levelTimeS: b.levelTimeS,
        isReference: b.isReference,
        hasAdditive: b.hasAdditive,
        expectedS: known.expectedS,
        needs: needsOf(known, now.getTime(), date, dropUl).map(({ kind, short }) => ({ kind, short })),
      }
    }),
  }
}

export interface Alert {
  readonly id: string
  readonly label: string
  readonly hex: string | null
  readonly sheen: string
  readonly need: Need
}

/** Bottles that are too thick: of these one asks how much water they may still have. */
export const tooThick = (all: readonly RackBottle[], now: Date, techniques?: TechniqueBook) =>
  all.filter((b) => factsOf(b, now.getTime(), techniques).thinUl > 0).map((b) => b.id)

/**
 * What the rack asks for, the pressing first, then what comes due by date.
 * @param roomUl water that those which are too thick may still have
 * @param dropUl volume of a drop of water here
 */
export function alertsOf(
  all: readonly RackBottle[],
  now: Date,
  zone: string,
  roomUl: (id: string) => number | undefined,
  dropUl = START_DROPS.water,
  techniques?: TechniqueBook,
): Alert[] {
  const date = (at: number) => dayAndTime(at, zone)
  const found = all.flatMap((b) =>
    needsOf({ ...factsOf(b, now.getTime(), techniques), roomUl: roomUl(b.id) }, now.getTime(), date, dropUl).map(
      (need) => ({
        id: b.id,
        label: b.label,
        hex: b.hex,
        sheen: b.sheen,
        need,
      }),
    ),
  )
  const rank = (a: Alert) => (isPressing(a.need.kind) && a.need.due === null ? 0 : a.need.due !== null ? 1 : 2)
  return found.sort(
    (a, b) => rank(a) - rank(b) || (a.need.due ?? 0) - (b.need.due ?? 0) || a.label.localeCompare(b.label),
  )
}

export interface RackDate {
  readonly id: string
  readonly label: string
  readonly kind: 'rest' | 'keep'
  /** ms since 1970 */
  readonly at: number
  readonly todo: string
}

/** Every rest that ends and every keep-until still to come, by date. */
export function datesOf(all: readonly RackBottle[], now: Date, zone: string): RackDate[] {
  const date = (at: number) => dayAndTime(at, zone)
  return all
    .filter((b) => b.ul > 0)
    .flatMap((b): RackDate[] => [
      ...(b.restUntil > now.getTime()
        ? [
            {
              id: b.id,
              label: b.label,
              kind: 'rest' as const,
              at: b.restUntil,
              todo: `It has rested since ${date(b.mixedAt)}. Look for bubbles, then it may be poured.`,
            },
          ]
        : []),
      ...(b.keepUntil !== null && b.keepUntil > now.getTime()
        ? [
            {
              id: b.id,
              label: b.label,
              kind: 'keep' as const,
              at: b.keepUntil,
              todo: `Mixed ${date(b.mixedAt)}. Smell it and look for lumps; plan it into a pour before then.`,
            },
          ]
        : []),
    ])
    .sort((a, b) => a.at - b.at)
}
