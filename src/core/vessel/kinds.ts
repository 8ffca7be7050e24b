/** Where paint goes for good: booked waste, the air water evaporates into, and what was used without a plan. */
export const SINK_KINDS = ['waste', 'air', 'out'] as const
export type SinkKind = (typeof SINK_KINDS)[number]

/** Everything paint can be in; a test holds the database's own list to it. @public */
export const VESSEL_KINDS = ['container', 'bottle', 'pour', 'jar', ...SINK_KINDS] as const

/** Everything that can happen to paint. */
export const MOVEMENT_KINDS = [
  'purchase',
  'mix',
  'top-up',
  'pour',
  'take-out',
  'discard',
  'weigh-in',
  'finish',
  'undo',
  'water',
  'split',
  'merge',
  'reclaim',
  'pour-back',
  'run-off',
  'set-split',
] as const
export type MovementKind = (typeof MOVEMENT_KINDS)[number]
