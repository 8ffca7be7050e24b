/** What a maker lets become of a piece. */
export const CHOSEN_FATES = ['drying', 'keep', 'sold', 'gift', 'rework', 'scrap'] as const
/** What can have become of a piece: what was chosen, or that its pour never happened. */
export const FATES = [...CHOSEN_FATES, 'undone'] as const
export type Fate = (typeof FATES)[number]

/** When a piece wants to be looked at again after it was poured. */
export const LOOK_MOMENTS = ['hour', 'day', 'dry'] as const
export type LookMoment = (typeof LOOK_MOMENTS)[number]

/** When a photo of a piece was taken. */
export const PHOTO_STATES = ['wet', 'dry'] as const
export type PhotoState = (typeof PHOTO_STATES)[number]
