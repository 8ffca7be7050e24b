import { mustBeAmounts } from '../mustBe'
import { apportionParts } from '../mix/apportion'
import type { Design, PlannedCup } from './design'
import { surfaceNeeds, type SurfaceNeed } from './need'

/** A cup is filled to this share of its brim, so that it can be carried and turned. Start value of Fika. */
export const FILLED = 0.9

/** A layer of a cup with what it takes, µl: of all copies for all pieces together. */
export interface FilledLayer {
  readonly layer: string
  readonly ul: number
}

export interface FilledCup {
  readonly id: string
  /** Cups alike in all. */
  readonly cups: number
  /** Of all of them, µl. */
  readonly ul: number
  /** Of each, µl. */
  readonly eachUl: number
  readonly layers: readonly FilledLayer[]
  /** What one holds to the brim, as it was chosen. */
  readonly sizeUl: number | null
  /** Whether one holds it; null where no size is chosen. */
  readonly fits: boolean | null
  /** The smallest of the studio's cups that holds it; null where none does, or there are none. */
  readonly smallestUl: number | null
}

export interface Filled {
  readonly needs: readonly SurfaceNeed[]
  readonly cups: readonly FilledCup[]
  /** What the surfaces want and no cup gives yet, µl. */
  readonly openUl: number
  readonly pourUl: number
}

/** The smallest cup that holds an amount at nine tenths full, µl; null where none does. */
export function smallestCup(eachUl: number, sizes: readonly number[]): number | null {
  const holding = sizes.filter((s) => eachUl <= FILLED * s * (1 + 1e-9))
  return holding.length ? Math.min(...holding) : null
}

/**
 * What goes into every cup and each of its layers. Cups of one surface share what it wants by how much they hold;
 * those of no surface serve all that have none of their own. Whole µl, and everything sums to what is wanted.
 * @param sizes brims of the studio's cups, µl
 * @throws Invalid for impossible sizes
 */
export function fillCups(
  design: Pick<Design, 'surfaces' | 'school' | 'rounding' | 'cups'>,
  sizes: readonly number[],
): Filled {
  const { surfaces, cups } = design
  mustBeAmounts('A cup', [...sizes, ...cups.flatMap((c) => [c.copies, c.ul, c.sizeUl])])
  const needs = surfaceNeeds(surfaces, design.school, design.rounding)
  const own = new Set(cups.map((c) => c.on))
  const needOf = (on: string | null) =>
    needs.filter((n) => (on === null ? !own.has(n.id) : n.id === on)).reduce((sum, n) => sum + n.pourUl, 0)
  const piecesOf = (on: string | null) =>
    surfaces
      .filter((s) => (on === null ? !own.has(s.id) : s.id === on))
      .filter((s) => needs.find((n) => n.id === s.id)!.pourUl > 0)
      .reduce((sum, s) => sum + s.surface.count, 0)
  const filled: FilledCup[] = []
  let openUl = 0
  const places = new Set([...own, ...(needOf(null) > 0 ? [null] : [])])
  for (const on of places) {
    const here = cups.filter((c) => c.on === on)
    const pieces = Math.max(1, piecesOf(on))
    const fixed = here.reduce((sum, c) => sum + (c.ul === null ? 0 : c.ul * c.copies * pieces), 0)
    const wanted = Math.max(0, needOf(on) - fixed)
    const sharing = here.filter((c) => c.ul === null && c.copies > 0)
    const parts = sharing.length
      ? apportionParts(
          wanted,
          sharing.map((c) => weightOf(c, sharing)),
        )
      : []
    if (sharing.length === 0) openUl += wanted
    for (const c of here) {
      const ul = c.ul === null ? (parts[sharing.indexOf(c)] ?? 0) : Math.round(c.ul) * c.copies * pieces
      filled.push(fillOne(c, ul, c.copies * pieces, sizes))
    }
  }
  const inOrder = cups.map((c) => filled.find((f) => f.id === c.id)!)
  return { needs, cups: inOrder, openUl, pourUl: inOrder.reduce((sum, c) => sum + c.ul, 0) }
}

/** Bigger cups give more: by size where every one of them has one, and else by their number alone. */
const weightOf = (c: PlannedCup, among: readonly PlannedCup[]) =>
  c.copies * (among.every((x) => x.sizeUl) ? c.sizeUl! : 1)

function fillOne(c: PlannedCup, ul: number, cups: number, sizes: readonly number[]): FilledCup {
  const eachUl = cups > 0 ? ul / cups : 0
  return {
    id: c.id,
    cups,
    ul,
    eachUl,
    layers: fillLayers(c, ul, cups),
    sizeUl: c.sizeUl,
    fits: c.sizeUl === null ? null : eachUl <= FILLED * c.sizeUl * (1 + 1e-9),
    smallestUl: eachUl > 0 ? smallestCup(eachUl, sizes) : null,
  }
}

/** Layers with an amount of their own take it as far as it is there; the others share the rest by their shares. */
function fillLayers(c: PlannedCup, ul: number, cups: number): FilledLayer[] {
  mustBeAmounts(
    'A share of a layer',
    c.layers.flatMap((l) => [l.share, l.ul]),
  )
  let left = ul
  const fixed = new Map<string, number>()
  for (const l of c.layers)
    if (l.ul !== null) {
      const takes = Math.min(left, Math.round(l.ul) * cups)
      fixed.set(l.id, takes)
      left -= takes
    }
  const sharing = c.layers.filter((l) => l.ul === null && l.share !== null && l.share > 0)
  const parts =
    sharing.length && left > 0
      ? apportionParts(
          left,
          sharing.map((l) => l.share!),
        )
      : []
  return c.layers.map((l) => ({ layer: l.id, ul: fixed.get(l.id) ?? parts[sharing.indexOf(l)] ?? 0 }))
}
