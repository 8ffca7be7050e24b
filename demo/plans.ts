import { v7 as uuidv7 } from 'uuid'
import type { Coat, Design, PlanKind, PlannedCup, PlannedSurface, WorkKind } from '../src/core/plan/design'
import type { Finish } from '../src/core/plan/finish'
import { ofBottle, simpleDesign } from '../src/core/plan/simpleDesign'
import type { Point } from '../src/core/surface/polygon'
import type { ProfilePoint } from '../src/core/surface/shapes'
import type { CupKind } from '../src/core/technique/technique'
import type { Tx } from '../src/db/base/withStudio'
import type { PlanInput } from '../src/db/plans/schema'
import { saveCup, savePlace, saveRoom } from '../src/db/room/write'
import { saveWork } from '../src/db/works/write'

/** Cups of the invented studio: name and ml to the brim. */
const CUPS: readonly (readonly [string, number])[] = [
  ['Medicine cup', 30],
  ['3 oz cup', 89],
  ['5 oz cup', 148],
  ['7 oz cup', 207],
  ['16 oz cup', 473],
  ['Litre beaker', 1000],
]
/** Level places: name, cm, pieces. */
const PLACES: readonly (readonly [string, number, number, number])[] = [
  ['Loft table', 100, 70, 1],
  ['Window rack', 35, 45, 4],
  ['Lock-keeper’s shelf', 22, 22, 6],
]

/** Works: due in so many days; price in minor units. */
export const WORKS: readonly {
  readonly key: string
  readonly kind: WorkKind
  readonly title: string
  readonly dueIn: number | null
  readonly forWhom?: string
  readonly agreedAgo?: number
  readonly agreed?: string
  readonly price?: number
  readonly notes?: string
}[] = [
  {
    key: 'ferries',
    kind: 'series',
    title: 'Night Ferries',
    dueIn: 34,
    forWhom: 'the canal house show',
    notes: 'Nine small panels, one evening on the water. Seven to nine are still to pour.',
  },
  {
    key: 'bakery',
    kind: 'commission',
    title: 'The bakery wall',
    dueIn: 24,
    forWhom: 'the bakery by the lock',
    agreedAgo: 6,
    agreed: 'Cream, teal and crust as in the second sketch; petals towards the door side; a varnish that can be wiped.',
    price: 48_000,
  },
  {
    key: 'vases',
    kind: 'gift',
    title: 'Vase pair',
    dueIn: 11,
    forWhom: 'Runa’s aunt',
    notes: 'What drips from the vases covers the two panels below.',
  },
  { key: 'market', kind: 'show', title: 'Lock-side market', dueIn: 3, notes: 'Whatever is dry by then.' },
]

/** Of the poured ones, which belong where. */
export const WORK_OF: Readonly<Record<string, readonly [work: string, kind: PlanKind]>> = {
  ...Object.fromEntries([1, 2, 3, 4, 5, 6].map((n) => [`Night Ferries ${n}`, ['ferries', 'final'] as const])),
  'Night Ferries 7 – 9': ['ferries', 'final'],
  'Harbour sketch': ['market', 'final'],
  'Bakery sketch, rings': ['bakery', 'sketch'],
  'Bakery sketch, petals': ['bakery', 'sketch'],
  'Bakery commission': ['bakery', 'final'],
}

const VASE: readonly ProfilePoint[] = [
  [0, 38],
  [30, 52],
  [90, 61],
  [150, 48],
  [185, 31],
  [200, 34],
].map(([heightMm, radiusMm]) => ({ heightMm: heightMm!, radiusMm: radiusMm! }))

/** What is said of a design beyond one surface and one cup. */
export interface Fuller {
  readonly finish?: Finish
  readonly finishMinor?: number
  readonly disposablesMinor?: number
  readonly savedShare?: number
  readonly look?: Design['look']
  readonly cup?: Partial<Pick<PlannedCup, 'copies' | 'sizeUl' | 'turnDeg' | 'at' | 'path'>> & {
    readonly kind?: CupKind
  }
  readonly surface?: Partial<Pick<PlannedSurface, 'name' | 'free' | 'split'>>
}

/** What of the plans so far is planned to the end. */
export const FULLER: Readonly<Record<string, Fuller>> = {
  'Bakery commission': {
    finish: 'varnish',
    finishMinor: 620,
    disposablesMinor: 180,
    savedShare: 0.6,
    surface: { name: 'Wall canvas' },
    cup: { kind: 'open ring', copies: 5, sizeUl: 207_015, turnDeg: 20, at: [40, 10] },
  },
  'Night Ferries 7 – 9': {
    finish: 'varnish',
    finishMinor: 150,
    cup: { sizeUl: 88_721 },
    surface: { name: 'Small panel' },
  },
}

/** Lays what is fuller over a simple design. */
export function fuller(design: Design, more: Fuller | undefined): Design {
  if (!more) return design
  const { cup, surface, ...rest } = more
  return {
    ...design,
    ...rest,
    surfaces: design.surfaces.map((s) => ({ ...s, ...surface })),
    cups: design.cups.map((c) => ({ ...c, ...cup })),
  }
}

