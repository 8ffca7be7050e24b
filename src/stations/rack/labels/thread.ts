import { answerThread } from '@/server/threadSide'
import type { LabelJob } from './drawLabels'
import { gridOf } from './grids'
import { labelsPdf } from './pdf'
import { labelsSvg } from './svg'

answerThread<LabelJob>(({ as, texts, grid, from, outlines }) =>
  as === 'svg' ? labelsSvg(texts, gridOf(grid), from, 0, outlines) : labelsPdf(texts, gridOf(grid), from),
)
