/** What a maker can say of two paints together. */
export const PAIR_VERDICTS = ['together', 'never', 'surprising'] as const
export type PairVerdict = (typeof PAIR_VERDICTS)[number]

/** The same in words between the names of the two. */
export const PAIR_WORDS: Readonly<Record<PairVerdict, string>> = {
  together: 'always side by side with',
  never: 'never beside',
  surprising: 'surprisingly good with',
}
