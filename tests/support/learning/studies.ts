import { gaussian, random } from '../random'

/** A kind of pour of the made-up studio: how much it needs beside the rule of 28, what stays on, how it is liked. */
interface Way {
  readonly technique: string
  readonly need: number
  readonly kept: number
  readonly liked: number
}

const WAYS: readonly Way[] = [
  { technique: 'ring', need: 1.02, kept: 0.66, liked: 4 },
  { technique: 'open-cup', need: 1.2, kept: 0.7, liked: 3.6 },
  { technique: 'flip-cup', need: 0.95, kept: 0.62, liked: 2.7 },
  { technique: 'swipe', need: 0.7, kept: 0.74, liked: 3.2 },
]

/** What is stated of this studio: its black craters two pieces in three; thick films craze. */
export const STATED = { cause: 'black', strong: 0.66, base: 0.04, rating: 0.7, crazesFromMm: 1.12 } as const

/** One piece of the simulation. Colours by key, the first the most. */
export interface Study {
  readonly technique: string
  readonly colours: readonly string[]
  /** Poured ÷ rule of 28, and what of it stayed on. */
  readonly ofRule: number
  readonly kept: number
  readonly rating: number
  readonly faults: readonly string[]
}

/** Wet film the rule of 28 is of a face, run-off included, mm. */
const RULE_MM = 1.637

/**
 * Pieces of a studio with a stated cause: every piece three of its colours, the black in about two of five.
 * @param edges edges ÷ face
 */
export function studies(seed: number, n: number, colours: readonly string[], edges: number): Study[] {
  const next = random(seed * 101 + 3)
  for (let i = 0; i < 8; i++) next()
  return Array.from({ length: n }, (_, i) => {
    const way = WAYS[i % WAYS.length]!
    const black = next() < 0.4
    const others = colours.filter((c) => c !== STATED.cause)
    const picked = new Set<string>()
    while (picked.size < (black ? 2 : 3)) picked.add(others[Math.floor(next() * others.length)]!)
    const ofRule = way.need * Math.exp(0.12 * gaussian(next))
    const kept = Math.min(0.95, Math.max(0.3, way.kept + 0.05 * gaussian(next)))
    const wetMm = (ofRule * kept * RULE_MM) / (1 + edges)
    const faults = [
      ...(next() < (black ? STATED.strong : STATED.base) ? ['craters'] : []),
      ...(wetMm > STATED.crazesFromMm * Math.exp(0.15 * gaussian(next)) ? ['crazing'] : []),
      ...(next() < 0.06 ? ['mud'] : []),
    ]
    const rating = Math.round(way.liked + STATED.rating * gaussian(next) - 0.8 * faults.length)
    return {
      technique: way.technique,
      colours: [...picked, ...(black ? [STATED.cause] : [])],
      ofRule,
      kept,
      rating: Math.min(5, Math.max(1, rating)),
      faults,
    }
  })
}
