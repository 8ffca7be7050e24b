import type { PairVerdict } from '@/core/colour/pairVerdicts'

/** What a maker says of two paints together, in words between their names. */
export const VERDICTS: Readonly<Record<PairVerdict, string>> = {
  together: 'always side by side with',
  never: 'never beside',
  surprising: 'surprisingly good with',
}
