import { crc32, deflateRawSync } from 'node:zlib'

/** A zip archive of texts or bytes, written plainly, so that a test may put anything into it. */
export function zipOf(files: Readonly<Record<string, string | Uint8Array>>): Uint8Array {
  const parts: Buffer[] = []
  const directory: Buffer[] = []
  let at = 0
  for (const [name, content] of Object.entries(files)) {
    const raw = Buffer.from(content as string)
    const packed = deflateRawSync(raw)
    const head = Buffer.alloc(26)
    head.writeUInt16LE(20, 0)
    head.writeUInt16LE(8, 4)
    head.writeUInt32LE(crc32(raw), 10)
    head.writeUInt32LE(packed.length, 14)
    head.writeUInt32LE(raw.length, 18)
    head.writeUInt16LE(name.length, 22)
    const local = Buffer.concat([Buffer.from('PK\u0003\u0004'), head, Buffer.from(name), packed])
    const tail = Buffer.alloc(16)
    tail.writeUInt32LE(at, 12)
    directory.push(
      Buffer.concat([Buffer.from('PK\u0001\u0002'), Buffer.from([20, 0]), head, tail.subarray(2), Buffer.from(name)]),
    )
    parts.push(local)
    at += local.length
  }
  const listed = Buffer.concat(directory)
  const end = Buffer.alloc(18)
  end.writeUInt16LE(directory.length, 4)
  end.writeUInt16LE(directory.length, 6)
  end.writeUInt32LE(listed.length, 8)
  end.writeUInt32LE(at, 12)
  return new Uint8Array(Buffer.concat([...parts, listed, Buffer.from('PK\u0005\u0006'), end]))
}

/** A workbook of one sheet, whose XML is given. */
export const workbookOf = (sheet: string, more: Readonly<Record<string, string | Uint8Array>> = {}): Uint8Array =>
  zipOf({
    'xl/workbook.xml':
      '<workbook xmlns:r="r"><sheets><sheet name="Paints" sheetId="1" r:id="rId1"/></sheets></workbook>',
    'xl/_rels/workbook.xml.rels':
      '<Relationships><Relationship Id="rId1" Target="worksheets/sheet1.xml"/></Relationships>',
    'xl/worksheets/sheet1.xml': sheet,
    ...more,
  })

/** A cell that holds its text itself. */
export const cell = (at: string, text: string) => `<c r="${at}" t="inlineStr"><is><t>${text}</t></is></c>`

/** A sheet of a heading and one paint, with whatever else stands before and after its rows. */
export const sheetOf = (rows: string, after = '', before = ''): string =>
  `<?xml version="1.0"?><worksheet>${before}<sheetData><row r="1">${cell('A1', 'name')}${cell('B1', 'maker')}</row>${rows}</sheetData>${after}</worksheet>`
