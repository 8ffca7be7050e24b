import { mustBeAmounts } from '../mustBe'
import { FikaError } from '../errors'
import { formatMl } from '../quantity/format'
import { weighIn, type WeighInInput } from './weighIn'

/** What a weight says of a bottle, before anything is booked. */
export interface Difference {
  readonly kind: 'as booked' | 'evaporation' | 'unexplained' | 'gain' | 'unreadable'
  readonly bookedUl: number
  readonly measuredUl: number | null
  /** Water that went to the air. */
  readonly evaporatedUl: number
  readonly lostUl: number
  readonly gainedUl: number
  readonly sentence: string
}

/** What no kitchen scale can tell apart, mg. */
const UNTOLD_MG = 200
/**
 * What the scale at hand cannot tell apart, mg: nearer than this to the books is as booked. Its step is read off the
 * weights: full and empty in whole grams are from a scale of 1 g, and each may be half of it off.
 */
const untoldMg = ({ grossMg, tareMg }: WeighInInput) =>
  Math.max(
    UNTOLD_MG,
    ...[1000, 500].filter((step) => grossMg % step === 0 && tareMg % step === 0).map((step) => step / 2),
  )

const sum = (list: readonly { ul: number }[]) => list.reduce((s, p) => s + p.ul, 0)

/**
 * Explains a weight in a stocktake. A loss is evaporated water first; what the water added cannot explain must be named by the
 * maker (`named`) before it can be booked; too much is a measuring gain. What the scale cannot tell is no difference.
 */
export function explain(input: WeighInInput): Difference {
  mustBeAmounts('A weight', [
    input.grossMg,
    input.tareMg,
    ...input.content.flatMap((p) => [p.ul, p.densityGPerMl, p.solids]),
  ])
  const bookedUl = sum(input.content)
  const none = { bookedUl, measuredUl: null, evaporatedUl: 0, lostUl: 0, gainedUl: 0 }
  const bookedMg = input.tareMg + input.content.reduce((s, p) => s + p.ul * p.densityGPerMl, 0)
  const asBooked = { ...none, kind: 'as booked', measuredUl: bookedUl, sentence: 'As booked.' } as const
  if (bookedUl > 0 && Math.abs(input.grossMg - bookedMg) <= untoldMg(input)) return asBooked
  let found
  try {
    found = weighIn({ ...input, named: input.named ?? 'residue' })
  } catch (error) {
    if (error instanceof FikaError) return { ...none, kind: 'unreadable', sentence: error.message }
    throw error
  }
  const [evaporatedUl, lostUl, gainedUl] = [found.waterUl, sum(found.lost), sum(found.gained)]
  const all = { bookedUl, measuredUl: found.measuredUl, evaporatedUl, lostUl, gainedUl }
  if (gainedUl > 0)
    return {
      ...all,
      kind: 'gain',
      sentence: `${formatMl(gainedUl)} more than booked: a measuring gain, split over what is in it.`,
    }
  if (lostUl > 0) {
    const water = evaporatedUl > 0 ? `${formatMl(evaporatedUl)} of water can have evaporated; ` : ''
    const [lost, more] = [formatMl(lostUl), evaporatedUl > 0 ? ' more' : '']
    return input.named
      ? {
          ...all,
          kind: 'evaporation',
          sentence: `${water}${lost} ${input.named === 'spilled' ? 'spilled' : 'stuck to the walls'}.`,
        }
      : {
          ...all,
          kind: 'unexplained',
          sentence: `${water}${lost}${more} is missing. Say whether it dried, was spilled or stuck to the walls.`,
        }
  }
  if (evaporatedUl > 0)
    return { ...all, kind: 'evaporation', sentence: `${formatMl(evaporatedUl)} of water evaporated.` }
  return asBooked
}
