import type { Tx } from '@/db/base/withStudio'
import { allMaterials, inputOf } from '@/db/materials/read'
import { writeCsv } from '@/exchange/csv'
import { writeCxf3 } from '@/exchange/cxf3'
import { cellsOf, COLUMNS } from '@/exchange/fields'
import { writeGpl, type Palette } from '@/exchange/gpl'
import { readCatalogue } from '@/exchange/json'
import type { Table } from '@/exchange/table'
import { writeXlsx } from '@/exchange/xlsx'

/** What the drawer goes out as: media type, and what it is good for. */
export const FORMATS = {
  csv: ['text/csv; charset=utf-8', 'every column, for any spreadsheet'],
  xlsx: ['application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', 'the same as a workbook'],
  json: ['application/json', 'everything: pair notes, offers, surfaces, named colours and recipes too'],
  gpl: ['text/plain; charset=utf-8', 'swatches as a GIMP palette'],
  cxf: ['application/xml', 'swatches as CxF3 (ISO 17972)'],
} as const
export type Format = keyof typeof FORMATS

/** The catalogue of a studio in one of the formats, as bytes or text. */
export async function exportCatalogue(tx: Tx, format: Format, now: Date): Promise<string | Uint8Array> {
  if (format === 'json') return JSON.stringify(await readCatalogue(tx), null, 1)
  const rows = await allMaterials(tx)
  if (format === 'csv' || format === 'xlsx') {
    const table: Table = {
      headings: COLUMNS,
      rows: rows
        .filter((m) => m.kind !== 'water')
        .map((m) => {
          const cells = cellsOf(inputOf(m))
          return COLUMNS.map((c) => cells[c])
        }),
    }
    return format === 'csv' ? `\uFEFF${writeCsv(table)}` : writeXlsx(table)
  }
  const palette: Palette = {
    name: 'Fika drawer',
    swatches: rows.flatMap((m) =>
      m.kind === 'paint' ? [{ name: [m.maker, m.line, m.name].filter(Boolean).join(' '), hex: m.swatchHex }] : [],
    ),
  }
  return format === 'gpl' ? writeGpl(palette) : writeCxf3(palette, now)
}
