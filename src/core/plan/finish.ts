/** What is put on a piece that is finished. */
export const FINISH_COATS = ['varnish', 'resin'] as const
export type FinishCoat = (typeof FINISH_COATS)[number]

/** Ways a piece is finished. */
export const FINISHES = ['none', ...FINISH_COATS] as const
export type Finish = (typeof FINISHES)[number]

/** Hours a finish waits: varnish 72 h after the piece is dry, resin until it is dry through for two weeks (common practice; by its sheet). */
export const FINISH_WAIT: Readonly<Record<FinishCoat, number>> = { varnish: 72, resin: 336 }
/** Hours a finish cures. By its sheet; start values of Fika. */
export const CURE: Readonly<Record<FinishCoat, number>> = { varnish: 24, resin: 72 }
/** Least hours from one coat to the next of the same. By its sheet; start values of Fika. */
export const RECOAT: Readonly<Record<FinishCoat, number>> = { varnish: 24, resin: 24 }
