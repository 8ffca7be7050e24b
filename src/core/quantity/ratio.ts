import { Invalid } from '../errors'
import { readNumber } from './number'

/**
 * Reads a ratio such as `2:1`, `1 : 2 : 0.5` or `½:1` into its terms.
 * @throws Invalid when a term is missing, or all are zero
 */
export function parseRatio(text: string): number[] {
  const share = shareOf(text)
  if (share)
    throw new Invalid(
      `“${text.trim()}” is heard two ways: a share of the whole is ${share - 1} : 1, one part to ${share} is ${share} : 1. Type the one you mean.`,
    )
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

const WORDS: Readonly<Record<string, number>> = { half: 2, third: 3, quarter: 4, fourth: 4, fifth: 5, sixth: 6 }

/** What `a third`, `1/3` or `⅓` is a share by; undefined where the text is no share. */
function shareOf(text: string): number | undefined {
  const word = /^\s*(?:a|one|1)?\s*(half|third|quarter|fourth|fifth|sixth)\s*$/i.exec(text)?.[1]
  if (word) return WORDS[word.toLowerCase()]
  const read = readNumber(text)
  const share = read && read.rest.trim() === '' && read.value > 0 && read.value < 1 ? 1 / read.value : undefined
  return share !== undefined && Math.abs(share - Math.round(share)) < 1e-6 ? Math.round(share) : undefined
}

/** A ratio as it is written on a label: `1 : 2 : 0.5`, with at most two decimals a term. */
export function formatRatio(terms: readonly number[]): string {
  return terms.map((t) => String(Math.round(t * 100) / 100)).join(' : ')
}
