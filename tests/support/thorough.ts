/**
 * How many draws a test by chance or by exhaustion looks at: a part of them with `npm test`, so that it stays short
 * enough to be run often, and all of them with `FIKA_THOROUGH=1`, as the check of a clean checkout runs it.
 */
export const drawn = (part: number, all: number): number => (process.env.FIKA_THOROUGH === '1' ? all : part)
