import { batchAmounts, type BatchPlan, type ContainerAmounts } from '@/core/mix/batch'
import { inSteps, type AddStep, type ToScale } from '@/core/mix/inSteps'

/** What goes into one container, µl, its paints in the order they are added. */
export interface ContainerPlan extends ContainerAmounts {
  readonly sampleUl: number
  readonly steps: readonly AddStep[]
}

/**
 * What goes into each container of a batch: its share of the sample, then the paints in steps, then medium to its mark
 * and water.
 * @param formula the paints with their pull, see `inSteps`
 * @throws Invalid as `batchAmounts` does
 */
export const planBatch = (formula: readonly ToScale[], batch: BatchPlan): ContainerPlan[] =>
  batchAmounts(batch).map((c) => ({
    ...c,
    sampleUl: c.samplePaintUl + c.sampleMediumUl,
    steps: inSteps(formula, c.paintUl),
  }))
