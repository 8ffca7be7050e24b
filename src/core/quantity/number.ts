import { Invalid } from '../errors'

const VULGAR: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅕': 1 / 5,
  '⅖': 2 / 5,
  '⅗': 3 / 5,
  '⅘': 4 / 5,
  '⅙': 1 / 6,
  '⅚': 5 / 6,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
}
const VULGARS = Object.keys(VULGAR).join('')
/** A run of digits as people set them: `1.5`, `,5`, `1,234.5`, `1 000`. A space groups only three digits that end there. */
const DIGITS = String.raw`\d{1,3}(?:[ \u00a0\u202f'’]\d{3}(?!\d|\s*/))+(?:[.,]\d+)?|\d[\d.,]*|[.,]\d+`
const NUMBER = new RegExp(
  String.raw`^\s*(?:(\d+)\s*/\s*(\d+)|(${DIGITS})(?:e([+-]?\d{1,2})(?![a-z])|\s*([${VULGARS}])|\s+(\d+)\s*/\s*(\d+))?|([${VULGARS}]))`,
  'iu',
)

/** One comma before exactly three digits: a thousand to one maker, a decimal to the next. */
const TWO_WAYS = /^[1-9]\d{0,2},\d{3}$/

/** The value of a run of digits; undefined where its signs make no number, or two. */
function decimal(text: string): number | undefined {
  const bare = text.replace(/[ \u00a0\u202f'’]/g, '')
  if (TWO_WAYS.test(bare)) return undefined
  const [commas, dots] = [bare.split(',').length - 1, bare.split('.').length - 1]
  const mark = commas && dots ? (bare.lastIndexOf(',') > bare.lastIndexOf('.') ? ',' : '.') : commas ? ',' : '.'
  const groups = mark === ',' ? '.' : ','
  const grouped = (whole: string, by: string) => new RegExp(String.raw`^\d{1,3}(?:[${by}]\d{3})+$`).test(whole)
  // Several of the one mark can only be groups.
  if ((mark === ',' ? commas : dots) > 1)
    return commas && dots ? undefined : grouped(bare, mark) ? Number(bare.replaceAll(mark, '')) : undefined
  const [whole = '', rest = ''] = bare.split(mark)
  if (whole.includes(groups) && !grouped(whole, groups)) return undefined
  return Number(`${whole.replaceAll(groups, '') || '0'}.${rest || '0'}`)
}

/** Whether a text begins with a number that reads two ways, like `1,000`. */
const readsTwoWays = (text: string) => /^\s*[1-9]\d{0,2},\d{3}(?![\d.,])/.test(text)

/**
 * Reads a number at the start of a text as people write it: `1.5`, `1,5`, `1 1/2`, `1½`, `½`, `3/4`, `1.234,5`, `1 000`,
 * `1e3`.
 * @returns the value and what follows it, or undefined when the text does not begin with a number, or with one that
 *   reads two ways
 */
export function readNumber(text: string): { value: number; rest: string } | undefined {
  const m = NUMBER.exec(text)
  if (!m) return undefined
  const rest = text.slice(m[0].length)
  const quotient = (a: string, b: string) => (Number(b) === 0 ? Number.NaN : Number(a) / Number(b))
  let value: number
  if (m[1] !== undefined) value = quotient(m[1], m[2]!)
  else if (m[8] !== undefined) value = VULGAR[m[8]]!
  else {
    value = decimal(m[3]!) ?? Number.NaN
    if (m[4] !== undefined) value *= 10 ** Number(m[4])
    if (m[5] !== undefined) value += VULGAR[m[5]]!
    if (m[6] !== undefined) value += quotient(m[6], m[7]!)
  }
  return Number.isFinite(value) ? { value, rest } : undefined
}

/** The number a whole text says, or undefined when it says anything else besides. */
export function parseNumber(text: string): number | undefined {
  const read = readNumber(text)
  return read && read.rest.trim() === '' ? read.value : undefined
}

/** Asks which of two numbers is meant where a text begins with one that reads two ways; undefined where it does not. */
export function askBack(text: string): string | undefined {
  if (!readsTwoWays(text)) return undefined
  const digits = /[\d,]+/.exec(text)![0]
  const [thousand, one] = [digits.replace(',', ''), digits.replace(',', '.')]
  return `“${digits}” can mean ${thousand} or ${one}. Type the one you mean, like ${thousand} or ${one}.`
}

/**
 * The number a whole text says.
 * @param wrong what is said of a text that says none
 * @throws Invalid with `wrong`, or asking back where it reads two ways
 */
export function numberIn(text: string, wrong: string): number {
  const value = parseNumber(text)
  if (value === undefined) throw new Invalid(askBack(text) ?? wrong)
  return value
}
