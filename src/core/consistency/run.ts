import { mustBeAbove0 } from '../mustBe'
import { Invalid } from '../errors'

/** How a mix that is too thin for a stopwatch is read: half a millilitre on a card held at 45°, and how far it runs. */
export const RUN = { ul: 500, degrees: 45, seconds: 5 } as const

/** Below this level time a hand on a key says little, s: another measure is offered. Start value of Fika. */
export const TOO_THIN_TO_TIME_S = 0.5

/** A run that is measured once is about as sure as this, σ of its logarithm. Start value of Fika. */
export const RUN_SIGMA = 0.12

/** Level time × run, s·mm, until the studio has read mixes both ways. Start value of Fika. */
const START_SECONDS_TIMES_MM = 24

/**
 * The run of a mix as its level time, s: the farther, the thinner. By the studio's own mixes that were read both ways
 * (geometric mean, the start value counting as one of them).
 * @param mm how far it ran
 * @throws Invalid where that is no run
 */
export function levelTimeOfRun(mm: number, pairs: readonly { levelTimeS: number; runMm: number }[]): number {
  if (!(mm >= 5 && mm <= 400))
    throw new Invalid(
      'A run is between 5 and 400 mm. Shorter: time the mound instead. Longer: hold a longer card, or use a flow cup.',
      'run',
    )
  mustBeAbove0('A level time or a run', ...pairs.flatMap((p) => [p.levelTimeS, p.runMm]))
  const logs = pairs.map((p) => Math.log(p.levelTimeS * p.runMm))
  const mean = (logs.reduce((a, b) => a + b, 0) + Math.log(START_SECONDS_TIMES_MM)) / (logs.length + 1)
  return Math.exp(mean) / mm
}
