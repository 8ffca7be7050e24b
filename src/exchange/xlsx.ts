import ExcelJS from 'exceljs'
import { Invalid } from '@/core/errors'
import { guard, unguard } from '@/exchange/csv'
import type { Table } from '@/exchange/table'

/** Writes a list as a workbook of one sheet; every cell is text, and none begins like a formula. */
export async function writeXlsx({ headings, rows }: Table): Promise<Uint8Array> {
  const book = new ExcelJS.Workbook()
  const sheet = book.addWorksheet('Paints', { views: [{ state: 'frozen', ySplit: 1 }] })
  sheet.addRow([...headings]).font = { bold: true }
  for (const row of rows) sheet.addRow(row.map(guard))
  sheet.columns.forEach((c) => (c.width = 16))
  return new Uint8Array(await book.xlsx.writeBuffer())
}

/** What a cell shows: the result of a formula, the text of a link, a date as its day. */
function textOf(value: ExcelJS.CellValue): string {
  if (value === null || value === undefined) return ''
  if (value instanceof Date) return value.toISOString().slice(0, 10)
  if (typeof value !== 'object') return String(value)
  if ('richText' in value) return value.richText.map((r) => r.text).join('')
  if ('text' in value) return textOf(value.text as ExcelJS.CellValue)
  if ('result' in value) return textOf(value.result as ExcelJS.CellValue)
  return ''
}

/** Reads the first sheet of a workbook. @throws Invalid when it is no workbook, or has no rows */
export async function readXlsx(bytes: Uint8Array): Promise<Table> {
  const book = new ExcelJS.Workbook()
  try {
    await book.xlsx.load(Buffer.from(bytes) as unknown as ExcelJS.Buffer)
  } catch {
    throw new Invalid('This is not an XLSX workbook Fika can open. Save it again as XLSX or CSV.', 'file')
  }
  const sheet = book.worksheets.find((s) => s.rowCount > 0)
  if (!sheet) throw new Invalid('This workbook is empty. Choose another.', 'file')
  const lines: string[][] = []
  sheet.eachRow((row) => {
    const cells = row.values as ExcelJS.CellValue[]
    lines.push(Array.from({ length: Math.max(0, cells.length - 1) }, (_, i) => textOf(cells[i + 1]).trim()))
  })
  const headings = (lines[0] ?? []).map((h, i) => h || `column ${i + 1}`)
  return {
    headings,
    rows: lines
      .slice(1)
      .filter((l) => l.some(Boolean))
      .map((l) => headings.map((_, i) => unguard(l[i] ?? ''))),
  }
}
