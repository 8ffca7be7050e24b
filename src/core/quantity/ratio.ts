import { Invalid } from '../errors'
import { readNumber } from './number'

/**
 * Reads a ratio such as `2:1`, `1 : 2 : 0.5` or `½:1` into its terms.
 * @throws Invalid when a term is missing, or all are zero
 */
export function parseRatio(text: string): number[] {
  const share = shareOf(text)
  if (share) {
    const [whole, toOne] = [formatRatio([1 / share - 1, 1]), formatRatio([1 / share, 1])]
    throw new Invalid(
      `“${text.trim()}” is heard two ways: as a share of the whole it is ${whole}, as paint to one part of medium ${toOne}. Type the one you mean.`,
    )
  }
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

const NAMED: Readonly<Record<string, number>> = { half: 2, third: 3, quarter: 4, fourth: 4, fifth: 5, sixth: 6 }
const COUNTED = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten']

/** What `a third`, `1/3`, `25 %` or `1 part in 4` is as a share, between 0 and 1; undefined where the text is none. */
function shareOf(text: string): number | undefined {
  const bare = text.trim().toLowerCase()
  const named = /^(?:a|one|1)?\s*(half|third|quarter|fourth|fifth|sixth)(?:\s+(?:of\s+)?paint)?$/.exec(bare)?.[1]
  if (named) return 1 / NAMED[named]!
  const many = /^(?:one|1)(?:\s+part)?\s+(?:in|of)\s+(\d+|[a-z]+)$/.exec(bare)?.[1]
  const parts = many && (Number(many) || COUNTED.indexOf(many) + 1)
  if (parts && parts > 1) return 1 / parts
  const read = readNumber(bare)
  if (!read || !(read.value > 0)) return undefined
  if (/^\s*(?:%|per\s?cent)(?:\s+(?:of\s+)?paint)?$/.test(read.rest))
    return read.value < 100 ? read.value / 100 : undefined
  const one = read.rest.trim() === '' && read.value < 1 ? 1 / read.value : undefined
  return one !== undefined && Math.abs(one - Math.round(one)) < 1e-6 ? read.value : undefined
}

/** A ratio as it is written on a label: `1 : 2 : 0.5`, with at most two decimals a term. */
export function formatRatio(terms: readonly number[]): string {
  return terms.map((t) => String(Math.round(t * 100) / 100)).join(' : ')
}
