import Papa from 'papaparse'
import { Invalid } from '@/core/errors'
import type { Table } from '@/exchange/table'

/** A spreadsheet runs cells that begin like a formula: they are written behind an apostrophe, and read back without. */
const FORMULA = /^[=+\-@\t\r']/
export const guard = (cell: string) => (FORMULA.test(cell) ? `'${cell}` : cell)
export const unguard = (cell: string) => (/^'[=+\-@\t\r']/.test(cell) ? cell.slice(1) : cell)

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

/**
 * Reads a CSV file: comma, semicolon or tab, quoted line breaks, whatever the spreadsheet made of it.
 * @throws Invalid when it has no headings
 */
export function readCsv(text: string): Table {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
  const [first, ...rest] = data
  const headings = (first ?? []).map((h, i) => unguard(h.trim()) || `column ${i + 1}`)
  if (headings.length < 2 && rest.length === 0)
    throw new Invalid('The first line must name the columns, and one of them must be the name of the paint.', 'file')
  const seen = new Map<string, number>()
  return {
    headings: headings.map((h) => {
      const n = (seen.get(h) ?? 0) + 1
      seen.set(h, n)
      return n === 1 ? h : `${h} (${n})`
    }),
    rows: rest.map((r) => headings.map((_, i) => unguard((r[i] ?? '').trim()))),
  }
}
