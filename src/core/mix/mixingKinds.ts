/** How a mix is made: step by step after a plan, or poured first and read back afterwards. */
export const MIXING_KINDS = ['guided', 'by eye'] as const
export type MixingKind = (typeof MIXING_KINDS)[number]
