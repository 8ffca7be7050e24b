import type { Role } from '@/core/paint/properties'
import type { Offer } from '@/core/purchase/offers'

/** Flags of the demo studio: kept out of a role, or good in nothing else, and why. */
export const FLAGS: Readonly<Record<string, readonly { role: Role; rule: 'avoid' | 'only'; reason: string }[]>> = {
  'Picket White': [
    { role: 'top', rule: 'avoid', reason: 'turns grey and swallows cells' },
    { role: 'swipe', rule: 'avoid', reason: 'too weak' },
  ],
  'Butter Lamp': [{ role: 'slip coat', rule: 'only', reason: 'weak, disappears in a pour' }],
  'Old Gold': [{ role: 'slip coat', rule: 'avoid', reason: 'flakes sink and drag' }],
  'Star Grit': [{ role: 'lead-in', rule: 'only', reason: 'sinks in anything thin' }],
}

/** Paints whose tint in white and wet colour the studio has painted out. */
export const PAINTED_OUT = [
  'Canal Teal',
  'Ferry Navy',
  'Turquoise Lock',
  'Indigo Hour',
  'Rowan Lake',
  'Plum Shed',
  'Marigold',
  'Poppy Cut',
  'Mooring Red',
  'Deep Sluice',
] as const

export const TAGS: Readonly<Record<string, readonly string[]>> = {
  'Canal Teal': ['night ferries', 'house colour'],
  'Ferry Navy': ['night ferries'],
  'Sluice White': ['night ferries', 'house colour'],
  'Old Gold': ['night ferries', 'sparing'],
  'Chalk Path': ['bakery'],
  'Towpath Ochre': ['bakery'],
  'Brick Arch': ['bakery'],
  'Turquoise Lock': ['sea'],
  Seafoam: ['sea'],
  'Ready Lagoon': ['sea', 'vases'],
  'Ready Coral': ['vases'],
}

/** Below this many ml in counted containers a paint is low. */
export const LOW_ML: Readonly<Record<string, number>> = {
  'Canal Teal': 120,
  'Ferry Navy': 60,
  'Sluice White': 250,
  'Picket White': 200,
  'Rowan Lake': 30,
  'Old Gold': 40,
}

/** The maker's own word on pairs. */
export const PAIRS: readonly (readonly [string, string, 'together' | 'never' | 'surprising', string])[] = [
  ['Canal Teal', 'Old Gold', 'together', 'the ferries live on it'],
  ['Canal Teal', 'Sluice White', 'together', 'clean edges'],
  ['Plum Shed', 'Marigold', 'never', 'mud in a second'],
  ['Wisteria', 'Marigold', 'surprising', 'violet and yellow, and it sang on the blow-out'],
  ['Mooring Red', 'Titan Ridge', 'never', 'goes pink; a gold between'],
]

/** Discontinued paints, and the formula that stands in for each. */
export const DISCONTINUED: Readonly<Record<string, readonly (readonly [string, number])[]>> = {
  'Winter Barge': [
    ['Deep Sluice', 1],
    ['Sluice White', 2],
    ['Cobble Blue', 1],
  ],
}
export const SUBSTITUTES: Readonly<Record<string, readonly string[]>> = {
  'Titan Ridge': ['Sluice White', 'Foam'],
  'Cobble Blue': ['Deep Sluice'],
}

/** Prices and offers over the last year and a half: paint or medium, shop, ml, list price, terms, days ago it began and ended. */
export const OFFERS: readonly (readonly [string, string, number, number, Offer, number, number | null])[] = [
  ['Canal Teal', 'Lockside Supplies', 120, 990, { kind: 'list' }, 500, null],
  ['Canal Teal', 'Lockside Supplies', 500, 3990, { kind: 'list' }, 400, null],
  ['Canal Teal', 'Lockside Supplies', 1000, 8900, { kind: 'list' }, 400, null],
  ['Canal Teal', 'Lockside Supplies', 120, 990, { kind: 'percent', percent: 25 }, 455, 441],
  ['Canal Teal', 'Lockside Supplies', 120, 990, { kind: 'percent', percent: 30 }, 362, 348],
  ['Canal Teal', 'Lockside Supplies', 120, 990, { kind: 'n-for-m', get: 3, pay: 2 }, 270, 256],
  ['Canal Teal', 'Lockside Supplies', 120, 990, { kind: 'percent', percent: 25 }, 181, 167],
  ['Canal Teal', 'Lockside Supplies', 120, 990, { kind: 'percent', percent: 30 }, 88, 74],
  ['Sluice White', 'Lockside Supplies', 250, 1450, { kind: 'n-for-m', get: 3, pay: 2 }, 6, -8],
  ['Sluice White', 'Lockside Supplies', 1000, 4600, { kind: 'list' }, 300, null],
  ['Ferry Navy', 'Lockside Supplies', 120, 990, { kind: 'coupon', percent: 40 }, 3, -11],
  ['Picket White', 'Corner Hardware', 1000, 1390, { kind: 'list' }, 200, null],
  ['Picket White', 'Corner Hardware', 118, 260, { kind: 'list' }, 200, null],
  ['Foam', 'Lockside Supplies', 60, 290, { kind: 'list' }, 200, null],
  ['Old Gold', 'Lockside Supplies', 60, 1290, { kind: 'bundle', count: 5, priceMinor: 4990 }, 20, -40],
  ['Kvarnby Flow', 'Corner Hardware', 946, 1490, { kind: 'percent', percent: 20 }, 40, 26],
]

/** Surfaces on the shelf: kind, name, cm (one number is round), edge, grade, pack of, price of the pack, used since. */
export const SURFACES: readonly (readonly [
  string,
  string,
  readonly number[],
  number,
  'practice' | 'sale',
  number,
  number,
  number,
])[] = [
  ['panel', 'Ferry panel', [20, 20], 1, 'sale', 12, 3840, 6],
  ['stretched canvas', 'Bakery canvas', [90, 60], 3.8, 'sale', 1, 3400, 0],
  ['stretched canvas', 'Canvas 40 × 50', [40, 50], 3.8, 'sale', 5, 5750, 1],
  ['canvas board', 'Practice board', [15, 15], 0.3, 'practice', 20, 1800, 9],
  ['round', 'Round 30', [30], 2, 'sale', 4, 2480, 1],
  ['tile', 'Hearth tile', [10, 10], 0.7, 'practice', 24, 1200, 3],
  ['vase', 'Bottle vase', [25, 30], 0, 'sale', 2, 2200, 0],
]
