/** A weight as a scale wrote it. */
export interface Written {
  readonly grams: number
  readonly stable: boolean
}

interface Pattern {
  readonly name: string
  readonly line: RegExp
}

/**
 * How lines of text of other scales are read: each pattern names the groups `number`, and where there are any `unit`,
 * `stable` and `moving`. The first that fits is taken. Made up from the habits of such lines, not from any one maker.
 */
export const PATTERNS: readonly Pattern[] = [
  {
    name: 'status, mode, weight',
    line: /^(?:(?<stable>ST)|(?<moving>US)|OL),\s*(?:GS|NT),\s*(?<number>[+-]?\s*\d+(?:\.\d+)?)\s*(?<unit>g|kg|oz|lb)$/i,
  },
  {
    name: 'letter and weight',
    line: /^(?:(?<stable>S)|(?<moving>D|\?))\s+(?<number>[+-]?\s*\d+(?:\.\d+)?)\s*(?<unit>g|kg|oz|lb)$/i,
  },
  {
    name: 'weight, question mark while it moves',
    line: /^(?<number>[+-]?\s*\d+(?:\.\d+)?)\s*(?<unit>g|kg|oz|lb)?\s*(?<moving>\?)?$/i,
  },
]

const GRAMS: Readonly<Record<string, number>> = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 }

/**
 * Reads one line of text of a scale. Fluid ounces are refused: a scale that shows them takes everything for water.
 * @returns undefined for a line that fits no pattern
 */
export function readLine(text: string): Written | undefined {
  for (const { line } of PATTERNS) {
    const found = line.exec(text.trim())?.groups
    if (!found) continue
    const value = Number(found.number!.replace(/\s/g, ''))
    return { grams: value * GRAMS[(found.unit ?? 'g').toLowerCase()]!, stable: !found.moving }
  }
  return undefined
}
