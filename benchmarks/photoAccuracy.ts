import { measured } from '../tests/support/photo/measured'
import type { Scored } from '../tests/support/photo/scored'
import { madePhotos } from '../tests/support/photo/shots'
import { median, type Figure } from './measure'

const PHOTOS = 40

/** What is read off each photo, the value a trial on such photos reached, and which way is better. */
const METRICS: readonly {
  readonly name: string
  readonly of: (s: Scored) => number | undefined
  readonly reached: number
  readonly isMost: boolean
}[] = [
  { name: 'shares, total variation', of: (s) => s.variation, reached: 0.04, isMost: true },
  { name: 'shares, worst colour', of: (s) => s.worst, reached: 0.03, isMost: true },
  { name: 'cells, precision', of: (s) => s.cells?.precision, reached: 0.9, isMost: false },
  { name: 'cells, recall', of: (s) => s.cells?.recall, reached: 0.81, isMost: false },
  { name: 'cells, count off 1', of: (s) => s.cells && Math.abs(s.cells.count - 1), reached: 0.16, isMost: true },
  {
    name: 'cells, median diameter off 1',
    of: (s) => s.cells && Math.abs(s.cells.diameter - 1),
    reached: 0.06,
    isMost: true,
  },
  { name: 'lacing, length off 1', of: (s) => s.lacing && Math.abs(s.lacing.length - 1), reached: 0.14, isMost: true },
  { name: 'lacing, width off 1', of: (s) => s.lacing && Math.abs(s.lacing.width - 1), reached: 0.2, isMost: true },
  { name: 'lacing invented where there is none, m per dm²', of: (s) => s.invented, reached: 0.1, isMost: true },
  { name: 'quiet share, off by', of: (s) => s.quiet, reached: 0.03, isMost: true },
]

const quantile = (list: readonly number[], share: number) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(share * list.length))]!

/** 40 made-up phone photos with everything known about them, measured: each metric's median against what a trial reached. */
export async function photoAccuracy(): Promise<Figure[]> {
  const scores: Scored[] = []
  for (const made of madePhotos(PHOTOS, 2)) scores.push((await measured(made)).score)
  return METRICS.map(({ name, of, reached, isMost }) => {
    const values = scores.map(of).filter((v): v is number => v !== undefined)
    const [ours, low, high] = [median(values), quantile(values, 0.1), quantile(values, 0.9)]
    const spread = `10–90 %: ${low.toFixed(3)}–${high.toFixed(3)}, n ${values.length}`
    return {
      name: `photo: ${name} (${spread})`,
      ours,
      reference: reached,
      unit: '',
      ratio: ours / reached,
      aim: isMost ? '≤ 1' : '≥ 1',
    }
  })
}
