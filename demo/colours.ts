import { createHash } from 'node:crypto'
import { mixReflectance, type Optics } from '@/core/colour/kubelkaMunk'
import { STANDARD_BLACK, STANDARD_WHITE } from '@/core/colour/paintedOut'
import { opticsFromHex } from '@/core/colour/paintOptics'
import type { Strength } from '@/core/paint/properties'

/** A named colour of the demo studio: its versions, oldest first, and which were painted out. */
export interface DemoColour {
  readonly name: string
  readonly notes: string
  readonly standsInFor?: string
  readonly versions: readonly {
    readonly parts: readonly (readonly [paint: string, parts: number])[]
    readonly note?: string
    readonly daysAgo: number
    readonly painted?: boolean
  }[]
  /** Bottles mixed by its last version. */
  readonly bottles?: readonly string[]
}

// prettier-ignore
export const COLOURS: readonly DemoColour[] = [
  { name: 'Night teal', notes: 'The sea of the Night Ferries.', bottles: ['Night teal'], versions: [
    { parts: [['Canal Teal', 2], ['Ferry Navy', 1]], note: 'too dark beside the gold', daysAgo: 120, painted: true },
    { parts: [['Canal Teal', 3], ['Ferry Navy', 1]], daysAgo: 110, painted: true } ] },
  { name: 'Bakery teal', notes: 'Agreed with the bakery on card.', bottles: ['Bakery teal'], versions: [
    { parts: [['Canal Teal', 2], ['Sluice White', 1]], daysAgo: 24, painted: true } ] },
  { name: 'Bakery crust', notes: '', bottles: ['Bakery crust'], versions: [
    { parts: [['Towpath Ochre', 2], ['Brick Arch', 1]], daysAgo: 23 } ] },
  { name: 'Poppy', notes: 'Two reds, since neither is it.', versions: [{ parts: [['Poppy Cut', 2], ['Mooring Red', 1]], daysAgo: 70, painted: true }] },
  { name: 'Winter barge, from blues', notes: '', standsInFor: 'Winter Barge', versions: [{ parts: [['Deep Sluice', 1], ['Sluice White', 3], ['Cobble Blue', 1]], daysAgo: 50 }] },
  { name: 'Winter barge, from navy', notes: 'Cheaper, a little greener.', standsInFor: 'Winter Barge', versions: [{ parts: [['Ferry Navy', 1], ['Sluice White', 7]], daysAgo: 48, painted: true }] },
]

/** Paints act a little stronger or weaker than their class says; which way is made up from the name. */
function ownStrength(name: string): number {
  const byte = createHash('sha256').update(name).digest()[0]!
  return Math.exp(((byte / 255) * 2 - 1) * 0.45)
}

/** What a paint really does in a mix, in place of the paint itself. */
export function truthOf(name: string, hex: string, strength: Strength): Optics {
  const { k, s } = opticsFromHex(hex, strength)
  const factor = ownStrength(name)
  return { k: k.map((v) => v * factor), s: s.map((v) => v * factor) }
}

const swatch = (paints: readonly Optics[], parts: readonly number[]) =>
  [...mixReflectance(paints, parts)].map((v) => Number(v.toFixed(5)))

/** A 10 % tint in white and a 20 % black shade as a reader gives them. */
export const tintOf = (paint: Optics) => swatch([paint, STANDARD_WHITE.optics], [1, 9])
export const shadeOf = (paint: Optics) => swatch([paint, STANDARD_BLACK.optics], [4, 1])
export const mixOf = swatch
