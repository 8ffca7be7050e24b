import { deltaE00 } from '../colour/deltaE00'
import { hexToLab } from '../colour/lab'
import { mixToLab } from '../colour/mixColour'
import { opticsFromHex } from '../colour/paintOptics'
import { wantedBand, type Look } from '../consistency/wanted'
import { closed } from '../consistency/waterAdvice'
import type { Role } from '../paint/properties'
import type { Technique } from '../technique/technique'
import { thinTo } from '../vessel/thickening'
import type { PlanBottle } from './bottle'

export interface Missing {
  readonly hex: string
  readonly role: Role
  readonly needUl: number
  readonly haveUl: number
  readonly pourAt: number
  readonly technique: Technique
  readonly look: Look
}

/** A bottle that could stand in, the nearest first. */
export interface StandIn {
  readonly id: string
  readonly label: string
  readonly deltaE: number
  /** ΔE00 with what another role or consistency weighs on top of it. */
  readonly score: number
}

/** Another role counts for this many times its colour difference; each e-fold out of the band adds this much. Start values of Fika. */
const OTHER_ROLE = 1.5
const OUT_OF_BAND = 0.5

/** Ready bottles that hold enough, by ΔE00 × role × consistency; at most five, and none that is plainly another colour. */
export function nearestReady(m: Missing, bottles: readonly PlanBottle[], freeUl: (id: string) => number): StandIn[] {
  const wanted = hexToLab(m.hex)
  return bottles
    .filter(
      (b) => b.hex && freeUl(b.id) >= m.needUl && b.restUntil <= m.pourAt && (b.keepUntil ?? Infinity) >= m.pourAt,
    )
    .map((b) => {
      const deltaE = deltaE00(wanted, hexToLab(b.hex!))
      return { id: b.id, label: b.label, deltaE, score: (1 + deltaE) * roleFactor(b, m) * bandFactor(b, m) }
    })
    .filter((s) => s.deltaE <= 25)
    .sort((a, b) => a.score - b.score)
    .slice(0, 5)
}

const roleFactor = (b: PlanBottle, m: Missing) => (b.role === m.role ? 1 : OTHER_ROLE)

function bandFactor(b: PlanBottle, m: Missing): number {
  const band = closed(wantedBand(m.technique, m.look, m.role))
  const { expectedS } = thinTo(b, b.readAt, m.pourAt, band)
  if (expectedS === null) return 1 + OUT_OF_BAND / 2
  const out =
    expectedS > band[1] ? Math.log(expectedS / band[1]) : expectedS < band[0] ? Math.log(band[0] / expectedS) : 0
  return 1 + OUT_OF_BAND * out
}

/** How much smaller the sides of a surface are, 0–1, that what is there is enough for. */
export const smallerBy = (m: Pick<Missing, 'needUl' | 'haveUl'>) => Math.sqrt(Math.min(1, m.haveUl / m.needUl))

/** Ends that together cover what is missing when they are emptied. */
export interface EmptyThese {
  readonly bottles: readonly { readonly id: string; readonly label: string; readonly ul: number }[]
  readonly ul: number
  /** What is over, µl, and how far their mix is from the wanted colour. */
  readonly overUl: number
  readonly deltaE: number
}

/** Bottles looked at, nearest colour first, and emptied together at most. */
const CANDIDATES = 14
const MOST_TOGETHER = 4

/**
 * Ends to use up: sets of bottles that are emptied into one, cover the need, and mix to within a tolerance of the
 * wanted colour; the least left over first, then the nearest colour. Every set of up to four of the fourteen nearest is
 * looked at.
 */
export function emptyThese(
  m: Missing,
  bottles: readonly PlanBottle[],
  freeUl: (id: string) => number,
  tolerance: number,
): EmptyThese[] {
  const wanted = hexToLab(m.hex)
  const near = bottles
    .flatMap((b) => {
      const ul = freeUl(b.id)
      return b.hex && ul > 0 && !b.hasAdditive
        ? [{ id: b.id, label: b.label, ul, hex: b.hex, off: deltaE00(wanted, hexToLab(b.hex)) }]
        : []
    })
    .sort((a, b) => a.off - b.off)
    .slice(0, CANDIDATES)
    .map((b) => ({ ...b, optics: opticsFromHex(b.hex, 'normal') }))
  const found: EmptyThese[] = []
  const go = (from: number, taken: typeof near, ul: number) => {
    if (ul >= m.needUl) {
      const deltaE = deltaE00(
        wanted,
        mixToLab(
          taken.map((t) => t.optics),
          taken.map((t) => t.ul),
        ),
      )
      if (deltaE <= tolerance)
        found.push({
          bottles: taken.map(({ id, label, ul: each }) => ({ id, label, ul: each })),
          ul,
          overUl: ul - m.needUl,
          deltaE,
        })
      return
    }
    if (taken.length === MOST_TOGETHER) return
    for (let i = from; i < near.length; i++) go(i + 1, [...taken, near[i]!], ul + near[i]!.ul)
  }
  go(0, [], 0)
  return found.sort((a, b) => a.overUl - b.overUl || a.deltaE - b.deltaE).slice(0, 3)
}
