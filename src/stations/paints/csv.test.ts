import Papa from 'papaparse'
import { BAD_LINES, drawerCsv } from '../../../tests/support/drawerCsv'
import { COLUMNS, LIMITS, readCsv, writeCsv } from './csv'
import type { MaterialRow } from './queries'

const row = (more: Partial<MaterialRow>): MaterialRow => ({
  id: 'x',
  kind: 'paint',
  maker: 'Sallow & Finch',
  line: 'Heavy',
  name: 'Heron Grey',
  densityGPerMl: 1.28,
  solids: 0.38,
  waterShare: 0,
  containerUl: 60_000,
  priceMinor: 990,
  notes: 'dries, "darker"',
  archived: false,
  revision: 1,
  mediumKind: null,
  body: 'heavy',
  opacity: 'opaque',
  sheen: 'matte',
  strength: 'normal',
  pigments: ['PW6', 'PBk7'],
  swatchHex: '#8a8d8f',
  avoid: [{ role: 'top', reason: 'dull; heavy' }],
  onHandUl: null,
  ...more,
})

describe('reading a list of paints', () => {
  it('reads the good rows and says why the bad ones are bad', () => {
    const rows = readCsv(drawerCsv())
    expect(rows).toHaveLength(40)
    expect(rows.filter((r) => !r.material).map((r) => r.line)).toEqual([...BAD_LINES])
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
  it('takes semicolons, a byte order mark and odd headings', () => {
    const [one] = readCsv('\uFEFFNAME; Swatch ;density g per ml\nReed;#8ba23a;1,2\n')
    expect(one!.material).toMatchObject({ name: 'Reed', swatchHex: '#8ba23a', densityGPerMl: 1.2, body: 'soft' })
  })
  it('refuses doubles within the file, impossible numbers and unknown kinds, row by row', () => {
    const rows = readCsv(
      [
        'kind,name,swatch,density_g_per_ml,container,price',
        'paint,Reed,#8ba23a,,,',
        'paint,reed ,#8ba23a,,,',
        'paint,Lead,#888888,19.3,,',
        'paint,Jug,#888888,,-3 ml,',
        'paint,Dear,#888888,,,a lot',
        'glaze,Thing,#888888,,,',
        'paint,,#888888,,,',
      ].join('\n'),
    )
    expect(rows[0]!.material).toBeDefined()
    expect(rows.slice(1).map((r) => r.why)).toEqual([
      'The same paint is on line 2 already. Remove one of the two.',
      'A density above 6 g/ml is heavier than any paint. Weigh a known volume again.',
      '“-3 ml” is not an amount. Type something like 60 ml, 2 fl oz, 1 1/2 cup or 3 drops.',
      '“a lot” is not a price. Type it like 12.50, without thousands separators.',
      '“glaze” in kind is unknown. Use paint, medium or additive.',
      'Type a name.',
    ])
  })
  it('refuses a file that names no columns, or is too large', () => {
    expect(() => readCsv('Reed,#8ba23a\n')).toThrow('The first line must name the columns')
    expect(() => readCsv('n'.repeat(LIMITS.characters + 1))).toThrow('larger than 2 MB')
    expect(() => readCsv(`name\n${'x\n'.repeat(LIMITS.rows + 1)}`)).toThrow('more than 5000 rows')
  })
})

describe('writing it', () => {
  it('comes back unchanged', () => {
    const rows = [
      row({}),
      row({ name: '=HYPERLINK("x")', maker: "'quoted", notes: '-5 drops\n+3' }),
      row({
        kind: 'medium',
        name: 'Flow',
        mediumKind: 'glue',
        waterShare: 0.4,
        body: null,
        opacity: null,
        sheen: null,
        strength: null,
        pigments: [],
        swatchHex: null,
        avoid: [],
        priceMinor: null,
        containerUl: null,
      }),
    ]
    const csv = writeCsv(rows)
    const [paint, formula, glue] = readCsv(csv).map((r) => r.material)
    expect(paint).toMatchObject({
      name: 'Heron Grey',
      notes: 'dries, "darker"',
      avoid: [{ role: 'top', reason: 'dull, heavy' }],
    })
    expect(formula).toMatchObject({ name: '=HYPERLINK("x")', maker: "'quoted", notes: '-5 drops\n+3' })
    expect(glue).toMatchObject({
      kind: 'medium',
      mediumKind: 'glue',
      waterShare: 0.4,
      priceMinor: null,
      containerUl: null,
    })
  })
  it('lets no cell begin like a formula', () => {
    const csv = writeCsv([row({ name: '=1+1', maker: '@x', notes: '+2', line: '-3' })])
    const [, cells] = Papa.parse<string[]>(csv).data
    expect(cells).toHaveLength(COLUMNS.length)
    for (const cell of cells!) expect(cell).not.toMatch(/^[=+\-@]/)
  })
})
