import { mustBeAmounts } from '../mustBe'
import { Invalid } from '../errors'
import { formatMl } from '../quantity/format'
import { apportion } from './apportion'

/** A large batch as it is planned: volumes in µl, medium and water as parts to one of paint. */
export interface BatchPlan {
  /** Paint in all containers together, without medium and water. */
  readonly paintUl: number
  readonly containers: number
  /** Each container's size. */
  readonly sizeUl: number
  /** The sample that is split over the containers: its paint, and what carries it already. */
  readonly samplePaintUl: number
  readonly sampleMediumUl: number
  readonly medium: number
  readonly water: number
}

/** What goes into one container, µl; paint and medium are what goes in beside its share of the sample. */
export interface ContainerAmounts {
  readonly samplePaintUl: number
  readonly sampleMediumUl: number
  readonly paintUl: number
  readonly mediumUl: number
  readonly waterUl: number
  readonly totalUl: number
}

/**
 * What goes into each container of a batch. The sample counts: its paint and its medium are part of the whole. Amounts
 * of all containers sum to the batch exactly.
 * @throws Invalid where a container is too small, or the sample alone is more than the batch
 */
export function batchAmounts(b: BatchPlan): ContainerAmounts[] {
  mustBeAmounts('A volume or a part of the batch', [
    b.paintUl,
    b.sizeUl,
    b.samplePaintUl,
    b.sampleMediumUl,
    b.medium,
    b.water,
  ])
  if (!Number.isInteger(b.containers) || b.containers < 1)
    throw new Invalid('A batch stands in one container at least.', 'containers')
  if (b.samplePaintUl >= b.paintUl)
    throw new Invalid(
      'The sample alone is more than the batch. Make the batch larger, or use the sample as it is.',
      'paintUl',
    )
  const mediumUl = Math.round(b.paintUl * b.medium)
  if (b.sampleMediumUl > mediumUl)
    throw new Invalid(
      `The sample holds ${formatMl(b.sampleMediumUl)} of medium already, more than the ${formatMl(mediumUl)} of the whole batch. Make the batch larger.`,
      'sampleMediumUl',
    )
  const even = (ul: number) => apportion(ul, new Array<number>(b.containers).fill(1))
  const [samplePaint, sampleMedium, paint, medium, water] = [
    even(b.samplePaintUl),
    even(b.sampleMediumUl),
    even(b.paintUl - b.samplePaintUl),
    even(mediumUl - b.sampleMediumUl),
    even(Math.round(b.paintUl * b.water)),
  ]
  return Array.from({ length: b.containers }, (_, i) => {
    const amounts = {
      samplePaintUl: samplePaint[i]!,
      sampleMediumUl: sampleMedium[i]!,
      paintUl: paint[i]!,
      mediumUl: medium[i]!,
      waterUl: water[i]!,
    }
    const totalUl = Object.values(amounts).reduce((sum, ul) => sum + ul, 0)
    if (totalUl > b.sizeUl)
      throw new Invalid(
        `Each container would hold ${formatMl(totalUl)}, and ${formatMl(b.sizeUl)} fit. Use more containers, or larger ones.`,
        'sizeUl',
      )
    return { ...amounts, totalUl }
  })
}
