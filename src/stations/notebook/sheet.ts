/** What a cell holds; null where nothing is known. */
export type Cell = string | number | null

/** The numbers behind a picture: shown as a table on demand, and sent as CSV. */
export interface Sheet {
  readonly columns: readonly { readonly name: string; readonly isNumber?: boolean }[]
  readonly rows: readonly { readonly key: string; readonly cells: readonly Cell[]; readonly href?: string }[]
}

/** A cell as it is read: numbers to as many digits as tell anything. */
export function cellText(cell: Cell): string {
  if (cell === null) return ''
  if (typeof cell === 'string') return cell
  return Number.isInteger(cell) ? String(cell) : cell.toFixed(Math.abs(cell) < 10 ? 2 : 1)
}
