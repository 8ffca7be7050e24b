/** @jest-environment node */
import { XMLParser } from 'fast-xml-parser'
import fc from 'fast-check'
import readXlsxFile from 'read-excel-file/node'
import { deltaE00 } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { aMaterial } from '../../tests/support/materials'
import { readCxf3, writeCxf3 } from '@/exchange/cxf3'
import { cellsOf, COLUMNS, readCells, type Cells } from '@/exchange/fields'
import { readGpl, writeGpl } from '@/exchange/gpl'
import { readFile } from './readFile'
import { readXlsx, writeXlsx } from '@/exchange/xlsx'

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`)
const name = fc
  .string({ unit: fc.constantFrom(...'aZ9é<&"\' >-'), minLength: 1, maxLength: 20 })
  .map((s) => `n${s}`.trim().replace(/ +/g, ' '))
const palette = fc.record({ name, swatches: fc.array(fc.record({ name, hex }), { minLength: 1, maxLength: 12 }) })
const at = new Date('2026-05-04T10:00:00Z')

describe('XLSX', () => {
  it('comes back unchanged', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(aMaterial, { minLength: 1, maxLength: 5 }), async (materials) => {
        const rows = materials.map((m) => COLUMNS.map((c) => cellsOf(m)[c]))
        const back = await readXlsx(await writeXlsx({ headings: COLUMNS, rows }))
        const cells = back.rows.map((r) => Object.fromEntries(back.headings.map((h, i) => [h, r[i]])) as Cells)
        expect(cells.map((c) => readCells(c))).toEqual(materials)
      }),
      { numRuns: 25 },
    )
  }, 60_000)
  it('is read the same by another library', async () => {
    const headings = ['name', 'maker', 'price', 'notes']
    const rows = [
      ['Grün & “Blau”', "'=x", '9.90', 'two\nlines'],
      ['=1+1', 'Torvald Works', '', ''],
    ]
    const bytes = await writeXlsx({ headings, rows })
    const [sheet] = await readXlsxFile(Buffer.from(bytes))
    expect(sheet!.data).toEqual([
      headings,
      ['Grün & “Blau”', "''=x", '9.90', 'two\nlines'],
      ["'=1+1", 'Torvald Works', null, null],
    ])
  })
  it('that is none is refused', async () => {
    await expect(readXlsx(new Uint8Array([0x50, 0x4b, 3, 4, 1, 2]))).rejects.toThrow('not an XLSX workbook')
  })
})

describe('GIMP palettes', () => {
  it('come back unchanged', () => {
    fc.assert(fc.property(palette, (p) => expect(readGpl(writeGpl(p))).toEqual(p)))
  })
  // Structure of the format: GIMP’s documentation of palette files, from memory.
  it('have the magic line, a name, and a colour a line', () => {
    const text = writeGpl({ name: 'Drawer', swatches: [{ name: 'Canal\tTeal', hex: '#136a78' }] })
    expect(text).toBe('GIMP Palette\nName: Drawer\nColumns: 8\n#\n 19 106 120\tCanal Teal\n')
  })
  it('are read as others write them, and refused where they are none', () => {
    const text = 'GIMP Palette\r\n# made elsewhere\r\n255   0 128  Hot pink\r\n  0 0 0\r\n'
    expect(readGpl(text).swatches).toEqual([
      { name: 'Hot pink', hex: '#ff0080' },
      { name: '#000000', hex: '#000000' },
    ])
    expect(() => readGpl('JASC-PAL\n')).toThrow('first line must read')
    expect(() => readGpl('GIMP Palette\n300 0 0 x\n')).toThrow('goes up to 255')
  })
})

describe('CxF3 swatches', () => {
  it('come back unchanged', () => {
    fc.assert(fc.property(palette, (p) => expect(readCxf3(writeCxf3(p, at))).toEqual(p)))
  })
  // Structure of ISO 17972-1, CxF3-core, from memory.
  it('have file information, objects with CIELAB, and the specification these refer to', () => {
    const xml = writeCxf3({ name: 'Drawer', swatches: [{ name: 'Teal <1>', hex: '#136a78' }] }, at)
    const { 'cc:CxF': cxf } = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '@' }).parse(xml)
    expect(cxf['@xmlns:cc']).toBe('http://colorexchangeformat.com/CxF3-core')
    expect(cxf['cc:FileInformation']).toMatchObject({ 'cc:CreationDate': at.toISOString(), 'cc:Description': 'Drawer' })
    const { 'cc:ObjectCollection': objects, 'cc:ColorSpecificationCollection': specs } = cxf['cc:Resources']
    const lab = objects['cc:Object']['cc:ColorValues']['cc:ColorCIELab']
    expect(lab['@ColorSpecification']).toBe(specs['cc:ColorSpecification']['@Id'])
    expect(deltaE00([lab['cc:L'], lab['cc:A'], lab['cc:B']], hexToLab('#136a78'))).toBeLessThan(0.001)
    expect(specs['cc:ColorSpecification']['cc:TristimulusSpec']).toMatchObject({
      'cc:Illuminant': 'D65',
      'cc:Observer': '2_Degree',
    })
  })
  it('are read with another prefix and with sRGB only, and refused where they are none', () => {
    const object = (values: string) =>
      `<CxF xmlns="http://colorexchangeformat.com/CxF3-core"><Resources><ObjectCollection><Object Name="A" Id="1"><ColorValues>${values}</ColorValues></Object></ObjectCollection></Resources></CxF>`
    expect(readCxf3(object('<ColorSRGB MaxRange="1"><R>1</R><G>0</G><B>0.5</B></ColorSRGB>')).swatches).toEqual([
      { name: 'A', hex: '#ff0080' },
    ])
    expect(() => readCxf3(object('<ColorCMYK/>'))).toThrow('no CIELAB and no sRGB')
    expect(() => readCxf3('<html></html>')).toThrow('outermost element must be CxF')
    expect(() => readCxf3('<CxF><a></CxF>')).toThrow('not whole XML')
  })
})

describe('a file is told by what is in it', () => {
  const bytes = (text: string) => new TextEncoder().encode(text)
  it('whatever its name', async () => {
    expect(await readFile(bytes('name,maker\na,b'))).toMatchObject({
      kind: 'table',
      table: { headings: ['name', 'maker'] },
    })
    expect(await readFile(bytes('{"format": 1}'))).toMatchObject({ kind: 'catalogue' })
    expect(await readFile(bytes('GIMP Palette\nName: Sea\n1 2 3 Deep'))).toMatchObject({
      table: { rows: [['Sea', 'Deep', '#010203']] },
    })
    expect(await readFile(await writeXlsx({ headings: ['name', 'x'], rows: [['a', 'b']] }))).toMatchObject({
      table: { rows: [['a', 'b']] },
    })
  })
  it('and refused where it is nothing Fika reads, or too large', async () => {
    await expect(readFile(new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0]))).rejects.toThrow('not a list Fika reads')
    await expect(readFile(new Uint8Array())).rejects.toThrow('empty')
    await expect(readFile(new Uint8Array(8_000_001))).rejects.toThrow('larger than 8 MB')
  })
})
