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
const NUMBER =
  /^\s*(?:(\d+)\s*\/\s*(\d+)|(\d*[.,]?\d+|\d+[.,])(?:\s*([½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞])|\s+(\d+)\s*\/\s*(\d+))?|([½⅓⅔¼¾⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞]))/

/**
 * Reads a number at the start of a text as people write it: `1.5`, `1,5`, `1 1/2`, `1½`, `½`, `3/4`.
 * @returns the value and what follows it, or undefined when the text does not begin with a number.
 */
export function readNumber(text: string): { value: number; rest: string } | undefined {
  const m = NUMBER.exec(text)
  if (!m) return undefined
  const rest = text.slice(m[0].length)
  const quotient = (a: string, b: string) => (Number(b) === 0 ? Number.NaN : Number(a) / Number(b))
  let value: number
  if (m[1] !== undefined) value = quotient(m[1], m[2]!)
  else if (m[7] !== undefined) value = VULGAR[m[7]]!
  else {
    value = Number(m[3]!.replace(',', '.'))
    if (m[4] !== undefined) value += VULGAR[m[4]]!
    if (m[5] !== undefined) value += quotient(m[5], m[6]!)
  }
  return Number.isFinite(value) ? { value, rest } : undefined
}

/** The number a whole text says, or undefined when it says anything else besides. */
export function parseNumber(text: string): number | undefined {
  const read = readNumber(text)
  return read && read.rest.trim() === '' ? read.value : undefined
}
