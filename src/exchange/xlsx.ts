import { buffer } from 'node:stream/consumers'
import { ZipFile } from 'yazl'
import { Invalid } from '@/core/errors'
import { guard, writable } from './guard'
import { refuseColumn, refuseRow, tableOf } from './headings'
import type { Table } from './table'
import { BadXml, xmlReader, type Heard } from './xml'
import { BadZip, openZip, type Archive } from './zip'

/** A text as it stands inside an element; a carriage return would be read as an end of line (XML 1.0, 2.11). */
const escaped = (text: string) =>
  text.replace(/[&<>\r]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[c] ?? '&#13;')

const XML = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n'
const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main'
const RELATIONSHIPS = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships'
const PACKAGE = 'http://schemas.openxmlformats.org/package/2006'
const TYPE = 'application/vnd.openxmlformats-officedocument.spreadsheetml'

/** The parts of a workbook that are the same for every list (ECMA-376 part 1, 12.2, 18.2, 18.8; part 2, 9 and 10). */
const PARTS: Readonly<Record<string, string>> = {
  '[Content_Types].xml': `<Types xmlns="${PACKAGE}/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/xl/workbook.xml" ContentType="${TYPE}.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="${TYPE}.worksheet+xml"/><Override PartName="/xl/styles.xml" ContentType="${TYPE}.styles+xml"/></Types>`,
  '_rels/.rels': `<Relationships xmlns="${PACKAGE}/relationships"><Relationship Id="rId1" Type="${RELATIONSHIPS}/officeDocument" Target="xl/workbook.xml"/></Relationships>`,
  'xl/workbook.xml': `<workbook xmlns="${MAIN}" xmlns:r="${RELATIONSHIPS}"><sheets><sheet name="Paints" sheetId="1" r:id="rId1"/></sheets></workbook>`,
  'xl/_rels/workbook.xml.rels': `<Relationships xmlns="${PACKAGE}/relationships"><Relationship Id="rId1" Type="${RELATIONSHIPS}/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="rId2" Type="${RELATIONSHIPS}/styles" Target="styles.xml"/></Relationships>`,
  // Style 1 is bold, for the headings.
  'xl/styles.xml': `<styleSheet xmlns="${MAIN}"><fonts count="2"><font><sz val="11"/></font><font><b/><sz val="11"/></font></fonts><fills count="2"><fill><patternFill patternType="none"/></fill><fill><patternFill patternType="gray125"/></fill></fills><borders count="1"><border><left/><right/><top/><bottom/><diagonal/></border></borders><cellStyleXfs count="1"><xf/></cellStyleXfs><cellXfs count="2"><xf xfId="0"/><xf xfId="0" fontId="1" applyFont="1"/></cellXfs></styleSheet>`,
}

/** A, B … Z, AA: the name of a column, counted from 0. */
function columnName(i: number): string {
  return (i >= 26 ? columnName(Math.floor(i / 26) - 1) : '') + String.fromCharCode(65 + (i % 26))
}

/** The sheet: headings that stay while the rest is scrolled, every cell a text of its own (18.3.1.4, 18.3.1.53). */
function sheetXml({ headings, rows }: Table): string {
  const row = (cells: readonly string[], n: number, style = '') => {
    const written = cells.map((text, i) =>
      text === ''
        ? ''
        : `<c r="${columnName(i)}${n}" t="inlineStr"${style}><is><t xml:space="preserve">${escaped(text)}</t></is></c>`,
    )
    return `<row r="${n}">${written.join('')}</row>`
  }
  const lines = rows.map((r, i) =>
    row(
      r.map((cell) => guard(writable(cell))),
      i + 2,
    ),
  )
  const view =
    '<sheetView workbookViewId="0"><pane ySplit="1" topLeftCell="A2" activePane="bottomLeft" state="frozen"/></sheetView>'
  return `<worksheet xmlns="${MAIN}"><sheetViews>${view}</sheetViews><cols><col min="1" max="${Math.max(1, headings.length)}" width="16" customWidth="1"/></cols><sheetData>${row(headings, 1, ' s="1"')}${lines.join('')}</sheetData></worksheet>`
}

/** Writes a list as a workbook of one sheet; every cell is text, and none begins like a formula. */
export async function writeXlsx(table: Table): Promise<Uint8Array> {
  const zip = new ZipFile()
  for (const [name, xml] of Object.entries({ ...PARTS, 'xl/worksheets/sheet1.xml': sheetXml(table) }))
    zip.addBuffer(Buffer.from(XML + xml), name)
  zip.end()
  return new Uint8Array(await buffer(zip.outputStream))
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
