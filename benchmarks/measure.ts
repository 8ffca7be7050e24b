/** One measured comparison. `ratio` is ours to the reference, so that larger is better unless `aim` says at most. */
export interface Figure {
  readonly name: string
  readonly ours: number
  readonly reference: number
  readonly unit: string
  readonly ratio: number
  readonly aim: string
}

export const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!

async function secondsOf(work: () => unknown): Promise<number> {
  const from = performance.now()
  await work()
  return (performance.now() - from) / 1000
}

/** Which way a comparison is read: operations a second (a larger ratio is better), or ms each (a smaller one is). */
type Reading = 'rate' | 'time'

/**
 * Runs ours and the reference in turn, `rounds` times each after one warm-up, and compares the medians.
 * @param count how many operations one run does
 */
export async function compare(
  reading: Reading,
  name: string,
  aim: string,
  count: number,
  ours: () => unknown,
  reference: () => unknown,
  rounds = 9,
): Promise<Figure> {
  const { mine, theirs } = await interleave(ours, reference, rounds)
  if (reading === 'rate')
    return { name, ours: count / mine, reference: count / theirs, unit: '1/s', ratio: theirs / mine, aim }
  return {
    name,
    ours: (1000 * mine) / count,
    reference: (1000 * theirs) / count,
    unit: 'ms',
    ratio: mine / theirs,
    aim,
  }
}

async function interleave(ours: () => unknown, reference: () => unknown, rounds: number) {
  const mine: number[] = []
  const theirs: number[] = []
  await ours()
  await reference()
  for (let i = 0; i < rounds; i++) {
    mine.push(await secondsOf(ours))
    theirs.push(await secondsOf(reference))
  }
  return { mine: median(mine), theirs: median(theirs) }
}

/** A number given on the command line behind its name, such as `--seconds 60`. */
export const numberAfter = (name: string, usual: number): number => {
  const at = process.argv.indexOf(name)
  return at < 0 ? usual : Number(process.argv[at + 1])
}
