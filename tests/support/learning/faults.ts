import type { Factor, TracedPiece } from '@/core/learning/faultCause'
import { random } from '../random'

/** A made-up studio: materials it pours with, and palettes it comes back to. */
export interface FaultWorld {
  readonly pieces: readonly TracedPiece[]
  readonly factors: readonly Factor[]
}

const MATERIALS = 30
const HABITS = 6

/**
 * Pieces of a studio of 30 materials, 8–12 of them a piece, mostly from a few palettes it comes back to; a fault comes by
 * itself at `base`, and where `cause` (the first material) is in, at `strong` instead.
 */
export function faultWorld(seed: number, n: number, base: number, strong: number | null): FaultWorld {
  const next = random(seed * 7919 + 13)
  for (let i = 0; i < 5; i++) next()
  const draw = (k: number) => {
    const set = new Set<number>()
    while (set.size < k) set.add(Math.floor(next() * MATERIALS))
    return [...set]
  }
  const habits = Array.from({ length: HABITS }, () => draw(10))
  const pieces = Array.from({ length: n }, () => {
    const size = 8 + Math.floor(next() * 5)
    const habit = habits[Math.floor(next() * HABITS)]!
    const set = new Set<number>()
    while (set.size < size) set.add(next() < 0.7 ? habit[Math.floor(next() * 10)]! : Math.floor(next() * MATERIALS))
    const p = strong !== null && set.has(0) ? strong : base
    return { isFaulty: next() < p, strengths: new Map([...set].map((m) => [`m${m}`, 1])) }
  })
  const factors = Array.from({ length: MATERIALS }, (_, i): Factor => ({ key: `m${i}`, group: 'material' }))
  return { pieces, factors }
}
