import { KEEP_WARNING_DAYS } from '@/core/vessel/needs'
import { level } from '@/core/vessel/level'
import type { BottleLook } from '@/ui/pictures/BottleGlyph'

const DAY = 86_400_000

/** How a bottle is drawn, from what is known of it. Times in ms. */
export function lookOf(
  b: {
    hex: string | null
    sheen: string
    ul: number
    capacityUl: number | null
    mixedAt: number
    restUntil: number
    keepUntil: number | null
    levelTimeS: number | null
    isReference: boolean
    hasAdditive: boolean
    isJar: boolean
  },
  now: number,
): BottleLook {
  const whole = Math.max(3_600_000, b.restUntil - b.mixedAt)
  const left = b.keepUntil === null ? Infinity : b.keepUntil - now
  return {
    hex: b.hex,
    sheen: b.sheen,
    level: level(b),
    restLeft: Math.min(1, Math.max(0, (b.restUntil - now) / whole)),
    empty: b.ul === 0,
    jar: b.isJar,
    levelTimeS: b.levelTimeS,
    keep: left <= 0 ? 'past' : left <= KEEP_WARNING_DAYS * DAY ? 'near' : undefined,
    reference: b.isReference,
    additive: b.hasAdditive,
  }
}
