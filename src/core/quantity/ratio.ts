import { Invalid } from '../errors'
import { readNumber } from './number'

/**
 * Reads a ratio such as `2:1`, `1 : 2 : 0.5` or `½:1` into its terms.
 * @throws Invalid when a term is missing, or all are zero
 */
export function parseRatio(text: string): number[] {
  const terms = text.split(/[:：]/).map((t) => {
    const read = readNumber(t)
    if (!read || read.rest.trim() !== '')
      throw new Invalid(`“${text.trim()}” is not a ratio. Type parts with colons between them, like 1 : 2 : 0.5.`)
    return read.value
  })
  if (terms.length < 2) throw new Invalid(`“${text.trim()}” has one part only. A ratio needs two or more, like 2 : 1.`)
  if (terms.every((t) => t === 0))
    throw new Invalid('A ratio of nothing but zeros mixes nothing. Make one part larger.')
  return terms
}

/** A ratio as it is written on a label: `1 : 2 : 0.5`, with at most two decimals a term. */
export function formatRatio(terms: readonly number[]): string {
  return terms.map((t) => String(Math.round(t * 100) / 100)).join(' : ')
}
