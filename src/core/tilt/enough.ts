import { coarse } from './coarse'
import { slopesOf, type Lean } from './hand'
import { AS_READ, type StartTask } from './start'

/** Spread between what was planned and what a hand pours: ln of viscosity and of amount. Start values of Fika. */
const SPREAD = { lnNu: 0.25, lnUl: 0.08 } as const
const TRIES = 10
const COVERED = 0.995

/** Evenly spread steps of a normal curve, shuffled against each other so that thin is not always scant. */
const STEPS = [-1.64, -1.04, -0.67, -0.39, -0.13, 0.13, 0.39, 0.67, 1.04, 1.64]
const BESIDE = [3, 8, 0, 6, 9, 1, 5, 2, 7, 4]

export interface Enough {
  /** Tries whose face was covered at the end, of how many. */
  readonly covers: number
  readonly of: number
  /** Film left, the least and the most, mm. */
  readonly filmMm: readonly [number, number]
}

/**
 * The same hand over paints a little thinner or thicker, a little more or less of them, and another unevenness.
 * @param onTried called after each try; answering false stops, and what was tried is told
 */
export async function enough(
  task: StartTask,
  path: readonly Lean[],
  onTried: (done: number, all: number) => boolean | Promise<boolean>,
): Promise<Enough> {
  let covers = 0
  const films: number[] = []
  for (let n = 0; n < TRIES; n++) {
    const nu = Math.exp(SPREAD.lnNu * STEPS[n]!)
    const ul = Math.exp(SPREAD.lnUl * STEPS[BESIDE[n]!]!)
    const r = coarse(varied(task, nu, ul), { seed: n + 1, seen: false })
    r.advance((path.at(-1)?.t ?? 0) + 1, slopesOf(path))
    const { covered, meanMm } = r.readings()
    if (covered >= COVERED) covers++
    films.push(meanMm)
    if (!(await onTried(n + 1, TRIES))) break
  }
  return { covers, of: films.length, filmMm: [Math.min(...films), Math.max(...films)] }
}

function varied(task: StartTask, nu: number, ul: number): StartTask {
  const { correction = AS_READ } = task
  return {
    ...task,
    correction: { ...correction, nuFactor: correction.nuFactor * nu },
    coats: task.coats.map((c) => ({ ...c, ul: c.ul * ul })),
    cups: task.cups.map((c) => ({ ...c, layers: c.layers.map((l) => ({ ...l, ul: l.ul * ul })) })),
  }
}
