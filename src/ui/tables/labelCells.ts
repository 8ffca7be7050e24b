/** What a cell, a row and the like is to whoever hears a page; said outright, as a card is no table to a browser. */
const ROLES: readonly (readonly [selector: string, role: string])[] = [
  ['thead, tbody, tfoot', 'rowgroup'],
  ['tr', 'row'],
  ['thead th', 'columnheader'],
  ['tbody th, tfoot th', 'rowheader'],
  ['td', 'cell'],
]

/** Headings of a table by column; a heading over several stands for each of them. */
function headingsOf(table: HTMLTableElement): string[] {
  const row = table.tHead?.rows[table.tHead.rows.length - 1]
  return [...(row?.cells ?? [])].flatMap((c) => Array<string>(c.colSpan).fill(c.textContent?.trim() ?? ''))
}

/**
 * Writes onto each cell of the lists below `root` the heading of its column, so that a list can be drawn as cards, a
 * row a card. A cell that is empty, or whose column has no heading that is seen, gets none.
 */
export function labelCells(root: ParentNode): void {
  for (const table of root.querySelectorAll<HTMLTableElement>('table.sheet')) {
    const headings = headingsOf(table)
    const hidden = new Set(
      [...(table.tHead?.querySelectorAll('.visually-hidden') ?? [])].map((e) => e.textContent?.trim() ?? ''),
    )
    table.setAttribute('role', 'table')
    for (const [selector, role] of ROLES)
      for (const e of table.querySelectorAll(selector)) if (!e.hasAttribute('role')) e.setAttribute('role', role)
    for (const body of table.tBodies)
      for (const row of body.rows) {
        let column = 0
        for (const cell of row.cells) {
          const heading = headings[column] ?? ''
          column += cell.colSpan
          const label = heading && !hidden.has(heading) && cell.colSpan === 1 ? heading : ''
          if ((cell.dataset.label ?? '') === label) continue
          if (label) cell.dataset.label = label
          else delete cell.dataset.label
        }
      }
  }
}
