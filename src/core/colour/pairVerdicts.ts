/** What a maker can say of two paints together. */
export const PAIR_VERDICTS = ['together', 'never', 'surprising'] as const
export type PairVerdict = (typeof PAIR_VERDICTS)[number]
