/** What a maker lets become of a piece, with the words for it. */
export const CHOSEN_FATES = ['drying', 'keep', 'sell', 'sold', 'gift', 'rework', 'cover', 'scrap', 'lost'] as const
export type ChosenFate = (typeof CHOSEN_FATES)[number]
/** What can have become of a piece: what was chosen, or that its pour never happened. */
export const FATES = [...CHOSEN_FATES, 'undone'] as const
export type Fate = (typeof FATES)[number]

export const FATE_WORDS: Readonly<Record<ChosenFate, string>> = {
  drying: 'still drying',
  keep: 'kept',
  sell: 'for sale',
  sold: 'sold',
  gift: 'given away',
  rework: 'to rework',
  cover: 'to pour over',
  scrap: 'scrapped',
  lost: 'lost',
}

/** Ways up a piece can hang: how far it is turned to the right from how it was poured, degrees. */
export const WAYS_UP = [0, 90, 180, 270] as const
export type WayUp = (typeof WAYS_UP)[number]

/** What comes of a pour beside its piece. */
export const BY_PRODUCTS = ['paper', 'small thing'] as const
export type ByProduct = (typeof BY_PRODUCTS)[number]
