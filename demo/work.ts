import type { Role } from '@/core/paint/properties'

/** A bottle of the demo studio. Formula and mediums by name and parts; `paint` and `medium` are the ratio. */
export interface DemoBottle {
  readonly label: string
  readonly formula: readonly (readonly [string, number])[]
  readonly mediums: readonly (readonly [string, number])[]
  readonly ratio: readonly [paint: number, medium: number, water: number]
  /** Drops of silicone for each 100 ml. */
  readonly silicone?: number
  readonly ml: number
  readonly holds: number
  readonly daysAgo: number
  readonly role?: Role
  readonly restHours?: number
  readonly notes?: string
  /** Medium that really went in ÷ what the ratio says: a hand that does not weigh. */
  readonly mediumOff?: number
}

const flow = [['Kvarnby Flow', 1]] as const
const gloss = [['Torvald Gloss 40', 1]] as const
const finch = [['Finch Pouring Medium', 1]] as const
const blend = [
  ['Kvarnby Flow', 1],
  ['Torvald Gloss 40', 1],
] as const

// prettier-ignore
export const BOTTLES: readonly DemoBottle[] = [
  { label: 'Ferry navy', formula: [['Ferry Navy', 1]], mediums: blend, ratio: [1, 2, 0.2], ml: 475, holds: 480, daysAgo: 96 },
  { label: 'Night teal', formula: [['Canal Teal', 3], ['Ferry Navy', 1]], mediums: blend, ratio: [1, 2, 0.2], ml: 460, holds: 480, daysAgo: 95 },
  { label: 'Sluice white', formula: [['Sluice White', 1]], mediums: blend, ratio: [1, 2, 0.25], ml: 480, holds: 480, daysAgo: 95 },
  { label: 'Lamp gold', formula: [['Old Gold', 1]], mediums: gloss, ratio: [1, 1.5, 0.1], ml: 180, holds: 240, daysAgo: 94 },
  { label: 'Soot black', formula: [['Lamp Soot', 1]], mediums: blend, ratio: [1, 3, 0.3], ml: 240, holds: 240, daysAgo: 88 },
  { label: 'White base coat', formula: [['Picket White', 1]], mediums: flow, ratio: [1, 1, 0.1], ml: 900, holds: 1000, daysAgo: 90, role: 'base coat' },
  { label: 'Turquoise lock', formula: [['Turquoise Lock', 1]], mediums: finch, ratio: [1, 3.3, 0.1], ml: 230, holds: 240, daysAgo: 61 },
  { label: 'Marigold', formula: [['Marigold', 1]], mediums: finch, ratio: [1, 3.3, 0.1], ml: 180, holds: 240, daysAgo: 61 },
  { label: 'Poppy', formula: [['Poppy Cut', 2], ['Mooring Red', 1]], mediums: finch, ratio: [1, 3, 0.1], ml: 200, holds: 240, daysAgo: 60 },
  { label: 'Indigo hour', formula: [['Indigo Hour', 1]], mediums: finch, ratio: [1, 4, 0.1], ml: 220, holds: 240, daysAgo: 58 },
  { label: 'Swipe white', formula: [['Titan Ridge', 1]], mediums: flow, ratio: [1, 3, 0.3], ml: 220, holds: 240, daysAgo: 44, role: 'swipe' },
  { label: 'Pearl base', formula: [['Pearl Mist', 3], ['Foam', 1]], mediums: [['Kvarnby Flow', 4], ['Nimbus Clear', 1]], ratio: [3, 2, 0], ml: 90, holds: 120, daysAgo: 43, role: 'pearl base' },
  { label: 'Drake top', formula: [['Drake Neck', 1]], mediums: flow, ratio: [1, 1.5, 0.4], ml: 110, holds: 120, daysAgo: 43, role: 'top' },
  { label: 'Magpie top', formula: [['Magpie Wing', 1]], mediums: flow, ratio: [1, 1.5, 0.4], ml: 105, holds: 120, daysAgo: 43, role: 'top' },
  { label: 'Brick', formula: [['Brick Arch', 1]], mediums: blend, ratio: [1, 2, 0.2], ml: 230, holds: 240, daysAgo: 33 },
  { label: 'Ochre path', formula: [['Towpath Ochre', 3], ['Chalk Path', 1]], mediums: blend, ratio: [1, 2, 0.2], ml: 235, holds: 240, daysAgo: 33 },
  { label: 'Bakery cream', formula: [['Chalk Path', 2], ['Sluice White', 2], ['Towpath Ochre', 0.25]], mediums: blend, ratio: [1, 2, 0.2], ml: 520, holds: 600, daysAgo: 12, notes: 'For the bakery: the client chose the warm one.' },
  { label: 'Bakery teal', formula: [['Canal Teal', 2], ['Sluice White', 1]], mediums: blend, ratio: [1, 2, 0.2], ml: 280, holds: 480, daysAgo: 12 },
  { label: 'Bakery crust', formula: [['Brick Arch', 1], ['Towpath Ochre', 2]], mediums: blend, ratio: [1, 2, 0.2], ml: 330, holds: 355, daysAgo: 11 },
  { label: 'Copper swipe', formula: [['Copper Kettle', 1]], mediums: flow, ratio: [1, 1.2, 0], ml: 115, holds: 120, daysAgo: 20, role: 'swipe' },
  { label: 'Rowan', formula: [['Rowan Lake', 1]], mediums: gloss, ratio: [1, 3, 0.3], ml: 118, holds: 120, daysAgo: 18 },
  { label: 'Wisteria', formula: [['Wisteria', 1]], mediums: finch, ratio: [1, 2, 0.1], silicone: 2, ml: 200, holds: 240, daysAgo: 18 },
  { label: 'Seafoam slip', formula: [['Seafoam', 1]], mediums: flow, ratio: [1, 1, 0.6], ml: 230, holds: 240, daysAgo: 9, role: 'slip coat' },
  { label: 'Cushion white', formula: [['Picket White', 1]], mediums: flow, ratio: [1, 2, 0], ml: 240, holds: 240, daysAgo: 8, role: 'cushion' },
  { label: 'Lagoon', formula: [['Ready Lagoon', 1]], mediums: [], ratio: [1, 0, 0], ml: 236, holds: 240, daysAgo: 7 },
  { label: 'Coral', formula: [['Ready Coral', 1]], mediums: [], ratio: [1, 0, 0], ml: 220, holds: 240, daysAgo: 7 },
  { label: 'Flow and gloss, equal', formula: [], mediums: blend, ratio: [0, 1, 0], ml: 420, holds: 480, daysAgo: 3, role: 'mixing base', notes: 'Equal parts, strained. Use it like a medium.' },
  { label: 'Star lead-in', formula: [['Star Grit', 1]], mediums: gloss, ratio: [1, 0.3, 0], ml: 60, holds: 120, daysAgo: 2, role: 'lead-in' },
  { label: 'Plum', formula: [['Plum Shed', 1], ['Deep Sluice', 1]], mediums: blend, ratio: [1, 3, 0.3], ml: 238, holds: 240, daysAgo: 0.15 },
  { label: 'Reed green', formula: [['Reed', 3], ['Butter Lamp', 1]], mediums: flow, ratio: [1, 2, 0.2], ml: 230, holds: 240, daysAgo: 0.08 },
]

