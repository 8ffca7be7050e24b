import type { CoreScaleOptions, Scale } from 'chart.js'

/** A chart narrower than this has its names in two lines, px; characters of such a line. */
const NARROW_PX = 520
const LINE = 20

/**
 * A name in at most two lines, broken between words; what does not fit the second is cut, with a sign that it was.
 * @param most characters of a line
 */
export function twoLines(name: string, most = LINE): string[] {
  if (name.length <= most) return [name]
  const words = name.split(' ')
  let first = words.shift()!
  while (words[0] !== undefined && first.length + 1 + words[0].length <= most) first += ` ${words.shift()!}`
  const rest = words.join(' ')
  const cut = (line: string) => (line.length <= most ? line : `${line.slice(0, most - 1).trimEnd()}…`)
  return rest ? [cut(first), cut(rest)] : [cut(first)]
}

/** Names of bars beside their axis: whole where there is room, in two lines in the hand. */
export function axisName(this: Scale<CoreScaleOptions>, value: string | number): string | string[] {
  const name = this.getLabelForValue(Number(value))
  return this.chart.width < NARROW_PX ? twoLines(name) : name
}