/** Cups, places, days and works of the room. @returns works by key */
export async function room(tx: Tx, at: (daysAgo: number) => Date): Promise<Map<string, string>> {
  for (const [name, ml] of CUPS)
    await saveCup(tx, {
      id: uuidv7(),
      name,
      sizeUl: name.includes('oz') ? Math.round(Number.parseFloat(name) * 29_573.5295625) : ml * 1000,
    })
  for (const [name, l, w, spots] of PLACES)
    await savePlace(tx, { id: uuidv7(), name, lengthMm: l * 10, widthMm: w * 10, spots })
  await saveRoom(tx, { closedWeekdays: [7], celsius: 19, humidity: 0.55 })
  const day = (daysAgo: number) => at(daysAgo).toISOString().slice(0, 10)
  const ids = new Map<string, string>()
  for (const w of WORKS) {
    const id = uuidv7()
    ids.set(w.key, id)
    await saveWork(tx, {
      id,
      revision: null,
      kind: w.kind,
      title: w.title,
      dueOn: w.dueIn === null ? null : day(-w.dueIn),
      forWhom: w.forWhom ?? '',
      agreedOn: w.agreedAgo === undefined ? null : day(w.agreedAgo),
      agreedText: w.agreed ?? '',
      priceMinor: w.price ?? null,
      notes: w.notes ?? '',
    })
  }
  return ids
}

type Bottles = ReadonlyMap<string, string>
/** A plan as it is sent, new. */
export const planOf = (
  title: string,
  technique: string,
  workId: string | null,
  kind: PlanKind,
  design: Design,
): PlanInput => ({
  id: uuidv7(),
  revision: null,
  title,
  technique,
  workId,
  kind,
  pourOn: null,
  afterPlanId: null,
  afterPieceId: null,
  carriedNote: '',
  notes: '',
  design,
})

/** Vases over panels: what drips covers what stands below. */
function vasePair(bottles: Bottles, works: ReadonlyMap<string, string>): PlanInput {
  const of = (label: string) => ofBottle(bottles.get(label)!)
  const base = simpleDesign(
    {
      name: 'Panel below',
      surface: { shape: 'rectangle', lengthMm: 250, widthMm: 300, edgeMm: 10, count: 2 },
      eachMinor: 420,
      kind: 'strainer',
      cup: [
        { of: of('Lagoon'), share: 2 },
        { of: of('Cushion white'), share: 0.6 },
        { of: of('Coral'), share: 1 },
      ],
    },
    uuidv7,
  )
  const [panel] = base.surfaces
  const vase: PlannedSurface = {
    ...panel!,
    id: uuidv7(),
    name: 'Vase',
    surface: { shape: 'profile', points: VASE, edgeMm: 0, count: 2 },
    feeds: panel!.id,
    eachMinor: 650,
  }
  return planOf('Vase pair over panels', 'strainer', works.get('vases')!, 'final', {
    ...base,
    surfaces: [vase, panel!],
    cups: [{ ...base.cups[0]!, on: vase.id, sizeUl: 147_868 }],
    rounding: '10 ml',
    finish: 'resin',
    finishMinor: 900,
    savedShare: 0.6,
  })
}

/** A palette whose cup wants a buffer: violet, white, gold and teal, as they came to hand. */
function marketPiece(bottles: Bottles, works: ReadonlyMap<string, string>): PlanInput {
  const of = (label: string) => ofBottle(bottles.get(label)!)
  const free: Point[] = [
    [60, -200],
    [150, -200],
    [150, -40],
    [95, -70],
  ]
  const base = simpleDesign(
    {
      name: 'Market canvas',
      surface: { shape: 'rectangle', lengthMm: 300, widthMm: 400, edgeMm: 20, count: 1 },
      eachMinor: 540,
      kind: 'poured out',
      cup: [
        { of: of('Plum'), share: 2 },
        { of: of('Sluice white'), share: 1 },
        { of: of('Lamp gold'), share: 0.5 },
        { of: of('Night teal'), share: 2 },
      ],
      coats: [{ role: 'reserve', of: of('Night teal'), ul: 12_000 }],
    },
    uuidv7,
  )
  return planOf('Evening at the lock', 'ring', works.get('market')!, 'final', {
    ...base,
    surfaces: base.surfaces.map((s) => ({ ...s, free })),
    cups: base.cups.map((c) => ({ ...c, at: [-30, 20] as const, sizeUl: 207_015 })),
    finish: 'varnish',
    finishMinor: 200,
  })
}

/** A test on tiles, left rough. */
function tileTest(bottles: Bottles): PlanInput {
  const of = (label: string) => ofBottle(bottles.get(label)!)
  const base = simpleDesign(
    {
      name: 'Tiles',
      surface: { shape: 'tiles', lengthMm: 100, widthMm: 100, across: 3, down: 2, gapMm: 4, edgeMm: 6, count: 1 },
      kind: 'puddles',
      cup: [
        { of: of('Turquoise lock'), share: 1 },
        { of: of('Indigo hour'), share: 1 },
        { of: of('Marigold'), share: 0.5 },
      ],
    },
    uuidv7,
  )
  const swipe: Coat = {
    id: uuidv7(),
    role: 'swipe',
    of: of('Swipe white'),
    on: null,
    half: null,
    share: 0.15,
    wetMm: 0.5,
    ul: null,
    path: [],
  }
  return planOf('Six tiles, swiped', 'swipe', null, 'test', { ...base, coats: [swipe] })
}

/** Plans that are only planned, in full and left rough. */
export const plansAhead = (bottles: Bottles, works: ReadonlyMap<string, string>): PlanInput[] => [
  vasePair(bottles, works),
  marketPiece(bottles, works),
  tileTest(bottles),
]