export type DemoSurface =
  | { readonly cm: readonly [number, number]; readonly edge: number; readonly count?: number }
  | { readonly round: number; readonly edge: number; readonly count?: number }

/** A planned or finished pour. Cup and apart by bottle label; parts, and ml. */
export interface DemoPour {
  readonly title: string
  readonly technique: string
  readonly surface: DemoSurface
  readonly cup: readonly (readonly [string, number])[]
  readonly apart?: readonly (readonly ['base coat' | 'slip coat' | 'reserve', string, number])[]
  /** Minor units for all pieces. */
  readonly price: number
  /** Undefined: still to pour. */
  readonly result?: {
    readonly daysAgo: number
    readonly rating: number | null
    readonly faults?: readonly string[]
    readonly fate?: 'drying' | 'keep' | 'sold' | 'gift' | 'rework' | 'scrap'
    readonly notes: string
    readonly next?: string
  }
}

const panel = { cm: [20, 20], edge: 2 } as const
const ferries = [
  ['Ferry navy', 3],
  ['Night teal', 3],
  ['Sluice white', 1],
  ['Lamp gold', 0.6],
] as const

// prettier-ignore
export const POURS: readonly DemoPour[] = [
  { title: 'Night Ferries 1', technique: 'ring', surface: panel, cup: ferries, apart: [['base coat', 'White base coat', 15]], price: 320, result: { daysAgo: 90, rating: 4, fate: 'keep', notes: 'Rings stayed open. Gold came up only on the second day.' } },
  { title: 'Night Ferries 2', technique: 'ring', surface: panel, cup: ferries, apart: [['base coat', 'White base coat', 15]], price: 320, result: { daysAgo: 89, rating: 5, fate: 'keep', notes: 'The best so far: one clean cut by skewer, then left alone.', next: 'Cut a minute earlier.' } },
  { title: 'Night Ferries 3', technique: 'ring', surface: panel, cup: ferries, price: 320, result: { daysAgo: 82, rating: 2, faults: ['stripes'], fate: 'rework', notes: 'Too thick by then, stripes only. Should have added drops.' } },
  { title: 'Night Ferries 4', technique: 'straight', surface: panel, cup: [['Ferry navy', 2], ['Night teal', 2], ['Soot black', 1], ['Lamp gold', 0.5]], price: 320, result: { daysAgo: 70, rating: 3, faults: ['dull'], fate: 'keep', notes: 'Dark, a little dull in raked light. Varnish may lift it.' } },
  { title: 'Night Ferries 5', technique: 'ring', surface: panel, cup: ferries, apart: [['reserve', 'Ferry navy', 5]], price: 320, result: { daysAgo: 64, rating: 4, fate: 'keep', notes: 'Edges dressed with navy.' } },
  { title: 'Night Ferries 6', technique: 'flip-cup', surface: panel, cup: ferries, price: 320, result: { daysAgo: 50, rating: 1, faults: ['mud', 'pinholes'], fate: 'scrap', notes: 'Shaken hard and poured at once: pinholes everywhere, and the middle went to mud.' } },
  { title: 'Harbour sketch', technique: 'blow-out', surface: { cm: [30, 40], edge: 2 }, cup: [['Turquoise lock', 2], ['Indigo hour', 2], ['Marigold', 1]], apart: [['slip coat', 'White base coat', 60]], price: 540, result: { daysAgo: 40, rating: 4, fate: 'sold', notes: 'Blown from one side. The marigold edge holds the whole thing.' } },
  { title: 'Swipe test A', technique: 'swipe', surface: { cm: [15, 15], edge: 1 }, cup: [['Turquoise lock', 1], ['Poppy', 1], ['Swipe white', 1]], price: 150, result: { daysAgo: 38, rating: 3, fate: 'keep', notes: 'Same palette as B, rested overnight.' } },
  { title: 'Swipe test B', technique: 'swipe', surface: { cm: [15, 15], edge: 1 }, cup: [['Turquoise lock', 1], ['Poppy', 1], ['Swipe white', 1]], price: 150, result: { daysAgo: 38, rating: 2, faults: ['no-cells'], fate: 'scrap', notes: 'Two hours of rest only, and no cells. White was thicker than in A.' } },
  { title: 'Lantern study', technique: 'blow-out', surface: { round: 25, edge: 1.5 }, cup: [['Pearl base', 3], ['Drake top', 1], ['Magpie top', 1]], apart: [['slip coat', 'White base coat', 30]], price: 480, result: { daysAgo: 30, rating: 5, fate: 'gift', notes: 'Pearls rose within the hour.' } },
  { title: 'Sluice wall', technique: 'open-cup', surface: { cm: [40, 50], edge: 3.8 }, cup: [['Brick', 2], ['Ochre path', 2], ['Sluice white', 1]], apart: [['base coat', 'White base coat', 60]], price: 1150, result: { daysAgo: 16, rating: 3, faults: ['crazing'], fate: 'rework', notes: 'Pooled in the middle over night, skin cracked on the third day.' } },
  { title: 'Copper moon', technique: 'swipe', surface: { round: 30, edge: 2 }, cup: [['Soot black', 3], ['Copper swipe', 1]], apart: [['reserve', 'Soot black', 10]], price: 620, result: { daysAgo: 1.2, rating: null, notes: 'Still tacky at the rim.' } },
  { title: 'Night Ferries 7 – 9', technique: 'ring', surface: { ...panel, count: 3 }, cup: ferries, apart: [['base coat', 'White base coat', 45]], price: 960 },
  { title: 'Bakery sketch, rings', technique: 'ring', surface: { cm: [20, 30], edge: 1 }, cup: [['Bakery cream', 2], ['Bakery crust', 1]], price: 380, result: { daysAgo: 10, rating: 3, fate: 'keep', notes: 'Too quiet for the wall; the bakery wants the teal in.' } },
  { title: 'Bakery sketch, petals', technique: 'open-cup', surface: { cm: [20, 30], edge: 1 }, cup: [['Bakery cream', 2], ['Bakery teal', 2], ['Bakery crust', 1]], apart: [['base coat', 'White base coat', 20]], price: 380, result: { daysAgo: 8, rating: 5, fate: 'keep', notes: 'Petals opened well. This is the one.', next: 'More cups, set towards one side, and the crust last.' } },
  { title: 'Bakery commission', technique: 'open-cup', surface: { cm: [90, 60], edge: 3.8 }, cup: [['Bakery cream', 2], ['Bakery teal', 2], ['Bakery crust', 1]], apart: [['base coat', 'White base coat', 130], ['reserve', 'Bakery cream', 40]], price: 3400 },
]

