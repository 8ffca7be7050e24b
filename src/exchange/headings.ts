import { Invalid } from '@/core/errors'
import { unguard } from './guard'
import { LIMITS, type Table } from './table'

/** Takes a column into a list: past the last one Fika reads it refuses, whatever the file. */
export function refuseColumn(count: number): void {
  if (count > LIMITS.columns)
    throw new Invalid(`This list has more than ${LIMITS.columns} columns. Remove those that are not needed.`, 'file')
}

/** Takes a row into a list: past the last one Fika reads it refuses, whatever the file. */
export function refuseRow(count: number): void {
  if (count > LIMITS.rows)
    throw new Invalid(`This file has more than ${LIMITS.rows} rows. Split it, and import the parts.`, 'file')
}

/**
 * Lines of cells as a list: the first one names the columns, each by a name of its own, and every row has as many
 * cells. Lines without anything are left out.
 */
export function tableOf([first = [], ...rest]: readonly (readonly string[])[]): Table {
  refuseColumn(first.length)
  const seen = new Map<string, number>()
  const headings = first.map((cell, i) => {
    const text = unguard(cell.trim())
    // A name every object has already cannot be the name of a column.
    const heading = text && !(text in Object.prototype) ? text : `column ${i + 1}`
    const n = (seen.get(heading) ?? 0) + 1
    seen.set(heading, n)
    return n === 1 ? heading : `${heading} (${n})`
  })
  const rows = rest.filter((cells) => cells.some((c) => c.trim()))
  refuseRow(rows.length)
  return { headings, rows: rows.map((cells) => headings.map((_, i) => unguard((cells[i] ?? '').trim()))) }
}
