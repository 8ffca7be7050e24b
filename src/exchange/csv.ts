import Papa from 'papaparse'
import { Invalid } from '@/core/errors'
import { guard } from './guard'
import { tableOf } from './headings'
import { LIMITS, type Table } from './table'

/** Writes a list as CSV that `readCsv` reads back unchanged. */
export const writeCsv = ({ headings, rows }: Table): string =>
  Papa.unparse({ fields: [...headings], data: rows.map((r) => r.map(guard)) }, { newline: '\r\n' })

/** Text of a file: UTF-8 or UTF-16 by its mark, Windows-1252 (and so Latin-1) where it is neither. */
export function decodeText(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes)
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/** Longest line of headings, in characters: one of names, not of everything. */
const MOST_OF_HEADINGS = 20_000

/**
 * Reads a CSV file: comma, semicolon or tab, quoted line breaks, whatever the spreadsheet made of it.
 * @throws Invalid when it has no headings
 */
export function readCsv(text: string): Table {
  const whole = text.replace(/^\uFEFF/, '')
  const firstEnd = whole.search(/[\r\n]/)
  if ((firstEnd < 0 ? whole.length : firstEnd) > MOST_OF_HEADINGS)
    throw new Invalid('The first line is too long to name columns. Save the list with one row a line.', 'file')
  // One more than is taken, and the headings, so that a longer list is told from one that just fits.
  const { data } = Papa.parse<string[]>(whole, { skipEmptyLines: 'greedy', preview: LIMITS.rows + 2 })
  if ((data[0] ?? []).length < 2 && data.length < 2)
    throw new Invalid('The first line must name the columns, and one of them must be the name of the paint.', 'file')
  return tableOf(data)
}