/** Which bottles belong together, and what they are thinned for. */
// prettier-ignore
export const PALETTES: readonly { readonly name: string; readonly technique: string; readonly bottles: readonly string[]; readonly reference: string }[] = [
  { name: 'Night Ferries', technique: 'ring', bottles: ['Ferry navy', 'Night teal', 'Sluice white', 'Lamp gold', 'Soot black'], reference: 'Ferry navy' },
  { name: 'Bakery', technique: 'open-cup', bottles: ['Bakery cream', 'Bakery teal', 'Bakery crust'], reference: 'Bakery cream' },
  { name: 'Lantern', technique: 'blow-out', bottles: ['Pearl base', 'Drake top', 'Magpie top'], reference: 'Pearl base' },
  { name: 'Harbour', technique: 'blow-out', bottles: ['Turquoise lock', 'Indigo hour', 'Marigold', 'Wisteria'], reference: 'Indigo hour' },
]

/**
 * Readings of bottles: days ago, and before each but the first the drops that went in; seconds of three tries each.
 */
// prettier-ignore
export const READINGS: readonly { readonly bottle: string; readonly days: number; readonly steps: readonly { readonly drops: number; readonly tries: readonly number[] }[] }[] = [
  { bottle: 'Ferry navy', days: 20, steps: [{ drops: 0, tries: [4.1, 3.9, 4.2] }] },
  { bottle: 'Night teal', days: 20, steps: [{ drops: 0, tries: [4.0, 4.3, 4.2] }] },
  { bottle: 'Sluice white', days: 20, steps: [{ drops: 0, tries: [4.4, 4.2, 4.5] }] },
  { bottle: 'Soot black', days: 19, steps: [{ drops: 0, tries: [3.1, 3.2, 2.9] }] },
  { bottle: 'Bakery cream', days: 10, steps: [{ drops: 0, tries: [3.2, 3.0, 3.1] }] },
  { bottle: 'Bakery teal', days: 10, steps: [{ drops: 0, tries: [3.8, 3.7, 3.9] }] },
  { bottle: 'Bakery crust', days: 10, steps: [{ drops: 0, tries: [5.2, 5.4, 5.1] }, { drops: 90, tries: [4.4, 4.3, 4.6] }] },
  { bottle: 'Turquoise lock', days: 30, steps: [{ drops: 0, tries: [0.9, 0.8, 0.9] }, { drops: 70, tries: [0.6, 0.6, 0.5] }] },
  { bottle: 'Indigo hour', days: 30, steps: [{ drops: 0, tries: [0.8, 0.8, 0.7] }, { drops: 60, tries: [0.5, 0.6, 0.5] }] },
  { bottle: 'Marigold', days: 29, steps: [{ drops: 0, tries: [1.1, 1.0, 1.2] }, { drops: 60, tries: [0.7, 0.8, 0.7] }] },
  { bottle: 'Wisteria', days: 15, steps: [{ drops: 0, tries: [0.5, 0.5, 0.4] }] },
  { bottle: 'Brick', days: 30, steps: [{ drops: 0, tries: [6.1, 5.8, 6.4] }, { drops: 20, tries: [5.2, 5.0, 5.3] }, { drops: 40, tries: [3.9, 3.7, 3.8] }] },
  { bottle: 'Swipe white', days: 40, steps: [{ drops: 0, tries: [1.2, 1.1, 1.2] }] },
]

/** Recipes the studio keeps under a name; paints and mediums by name. */
// prettier-ignore
export const RECIPES = [
  { name: 'House white, enamel', paints: [['Sluice White', '4']], mediums: [['Kvarnby Flow', '8'], ['Torvald Gloss 40', '2']], ratio: '10 : 4', water: '0.5', role: 'pour', technique: 'swipe', steps: ['Soft white first, then the gloss, then the flow.', 'Water last, by drops.'], notes: ['Halved from the large batch.', 'Two parts gloss instead of three.'] },
  { name: 'Ferry navy, rings', paints: [['Ferry Navy', '1']], mediums: [['Kvarnby Flow', '1'], ['Torvald Gloss 40', '1']], ratio: '2 : 1', water: '0.2', role: 'pour', technique: 'ring', steps: ['Shake and strain the flow.'], notes: ['As for panels 1 to 6.'] },
] as const

/** Run-off that was kept: of which piece, g net, days ago. */
export const RUN_OFF = { piece: 'Night Ferries 6', jar: 'Night run-off', grams: 34, days: 49 } as const
