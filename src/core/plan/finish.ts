/** Ways a piece is finished. */
export const FINISHES = ['none', 'varnish', 'resin'] as const
export type Finish = (typeof FINISHES)[number]
