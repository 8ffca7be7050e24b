import { dealsOf, type Bought, type Shelved } from '@/core/purchase/buying'
import { offerRhythm } from '@/core/purchase/rhythm'
import { bottlesInUse } from '@/db/bottles/read'
import { listFormulas } from '@/db/formulas/formulas'
import { allOffers, type OfferRow } from '@/db/materials/prices'
import { allMaterials, type MaterialRow } from '@/db/materials/read'
import { onHand } from '@/db/materials/onHand'
import { listPlans, type PlanWithParts } from '@/db/plans/read'
import { wantedMaterials, type Unread } from '@/db/plans/wanted'
import { listSurfaces } from '@/db/surfaces/read'
import type { Tx } from '@/db/base/withStudio'
import { cheapestCover } from '@/server/cheapest'

/** A material that open plans want, with what is there of it. */
export interface WantedMaterial {
  readonly id: string
  readonly name: string
  readonly maker: string
  readonly hex: string | null
  readonly needUl: number
  /** Null where nobody counts it. */
  readonly haveUl: number | null
  readonly buyUl: number
  readonly priced: boolean
  /** When its next offer is likely, ms since 1970; null where its offers have no rhythm yet. */
  readonly nextOffer: number | null
}

export interface BuyList {
  readonly plans: readonly { readonly id: string; readonly title: string }[]
  readonly wanted: readonly WantedMaterial[]
  readonly bought: readonly (Bought & { readonly name: string })[]
  readonly totalMinor: number
  readonly surfaces: readonly {
    readonly name: string
    readonly needed: number
    readonly onHand: number
    readonly eachMinor: number | null
  }[]
  readonly unread: readonly Unread[]
}

/** Facts of a buying list, read in one transaction; worked out by `buyList`. */
export async function buyFacts(tx: Tx) {
  return {
    plans: (await listPlans(tx)).filter((p) => !p.pouredAt),
    bottles: await bottlesInUse(tx),
    formulas: await listFormulas(tx),
    materials: await allMaterials(tx),
    have: await onHand(tx),
    offers: await allOffers(tx),
    surfaces: await listSurfaces(tx),
  }
}
export type BuyFacts = Awaited<ReturnType<typeof buyFacts>>

/**
 * What to buy for some plans together: materials for all that is short, less what is there, and the cheapest purchase
 * that covers it at today's prices.
 * @param chosen the plans it is for
 */
export async function buyList(
  f: BuyFacts,
  chosen: readonly PlanWithParts[],
  today: string,
  now: Date,
): Promise<BuyList> {
  const { materials, unread } = wantedMaterials(f, chosen)
  const shelf = shelfOf(f, today)
  const wanted = [...materials].flatMap(([id, needUl]) => {
    const m = f.materials.find((x) => x.id === id)
    return m && m.kind !== 'water' ? [wantedOf(m, needUl, f, shelf, now)] : []
  })
  const deals = dealsOf(shelf)
  const toBuy = new Map(wanted.filter((w) => w.buyUl > 0 && w.priced).map((w) => [w.id, w.buyUl]))
  const bought = await cheapestCover(toBuy, deals)
  const nameOf = new Map(f.materials.map((m) => [m.id, m.name]))
  return {
    plans: chosen.map(({ id, title }) => ({ id, title })),
    wanted: wanted.sort((a, b) => b.buyUl - a.buyUl || a.name.localeCompare(b.name)),
    bought: bought.map((b) => ({ ...b, name: nameOf.get(b.deal.materialId)! })),
    totalMinor: bought.reduce((sum, b) => sum + b.times * b.deal.priceMinor, 0),
    surfaces: shortSurfaces(f, chosen),
    unread,
  }
}

function wantedOf(m: MaterialRow, needUl: number, f: BuyFacts, shelf: readonly Shelved[], now: Date): WantedMaterial {
  const haveUl = f.have.get(m.id) ?? null
  const began = f.offers
    .filter((o) => o.materialId === m.id && o.terms.kind !== 'list')
    .map((o) => new Date(o.startsOn))
  return {
    id: m.id,
    name: m.name,
    maker: m.maker,
    hex: m.kind === 'paint' ? m.swatchHex : null,
    needUl,
    haveUl,
    buyUl: haveUl === null ? 0 : Math.max(0, needUl - haveUl),
    priced: shelf.some((s) => s.materialId === m.id),
    nextOffer: offerRhythm(began, now)?.nextAt.getTime() ?? null,
  }
}

/** What can be bought today: the usual container of each material at its price, and its sizes and offers. */
function shelfOf(f: BuyFacts, today: string): Shelved[] {
  const usual = f.materials.flatMap((m): Shelved[] =>
    m.containerUl && m.priceMinor !== null
      ? [{ materialId: m.id, sizeUl: m.containerUl, listMinor: m.priceMinor, supplier: '', terms: { kind: 'list' } }]
      : [],
  )
  const runs = (o: OfferRow) => o.startsOn <= today && (o.endsOn === null || o.endsOn >= today)
  const offered = f.offers.map((o): Shelved => ({
    materialId: o.materialId,
    sizeUl: o.sizeUl,
    listMinor: o.listMinor,
    supplier: o.supplier,
    terms: runs(o) ? o.terms : { kind: 'list' },
  }))
  const alike = (s: Shelved) => JSON.stringify([s.materialId, s.sizeUl, s.supplier, s.listMinor, s.terms])
  return [...new Map([...usual, ...offered].map((s) => [alike(s), s])).values()]
}

/** Kinds of surfaces of which the plans want more than lie on the shelf. */
function shortSurfaces(f: BuyFacts, chosen: readonly PlanWithParts[]): BuyList['surfaces'] {
  const counts = new Map<string, number>()
  for (const { design } of chosen)
    for (const s of design.surfaces)
      if (s.stockId) counts.set(s.stockId, (counts.get(s.stockId) ?? 0) + s.surface.count)
  return f.surfaces.flatMap((s) => {
    const needed = counts.get(s.id) ?? 0
    return needed > s.onHand ? [{ name: s.name, needed, onHand: s.onHand, eachMinor: s.eachMinor }] : []
  })
}
