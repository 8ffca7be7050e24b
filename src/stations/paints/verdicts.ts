/** What a maker can say of two paints together. */
export const VERDICTS = {
  together: 'always side by side with',
  never: 'never beside',
  surprising: 'surprisingly good with',
} as const
export type Verdict = keyof typeof VERDICTS
