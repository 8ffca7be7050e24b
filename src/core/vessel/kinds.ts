/** Where paint goes for good: booked waste, the air water evaporates into, and what was used without a plan. */
export const SINK_KINDS = ['waste', 'air', 'out'] as const
export type SinkKind = (typeof SINK_KINDS)[number]

/** Everything paint can be in; a test holds the database's own list to it. @public */
export const VESSEL_KINDS = ['container', 'bottle', 'pour', 'jar', ...SINK_KINDS] as const

/**
 * What a movement makes of what is in vessels: `makes` new ones, adds `into` those it goes to, or changes what lies `in`
 * one where it stands; null where whatever leaves is of the mean composition, so that nothing but amounts change.
 */
type Alters = 'makes' | 'into' | 'in' | null

/** What is said and done of a kind of movement; screens and the ledger read it from here. */
interface Move {
  /** As a journal says it. */
  readonly word: string
  readonly alters: Alters
  /** Whether how long the mix keeps follows from what is in it afterwards. */
  readonly keeps?: true
  /** What comes from nowhere by it was bought or taken from uncounted supply; otherwise it was found by measuring. */
  readonly bringsIn?: true
  /** Whether what goes into a mix by it counts as used up, for how long supplies last. */
  readonly uses?: true
  /** What has become of paint that goes to waste by it; where nothing is said here, the maker has said how it was lost. */
  readonly waste?: 'thrown away' | 'thrown away as run-off'
}

/** Everything that can happen to paint. A kind of movement is a line here, and what its undo takes along beside the ledger. */
export const MOVES = {
  purchase: { word: 'Bought', alters: null, bringsIn: true },
  mix: { word: 'Mixed', alters: 'makes', keeps: true, bringsIn: true, uses: true },
  'top-up': { word: 'Topped up', alters: 'into', keeps: true, bringsIn: true, uses: true },
  pour: { word: 'Poured', alters: null },
  'take-out': { word: 'Taken out', alters: null },
  discard: { word: 'Thrown away', alters: null, waste: 'thrown away' },
  'weigh-in': { word: 'Weighed in', alters: 'in' },
  finish: { word: 'Finished', alters: null },
  undo: { word: 'Undone', alters: null },
  water: { word: 'Watered', alters: 'into', keeps: true, bringsIn: true },
  split: { word: 'Split', alters: 'makes' },
  merge: { word: 'Poured together', alters: 'into' },
  reclaim: { word: 'Run-off kept', alters: 'into' },
  'pour-back': { word: 'Poured back', alters: 'into' },
  'run-off': { word: 'Run-off to waste', alters: null, waste: 'thrown away as run-off' },
  'set-split': { word: 'Set told apart', alters: null },
} as const satisfies Readonly<Record<string, Move>>
export type MovementKind = keyof typeof MOVES
export const MOVEMENT_KINDS = Object.keys(MOVES) as MovementKind[]
/** @see Move */
export const moveOf = (kind: MovementKind): Move => MOVES[kind]
/** Kinds of movements for which something holds, as a list of an SQL `in`. */
export const kindsThat = (holds: (move: Move) => boolean): string =>
  MOVEMENT_KINDS.filter((k) => holds(moveOf(k)))
    .map((k) => `'${k}'`)
    .join(', ')
