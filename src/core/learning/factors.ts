import type { Factor, TracedPiece } from './faultCause'
import type { PouredFacts } from './pouredFacts'

/** A factor with what it is called. */
export interface NamedFactor extends Factor {
  readonly name: string
}

/** From this share by volume on a material is at work in full. Start value of Fika. */
const FULL_SHARE = 0.04
/** What handling and air are read by. Start values of Fika, after the house's rules of the trade. */
const SHORT_REST_H = 2
const JUST_STIRRED_MIN = 20
const THICK_MM = 1.4
const LONG_HEAT_S = 40
const AIR = { dry: 0.35, damp: 0.65, coldC: 16, hotC: 27 }

const share = (s: number) => Math.min(1, s / FULL_SHARE)
/** From none at `from` to in full at twice it. */
const past = (x: number, from: number) => Math.max(0, Math.min(1, x / from - 1))

/** Seconds until flat that a technique is poured at. */
export type BandOf = (technique: string) => readonly [number, number] | undefined

/** Conditions a piece was poured under, by key: each from 0 to 1, only those that were noted. */
const CONDITIONS: readonly (NamedFactor & { readonly of: (p: PouredFacts, band: BandOf) => number | null })[] = [
  {
    key: 'too thin',
    group: 'handling',
    name: 'poured thinner than its technique',
    of: (p, band) => ofBand(p, band, (t, [low]) => past(low / t, 1)),
  },
  {
    key: 'too thick',
    group: 'handling',
    name: 'poured thicker than its technique',
    of: (p, band) => ofBand(p, band, (t, [, high]) => past(t / high, 1)),
  },
  {
    key: 'short rest',
    group: 'handling',
    name: 'mixes that rested under two hours',
    of: (p) => (p.restHours === null ? null : Number(p.restHours < SHORT_REST_H)),
  },
  {
    key: 'just stirred',
    group: 'handling',
    name: 'mixes stirred or shaken right before',
    of: (p) => (p.minutesSinceStirred === null ? null : Number(p.minutesSinceStirred < JUST_STIRRED_MIN)),
  },
  { key: 'thick film', group: 'handling', name: 'a thick film left on', of: (p) => past(p.wetMm, THICK_MM) },
  {
    key: 'much water',
    group: 'handling',
    name: 'water past 30 % of the paint',
    of: (p) => Math.min(1, Math.max(0, p.waterOfPaint - 0.3) / 0.3),
  },
  {
    key: 'silicone',
    group: 'handling',
    name: 'silicone',
    of: (p) => Number(p.materials.some((m) => m.kind === 'additive')),
  },
  {
    key: 'long heat',
    group: 'handling',
    name: 'long heat',
    of: (p) => (p.heatS === null ? null : Number(p.heatS > LONG_HEAT_S)),
  },
  {
    key: 'no heat',
    group: 'handling',
    name: 'no heat after pouring',
    of: (p) => (p.heatS === null ? null : Number(p.heatS === 0)),
  },
  {
    key: 'damp',
    group: 'air',
    name: 'damp air',
    of: (p) => (p.humidity === null ? null : Number(p.humidity > AIR.damp)),
  },
  { key: 'dry', group: 'air', name: 'dry air', of: (p) => (p.humidity === null ? null : Number(p.humidity < AIR.dry)) },
  {
    key: 'cold',
    group: 'air',
    name: 'a cold room',
    of: (p) => (p.celsius === null ? null : Number(p.celsius < AIR.coldC)),
  },
  {
    key: 'hot',
    group: 'air',
    name: 'a hot room',
    of: (p) => (p.celsius === null ? null : Number(p.celsius > AIR.hotC)),
  },
]

function ofBand(
  p: PouredFacts,
  bandOf: BandOf,
  f: (levelTimeS: number, band: readonly [number, number]) => number,
): number | null {
  const band = bandOf(p.technique)
  return p.levelTimeS === null || !band ? null : f(p.levelTimeS, band)
}

/**
 * What may have caused faults of these pieces, and how strongly each was at work in each: materials and counted lots by
 * their share, kinds of medium, techniques, handling, air. What nobody noted counts as not at work.
 * @param nameOf a technique's name
 */
export function factorsOf(
  pieces: readonly PouredFacts[],
  fault: string,
  bandOf: BandOf,
  nameOf: (technique: string) => string,
): { factors: NamedFactor[]; traced: TracedPiece[] } {
  const factors = new Map<string, NamedFactor>()
  const traced = pieces.map((p): TracedPiece => {
    const strengths = new Map<string, number>()
    const put = (f: NamedFactor, strength: number) => {
      if (strength <= 0) return
      factors.set(f.key, { key: f.key, group: f.group, name: f.name })
      strengths.set(f.key, Math.max(strengths.get(f.key) ?? 0, strength))
    }
    for (const m of p.materials) {
      if (m.kind === 'paint' || m.kind === 'medium')
        put({ key: `material ${m.id}`, group: 'material', name: m.name }, share(m.share))
      if (m.mediumKind && m.kind === 'medium')
        put(
          { key: `medium ${m.mediumKind}`, group: 'medium', name: `mediums of the kind ${m.mediumKind}` },
          share(m.share),
        )
    }
    for (const l of p.lots) put({ key: `lot ${l.id}`, group: 'lot', name: l.name }, share(l.share))
    put({ key: `technique ${p.technique}`, group: 'technique', name: nameOf(p.technique) }, 1)
    for (const c of CONDITIONS) put(c, c.of(p, bandOf) ?? 0)
    return { isFaulty: p.faults.includes(fault), strengths }
  })
  return { factors: [...factors.values()], traced }
}

/** Whether a piece tells anything of faults: somebody looked at it, or one was seen. */
export const isTold = (p: PouredFacts) => p.isLookedAt || p.faults.length > 0
