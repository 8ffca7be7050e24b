/** A sheet of labels by its measures, mm. */
export interface Grid {
  readonly key: string
  readonly name: string
  readonly page: { readonly width: number; readonly height: number }
  readonly columns: number
  readonly rows: number
  readonly label: { readonly width: number; readonly height: number }
  /** Left and top edge of the first label. */
  readonly left: number
  readonly top: number
  /** From one label's edge to the next one's. */
  readonly gapX: number
}

const A4 = { width: 210, height: 297 }
const LETTER = { width: 215.9, height: 279.4 }

/** Common sheets, named by their measures. */
// prettier-ignore
export const GRIDS: readonly Grid[] = [
  { key: 'one', name: 'One label, 70 × 36 mm', page: { width: 70, height: 36 }, columns: 1, rows: 1, label: { width: 70, height: 36 }, left: 0, top: 0, gapX: 0 },
  { key: 'a4-24', name: 'A4, 24 labels of 70 × 37 mm', page: A4, columns: 3, rows: 8, label: { width: 70, height: 37 }, left: 0, top: 0.5, gapX: 0 },
  { key: 'a4-14', name: 'A4, 14 labels of 99 × 38 mm', page: A4, columns: 2, rows: 7, label: { width: 99.1, height: 38.1 }, left: 4.65, top: 15.15, gapX: 2.5 },
  { key: 'a4-40', name: 'A4, 40 labels of 48.5 × 25.4 mm', page: A4, columns: 4, rows: 10, label: { width: 48.5, height: 25.4 }, left: 8, top: 21.5, gapX: 0 },
  { key: 'letter-30', name: 'Letter, 30 labels of 2⅝ × 1 in', page: LETTER, columns: 3, rows: 10, label: { width: 66.675, height: 25.4 }, left: 4.76, top: 12.7, gapX: 3.175 },
  { key: 'letter-10', name: 'Letter, 10 labels of 4 × 2 in', page: LETTER, columns: 2, rows: 5, label: { width: 101.6, height: 50.8 }, left: 3.97, top: 12.7, gapX: 4.76 },
]

export const gridOf = (key: string | null | undefined): Grid => GRIDS.find((g) => g.key === key) ?? GRIDS[0]!

export interface Place {
  readonly sheet: number
  readonly x: number
  readonly y: number
}

/** Where labels go, mm from the upper left corner, row by row; `from` is the first free place of the first sheet, from 1. */
export function placesOf(grid: Grid, count: number, from = 1): Place[] {
  const each = grid.columns * grid.rows
  const skip = Math.min(Math.max(1, Math.trunc(from)), each) - 1
  return Array.from({ length: count }, (_, i) => {
    const at = (i + skip) % each
    return {
      sheet: Math.floor((i + skip) / each),
      x: grid.left + (at % grid.columns) * (grid.label.width + grid.gapX),
      y: grid.top + Math.floor(at / grid.columns) * grid.label.height,
    }
  })
}
