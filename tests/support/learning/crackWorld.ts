import type { DriedFilm } from '@/core/learning/crackRisk'
import { gaussian, random } from '../random'

/** How cracks come about in a made-up studio: as practice has it, hardly ever, or far sooner. */
export const CRACK_WORLDS = {
  'practice is right': [-3.2, 2.5, 1.5],
  'films here hold': [-5.5, 1, 0.5],
  'films here crack soon': [-0.5, 3, 2],
} as const

const logistic = (x: number) => 1 / (1 + Math.exp(-x))
export const trueRisk = (w: readonly number[], wetMm: number, water: number) =>
  logistic(w[0]! + w[1]! * Math.log(wetMm / 1.2) + w[2]! * Math.max(0, water - 0.3))

/** Pieces of such a studio. */
export function crackWorld(seed: number, n: number, w: readonly number[]): DriedFilm[] {
  const next = random(seed * 53 + 11)
  for (let i = 0; i < 5; i++) next()
  return Array.from({ length: n }, () => {
    const wetMm = 1.2 * Math.exp(0.35 * gaussian(next))
    const waterOfPaint = 0.7 * next()
    return { wetMm, waterOfPaint, cracked: next() < trueRisk(w, wetMm, waterOfPaint) }
  })
}
