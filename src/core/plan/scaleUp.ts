import { areas } from '../surface/area'
import { footprint } from '../surface/shapes'
import type { Point } from '../surface/polygon'
import { smallestCup } from './cups'
import { planAmounts } from './amounts'
import { sourceKey, type Design, type Layer, type Of, type PlannedCup, type PlannedSurface } from './design'

/** A surface a design is brought onto. */
export type Onto = Pick<PlannedSurface, 'name' | 'surface' | 'stockId' | 'eachMinor'>

/** An old surface and the new one it becomes. */
interface Pair {
  readonly old: PlannedSurface
  readonly onto: Onto
  readonly id: string
  /** By how much the sides, one piece, and all pieces grow. */
  readonly sides: readonly [number, number]
  readonly each: number
  readonly all: number
}

/**
 * A design on other surfaces. Ratios stay: what the pour takes is computed anew, amounts that were typed grow as what
 * their surface takes, places and paths as its sides, and each cup becomes the smallest of the studio's that holds it.
 * @param onto one for each of the old surfaces in their order; several for one: its cups are made anew for each of them
 * @param sizes brims of the studio's cups, µl
 * @param newId makes ids
 * @throws Invalid for impossible sizes
 */
export function scaleUp(design: Design, onto: readonly Onto[], sizes: readonly number[], newId: () => string): Design {
  const alone = design.surfaces.length === 1
  const pairs = onto
    .slice(0, alone ? onto.length : design.surfaces.length)
    .map((o, i): Pair => pairOf(design.surfaces[alone ? 0 : i]!, o, newId()))
  const idOf = (old: string | null) => pairs.find((p) => p.old.id === old)?.id ?? null
  const spread = alone && pairs.length > 1
  /** What was for a surface is for each of those it became; what was for all stays for all where it can. */
  const placed = <T extends { readonly id: string; readonly on: string | null }>(
    x: T,
    grow: (x: T, p: Pair) => T,
  ): T[] => {
    const own = spread ? pairs : [pairs.find((p) => p.old.id === x.on) ?? pairs[0]!]
    return own.map((p) => ({ ...grow(x, p), id: newId(), on: spread ? p.id : idOf(x.on) }))
  }
  const surfaces = pairs.map((p): PlannedSurface => ({
    ...p.old,
    ...p.onto,
    id: p.id,
    feeds: spread ? null : idOf(p.old.feeds),
    free: p.old.free && p.old.free.map((at) => scaled(at, p.sides)),
    split: p.old.split && { ...p.old.split, offsetMm: p.old.split.offsetMm * p.sides[0] },
  }))
  const cups = design.cups.flatMap((c) =>
    placed(c, (x, p): PlannedCup => ({
      ...x,
      sizeUl: null,
      ul: grown(x.ul, p.each),
      at: scaled(x.at, p.sides),
      path: x.path.map((at) => scaled(at, p.sides)),
      layers: x.layers.map((l) => ({ ...l, id: newId(), ul: grown(l.ul, p.each) })),
    })),
  )
  const coats = design.coats.flatMap((c) =>
    placed(c, (x, p) => ({ ...x, ul: grown(x.ul, p.all), path: x.path.map((at) => scaled(at, p.sides)) })),
  )
  const large = { ...design, surfaces, cups, coats, done: [] }
  const filled = planAmounts(large, sizes).cups
  return { ...large, cups: cups.map((c, i) => ({ ...c, sizeUl: smallestCup(filled[i]!.eachUl, sizes) })) }
}

const grown = (ul: number | null, by: number) => (ul === null ? null : Math.round(ul * by))

function pairOf(old: PlannedSurface, onto: Onto, id: string): Pair {
  const [a, b] = [footprint(old.surface), footprint(onto.surface)]
  const all = areas(onto.surface).faceMm2 / areas(old.surface).faceMm2
  return {
    old,
    onto,
    id,
    sides: [b.lengthMm / a.lengthMm, b.widthMm / a.widthMm],
    each: (all * old.surface.count) / onto.surface.count,
    all,
  }
}

const scaled = ([x, y]: Point, [sx, sy]: readonly [number, number]): Point => [x * sx, y * sy]

/** Colours changed one for another in every layer and coat. */
export function swapColours(design: Design, swaps: ReadonlyMap<string, Of>): Design {
  const swap = (of: Of | null) => (of && (swaps.get(sourceKey(of)) ?? of)) || null
  return {
    ...design,
    cups: design.cups.map((c) => ({ ...c, layers: c.layers.map((l) => ({ ...l, of: swap(l.of) })) })),
    coats: design.coats.map((c) => ({ ...c, of: swap(c.of) })),
  }
}

/** What a bottle really gave a piece, µl. */
export interface Loaded {
  readonly bottle: string
  readonly ul: number
}

/**
 * A design as it was really poured: each layer by what its bottle gave and not by what was planned, a bottle that was
 * reached for without a plan as a layer of its own on top, one that gave nothing left out.
 * @param newId makes ids
 */
export function asLoaded(design: Design, loaded: readonly Loaded[], newId: () => string): Design {
  const coated = new Set(design.coats.flatMap((c) => (c.of?.kind === 'bottle' ? [c.of.id] : [])))
  const planned = planAmounts(design)
  const plannedUl = new Map<string, number>()
  for (const c of design.cups)
    for (const l of c.layers)
      if (l.of?.kind === 'bottle') {
        const ul = planned.cups.find((f) => f.id === c.id)!.layers.find((f) => f.layer === l.id)!.ul
        plannedUl.set(l.of.id, (plannedUl.get(l.of.id) ?? 0) + ul)
      }
  const coatUl = (id: string) =>
    planned.parts.filter((p) => p.use !== 'cup' && p.of.id === id).reduce((sum, p) => sum + p.ul, 0)
  const given = new Map(
    loaded.map((l) => [l.bottle, Math.max(0, l.ul - (coated.has(l.bottle) ? coatUl(l.bottle) : 0))]),
  )
  const cups = design.cups.map((c) => ({
    ...c,
    layers: c.layers.flatMap((l): Layer[] => {
      if (l.of?.kind !== 'bottle') return []
      const now = given.get(l.of.id) ?? 0
      const then = plannedUl.get(l.of.id) ?? 0
      const part = planned.cups.find((f) => f.id === c.id)!.layers.find((f) => f.layer === l.id)!.ul
      return now > 0 && then > 0 ? [{ ...l, share: (now * part) / then, ul: null }] : []
    }),
  }))
  const extra = [...given]
    .filter(([id, ul]) => ul > 0 && !plannedUl.has(id) && !coated.has(id))
    .map(([id, ul]): Layer => ({ id: newId(), of: { kind: 'bottle', id }, share: ul, ul: null, how: 'side' }))
  return {
    ...design,
    cups: cups.map((c, i) => ({ ...c, layers: inHundredths([...c.layers, ...(i > 0 ? [] : extra)]) })),
  }
}

/** Shares as parts of a hundred, as people read them; fine enough to give back what was poured. */
function inHundredths(layers: readonly Layer[]): Layer[] {
  const all = layers.reduce((sum, l) => sum + (l.share ?? 0), 0)
  return layers.map((l) =>
    l.share === null || all === 0 ? l : { ...l, share: Number(((100 * l.share) / all).toFixed(3)) },
  )
}
