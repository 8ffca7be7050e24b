import { Invalid } from '@/core/errors'
import { apportion } from '@/core/mix/apportion'
import { inSteps, type AddStep, type ToScale } from '@/core/mix/inSteps'
import { formatMl } from '@/core/quantity/format'
import type { BatchState } from '@/db/formulas/batchSchema'

/** What goes into one container, µl. */
export interface ContainerPlan {
  readonly sampleUl: number
  readonly steps: readonly AddStep[]
  readonly mediumUl: number
  readonly waterUl: number
  readonly totalUl: number
}

/**
 * What goes into each container of a batch: its share of the sample, then the paints in steps, then medium to its mark
 * and water. Medium that is in the sample already is counted. Amounts of all containers sum to the batch exactly.
 * @param formula the paints with their pull, see `inSteps`
 * @throws Invalid where a container is too small, or the sample alone is more than the batch
 */
export function planBatch(
  formula: readonly ToScale[],
  s: Pick<BatchState, 'paintUl' | 'containers' | 'sizeUl' | 'samplePaintUl' | 'sampleMediumUl' | 'medium' | 'water'>,
): ContainerPlan[] {
  if (s.samplePaintUl >= s.paintUl)
    throw new Invalid(
      'The sample alone is more than the batch. Make the batch larger, or use the sample as it is.',
      'paintUl',
    )
  const mediumUl = Math.round(s.paintUl * s.medium)
  if (s.sampleMediumUl > mediumUl)
    throw new Invalid(
      `The sample holds ${formatMl(s.sampleMediumUl)} of medium already, more than the ${formatMl(mediumUl)} of the whole batch. Make the batch larger.`,
      'sampleMediumUl',
    )
  const even = (ul: number) => apportion(ul, new Array<number>(s.containers).fill(1))
  const [sample, paint, medium, water] = [
    even(s.samplePaintUl + s.sampleMediumUl),
    even(s.paintUl - s.samplePaintUl),
    even(mediumUl - s.sampleMediumUl),
    even(Math.round(s.paintUl * s.water)),
  ]
  return Array.from({ length: s.containers }, (_, i) => {
    const totalUl = sample[i]! + paint[i]! + medium[i]! + water[i]!
    if (totalUl > s.sizeUl)
      throw new Invalid(
        `Each container would hold ${formatMl(totalUl)}, and ${formatMl(s.sizeUl)} fit. Use more containers, or larger ones.`,
        'sizeUl',
      )
    return {
      sampleUl: sample[i]!,
      steps: inSteps(formula, paint[i]!),
      mediumUl: medium[i]!,
      waterUl: water[i]!,
      totalUl,
    }
  })
}
