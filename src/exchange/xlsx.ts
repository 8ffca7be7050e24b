import { Invalid } from '@/core/errors'
import { guard, writable } from './guard'
import { refuseColumn, refuseRow, tableOf } from './headings'
import type { Table } from './table'
import { BadXml, xmlReader, type Heard } from './xml'
import { BadZip, openZip, type Archive } from './zip'

/** Writes a list as a workbook of one sheet; every cell is text, and none begins like a formula. */
export async function writeXlsx({ headings, rows }: Table): Promise<Uint8Array> {
  // Only writing needs it, and it is large.
  const { default: ExcelJS } = await import('exceljs')
  const book = new ExcelJS.Workbook()
  const sheet = book.addWorksheet('Paints', { views: [{ state: 'frozen', ySplit: 1 }] })
  sheet.addRow([...headings]).font = { bold: true }
  for (const row of rows) sheet.addRow(row.map((cell) => guard(writable(cell))))
  sheet.columns.forEach((c) => (c.width = 16))
  return new Uint8Array(await book.xlsx.writeBuffer())
}

/** Texts shared by cells that are kept at most. */
const MOST_TEXTS = 300_000

const NOT_ONE = 'This is not an XLSX workbook Fika can open. Save it again as XLSX or CSV.'

/** Hears one part of a workbook; a part that is not there is silent. */
async function hear(archive: Archive, name: string, heard: Heard, enough: () => boolean = () => false): Promise<void> {
  if (!archive.names.has(name)) return
  const reader = xmlReader(heard)
  const decoder = new TextDecoder('utf-8', { fatal: true })
  for await (const piece of archive.read(name)) {
    reader.write(decoder.decode(piece, { stream: true }))
    if (enough()) return
  }
  reader.end()
}

/** Names of the parts that hold the sheets, in the order of the workbook (ECMA-376 part 1, 18.2.19 and part 2, 9.3). */
async function sheetParts(archive: Archive): Promise<string[]> {
  const ids: string[] = []
  await hear(archive, 'xl/workbook.xml', {
    open: (name, a) => {
      if (name === 'sheet') ids.push(Object.entries(a).find(([k]) => /(^|:)id$/.test(k))?.[1] ?? '')
    },
  })
  const targets = new Map<string, string>()
  await hear(archive, 'xl/_rels/workbook.xml.rels', {
    open: (name, a) => {
      if (name === 'Relationship') targets.set(a.Id ?? '', a.Target ?? '')
    },
  })
  return ids.flatMap((id) => {
    const target = targets.get(id)
    return target ? [target.startsWith('/') ? target.slice(1) : `xl/${target}`] : []
  })
}

/** The texts cells refer to by number (18.4.8); how a part of one looks, and how it is read aloud, is left out. */
async function sharedTexts(archive: Archive): Promise<string[]> {
  const texts: string[] = []
  let text = ''
  let [inText, aloud] = [false, false]
  await hear(archive, 'xl/sharedStrings.xml', {
    open: (name) => {
      if (name === 'si') text = ''
      else if (name === 't') inText = true
      else if (name === 'rPh') aloud = true
    },
    text: (t) => {
      if (inText && !aloud) text += t
    },
    close: (name) => {
      if (name === 't') inText = false
      else if (name === 'rPh') aloud = false
      else if (name === 'si') {
        if (texts.push(text) > MOST_TEXTS) throw new BadXml('too many texts')
      }
    },
  })
  return texts
}

/** Number of a column by its letters, `A` being 0; the next one where a cell has no name. */
function columnOf(name: string | undefined, next: number): number {
  const letters = /^[A-Z]{1,3}/i.exec(name ?? '')?.[0].toUpperCase()
  if (!letters) return next
  return [...letters].reduce((sum, l) => 26 * sum + l.charCodeAt(0) - 64, 0) - 1
}

/** What a cell shows (18.3.1.4, 18.18.11): the result of a formula, a number as it is, nothing for an error. */
function shownIn(type: string, value: string, texts: readonly string[]): string {
  if (type === 's') return texts[Number(value)] ?? ''
  if (type === 'b') return value.trim() === '1' ? 'true' : 'false'
  if (type === 'e') return ''
  if (type === 'str' || type === 'inlineStr') return value
  return value.trim() === '' ? '' : String(Number(value))
}

/** Cells of one sheet, line by line. Merges, styles and rules are not read, and empty lines take no room. */
async function linesOf(archive: Archive, part: string, texts: readonly string[]): Promise<string[][]> {
  const lines: string[][] = []
  let line: string[] = []
  let [column, type, value] = [0, '', '']
  let [inValue, inText, aloud, over] = [false, false, false, false]
  await hear(
    archive,
    part,
    {
      open: (name, a) => {
        if (name === 'row') line = []
        else if (name === 'c') {
          column = columnOf(a.r, line.length)
          ;[type, value] = [a.t ?? 'n', '']
        } else if (name === 'v') inValue = true
        else if (name === 't') inText = true
        else if (name === 'rPh') aloud = true
      },
      text: (t) => {
        if (inValue || (inText && !aloud)) value += t
      },
      close: (name) => {
        if (name === 'v') inValue = false
        else if (name === 't') inText = false
        else if (name === 'rPh') aloud = false
        else if (name === 'c') {
          const shown = shownIn(type, value, texts)
          if (!shown) return
          refuseColumn(column + 1)
          while (line.length < column) line.push('')
          line[column] = shown
        } else if (name === 'row') {
          if (!line.some((c) => c.trim())) return
          lines.push(line)
          // The headings are a line too.
          refuseRow(lines.length - 1)
        } else if (name === 'sheetData') over = true
      },
    },
    () => over,
  )
  return lines
}

/** Reads the first sheet of a workbook that holds anything. @throws Invalid when it is no workbook, or holds nothing */
export async function readXlsx(bytes: Uint8Array): Promise<Table> {
  try {
    const archive = await openZip(bytes)
    const parts = await sheetParts(archive)
    if (parts.length === 0) throw new Invalid(NOT_ONE, 'file')
    const texts = await sharedTexts(archive)
    for (const part of parts) {
      const lines = await linesOf(archive, part, texts)
      if (lines.length) return tableOf(lines)
    }
  } catch (error) {
    if (error instanceof BadZip || error instanceof BadXml || error instanceof TypeError)
      throw new Invalid(NOT_ONE, 'file')
    throw error
  }
  throw new Invalid('This workbook is empty. Choose another.', 'file')
}
