import fc from 'fast-check'
import Papa from 'papaparse'
import { BAD_LINES, drawerCsv } from '../../tests/support/drawerCsv'
import { aMaterial } from '../../tests/support/materials'
import { decodeText, readCsv, writeCsv } from '@/exchange/csv'
import { cellsOf, COLUMNS, guessMapping, readCells, type Cells } from '@/exchange/fields'
import { LIMITS, readTable, type Table } from '@/exchange/table'

const read = (text: string) => {
  const table = readCsv(text)
  return readTable(table, guessMapping(table.headings), new Map())
}

describe('reading a list of paints', () => {
  it('reads the good rows and says why the bad ones are bad', () => {
    const rows = read(drawerCsv())
    expect(rows).toHaveLength(40)
    expect(rows.filter((r) => r.state === 'bad').map((r) => r.line)).toEqual([...BAD_LINES])
    expect(rows[0]!.material).toMatchObject({
      name: 'Canal Teal',
      containerUl: 120_000,
      priceMinor: 960,
      pigments: ['PB15:3', 'PG7'],
      densityGPerMl: 1.22,
    })
    expect(rows[1]!.material).toMatchObject({
      kind: 'medium',
      mediumKind: 'conditioner',
      containerUl: 1_000_000,
      solids: 0.25,
    })
    // 2 fl oz and a decimal comma.
    expect(rows[3]!.material).toMatchObject({ containerUl: 59_147, priceMinor: 450 })
  })
  it('takes semicolons, a byte order mark, odd headings, units in cells and other words', () => {
    const text =
      '\uFEFFBrand;COLOUR;Hex;Specific gravity;Volume solids;Viscosity;Transparency;Finish;EAN\nTorvald Works;Reed;8BA23A;1,2 g/ml;38 %;Heavy Body;ST;glossy;4006381333931\n'
    expect(read(text)[0]!.material).toMatchObject({
      maker: 'Torvald Works',
      name: 'Reed',
      swatchHex: '#8ba23a',
      densityGPerMl: 1.2,
      solids: 0.38,
      body: 'heavy',
      opacity: 'semi-transparent',
      sheen: 'gloss',
      barcode: '4006381333931',
    })
  })
  it('refuses doubles within the file, impossible numbers and unknown kinds, row by row', () => {
    const rows = read(
      [
        'kind,name,swatch,density_g_per_ml,container,price',
        'paint,Reed,#8ba23a,,,',
        'paint,reed ,#8ba23a,,,',
        'paint,Lead,#888888,19.3,,',
        'paint,Jug,#888888,,-3 ml,',
        'paint,Dear,#888888,,,a lot',
        'glaze,Thing,#888888,,,',
        'paint,,#888888,,,',
        `paint,Long,#888888,,,${'9'.repeat(LIMITS.cell + 1)}`,
      ].join('\n'),
    )
    expect(rows[0]!.state).toBe('new')
    expect(rows.slice(1).map((r) => r.why)).toEqual([
      'The same paint is on line 2 already. Remove one of the two.',
      'A density above 6 g/ml is heavier than any paint. Weigh a known volume again.',
      '“-3 ml” is below zero, and an amount is not. Type something like 60 ml, 2 fl oz, 1 1/2 cup or 3 drops.',
      '“a lot” is not a price. Type it like 12.50, without thousands separators.',
      '“glaze” in kind is unknown. Use paint, medium, additive or water.',
      'Type a name.',
      'A cell of this row is longer than 20,000 characters. Shorten it.',
    ])
  })
  it('refuses a list without headings or a name column, or with too many rows', () => {
    expect(() => readCsv('Reed')).toThrow('The first line must name the columns')
    expect(() => read('maker,swatch\nx,#8ba23a\n')).toThrow('No column is the name yet')
    expect(() => read(`name,line\n${'x,y\n'.repeat(LIMITS.rows + 1)}`)).toThrow('more than 10000 rows')
  })
  it('tells headings of the same name apart, and reads each of ours once', () => {
    const { headings } = readCsv('name,name,colour\na,b,c')
    expect(headings).toEqual(['name', 'name (2)', 'colour'])
    expect(guessMapping(headings)).toEqual({ name: 'name', 'name (2)': '', colour: '' })
  })
  it('reads UTF-8, UTF-16 and Latin-1', () => {
    const text = 'name;maker\nGrün;Bläfjäll\n'
    const latin1 = Uint8Array.from([...text].map((c) => c.charCodeAt(0)))
    const utf16 = Uint8Array.from([0xff, 0xfe, ...[...text].flatMap((c) => [c.charCodeAt(0), 0])])
    for (const bytes of [latin1, utf16, new TextEncoder().encode(text)])
      expect(readCsv(decodeText(bytes))).toEqual({ headings: ['name', 'maker'], rows: [['Grün', 'Bläfjäll']] })
  })
})

describe('a row that is here already', () => {
  const base = readCells({ name: 'Reed', swatch: '#8ba23a', price: '9.90', tags: 'sea; reed', avoid_as: 'top: dull' })
  it('keeps what the file leaves empty', () => {
    expect(readCells({ name: 'Reed', swatch: '' }, base)).toEqual(base)
    expect(readCells({ name: 'Reed', price: '8' }, base)).toEqual({ ...base, priceMinor: 800 })
  })
  it('is the same where nothing differs, and says what would change', () => {
    const known = new Map([[['paint', '', '', 'reed'].join('\u0000'), { id: 'x', revision: 3, input: base }]])
    const rows = (text: string) => readTable(readCsv(text), guessMapping(readCsv(text).headings), known)
    expect(rows('name,swatch\nREED,#8ba23a')[0]).toMatchObject({ state: 'changed', why: 'changes name' })
    expect(rows('name,swatch\nReed,#8BA23A')[0]).toMatchObject({ state: 'same' })
    expect(rows('name,price,sheen\nReed,8,gloss')[0]).toMatchObject({ state: 'changed', why: 'changes sheen, price' })
  })
})

describe('writing it', () => {
  it('comes back unchanged, whatever is in it', () => {
    fc.assert(
      fc.property(aMaterial, (material) => {
        const table: Table = { headings: COLUMNS, rows: [COLUMNS.map((c) => cellsOf(material)[c])] }
        const back = readCsv(writeCsv(table))
        const cells = Object.fromEntries(back.headings.map((h, i) => [h, back.rows[0]![i]])) as Cells
        expect(readCells(cells)).toEqual(material)
      }),
      { numRuns: 300 },
    )
  })
  it('lets no cell begin like a formula', () => {
    const csv = writeCsv({ headings: ['a', 'b', 'c', 'd'], rows: [['=1+1', '@x', '+2', "-3\n'"]] })
    const [, cells] = Papa.parse<string[]>(csv).data
    for (const cell of cells!) expect(cell).not.toMatch(/^[=+\-@]/)
    expect(readCsv(csv).rows).toEqual([['=1+1', '@x', '+2', "-3\n'"]])
  })
})
