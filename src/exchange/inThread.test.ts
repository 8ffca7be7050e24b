import { cell, sheetOf, workbookOf, zipOf } from '../../tests/support/workbook'
import { headOf, heldOf, previewOf, rowsToMend } from './inThread'
import { writeXlsx } from './xlsx'

const bytes = (text: string) => new TextEncoder().encode(text)
const PAINT = `<row r="2">${cell('A2', 'Teal')}${cell('B2', 'Kvarnby')}</row>`
const HEAD = { kind: 'table', headings: ['name', 'maker'], samples: [['Teal'], ['Kvarnby']] }

/** Longest time this process was kept from anything else while a file was read, ms. */
async function longestWait(work: () => Promise<unknown>): Promise<{ said: unknown; longestMs: number }> {
  let [last, longestMs] = [performance.now(), 0]
  const tick = setInterval(() => {
    const now = performance.now()
    longestMs = Math.max(longestMs, now - last)
    last = now
  }, 5)
  const said = await work().catch((error: Error) => error.message)
  clearInterval(tick)
  return { said, longestMs }
}

/** Files that once held everybody up for seconds to minutes, or ended the process; each smaller than it was then. */
const HOSTILE: readonly [what: string, file: () => Uint8Array, said: unknown][] = [
  ['a row numbered two thousand million', () => workbookOf(sheetOf(PAINT.replaceAll('"2"', '"2000000000"'))), HEAD],
  [
    'a merge over the whole sheet',
    () => workbookOf(sheetOf(PAINT, '<mergeCells><mergeCell ref="A1:XFD1048576"/></mergeCells>')),
    HEAD,
  ],
  [
    'a validation over the whole sheet',
    () =>
      workbookOf(
        sheetOf(PAINT, '<dataValidations><dataValidation sqref="A1:XFD1048576" type="list"/></dataValidations>'),
      ),
    HEAD,
  ],
  [
    'columns over the whole sheet',
    () => workbookOf(sheetOf(PAINT, '', '<cols><col min="1" max="16384" width="9"/></cols>')),
    HEAD,
  ],
  [
    'a cell in the last column there is',
    () => workbookOf(sheetOf(`<row r="2">${cell('XFD2', 'far')}</row>`)),
    /more than 200 columns/,
  ],
  [
    'cells that say nothing in the last column',
    () => workbookOf(sheetOf(`${PAINT}<row r="3">${cell('XFD3', '')}</row>`)),
    HEAD,
  ],
  [
    'seventy million blanks in a small archive',
    () => workbookOf(sheetOf(PAINT), { 'xl/sharedStrings.xml': new Uint8Array(65_000_000).fill(32) }),
    /not an XLSX workbook/,
  ],
  [
    'a hundred thousand rows',
    () =>
      workbookOf(sheetOf(Array.from({ length: 100_000 }, (_, i) => `<row>${cell(`A${i + 2}`, 'x')}</row>`).join(''))),
    /more than 10000 rows/,
  ],
  [
    'a thousand entries',
    () => zipOf(Object.fromEntries(Array.from({ length: 1000 }, (_, i) => [`e${i}`, '']))),
    /not an XLSX workbook/,
  ],
  [
    'a name that climbs out of the archive',
    () => workbookOf(sheetOf(PAINT), { '../../x': 'x' }),
    /not an XLSX workbook/,
  ],
  [
    'an entity that grows',
    () =>
      workbookOf(
        `<!DOCTYPE x [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]>${sheetOf(`<row>${cell('A2', '&b;')}</row>`).slice(21)}`,
      ),
    /not an XLSX workbook/,
  ],
  ['elements within elements without end', () => workbookOf(sheetOf('<row>'.repeat(200_000))), /not an XLSX workbook/],
  ['a line of eight million', () => bytes(','.repeat(7_900_000)), /first line is too long/],
  ['nothing but quotes', () => bytes(`name,maker\n${'"'.repeat(600_000)}`), expect.anything()],
  [
    'a list in which every cell is a quote',
    () => bytes(`name,maker\n${'"""",""""\n'.repeat(400_000)}`),
    /more than 10000 rows/,
  ],
  [
    'a swatch with three hundred thousand attributes',
    () => bytes(`<CxF ${Array.from({ length: 300_000 }, (_, i) => `a${i}="1"`).join(' ')}></CxF>`),
    expect.anything(),
  ],
  ['XML nested a hundred thousand deep', () => bytes('<CxF>'.repeat(100_000)), /not whole XML/],
  [
    'an entity that reads a file',
    () => bytes('<!DOCTYPE x [<!ENTITY e SYSTEM "file:///etc/passwd">]><CxF>&e;</CxF>'),
    /not whole XML/,
  ],
]

describe('a file that is meant to hurt', () => {
  beforeAll(() => headOf(bytes('name,maker\na,b')))
  it.each(HOSTILE)('%s: is read or refused with a sentence, and nobody waits', async (_, file, expected) => {
    const made = file()
    const { said, longestMs } = await longestWait(() => headOf(made))
    if (expected instanceof RegExp) expect(said).toMatch(expected)
    else expect(said).toEqual(expected)
    expect(String(said)).not.toContain('Fika could not')
    // The issue is who waits; what the machine does besides is not ours.
    expect(longestMs).toBeLessThan(1000)
  })
  it('deep JSON, JSON with strange names, and more paints than are taken', async () => {
    const preview = (text: string) => previewOf(bytes(text), {}, [], 0)
    await expect(preview(`{"format":${'['.repeat(100_000)}`)).rejects.toThrow('not whole JSON')
    await expect(
      preview('{"format":"fika-catalogue","version":1,"materials":[{"kind":["paint"],"name":{"a":1}}]}'),
    ).rejects.toThrow('Material 1')
    await expect(preview('{"__proto__":{"format":"fika-catalogue"},"materials":[]}')).rejects.toThrow(
      'not a catalogue of Fika',
    )
    const many = JSON.stringify({ format: 'fika-catalogue', version: 1, materials: Array(10_001).fill(null) })
    await expect(preview(many)).rejects.toThrow('Ten thousand materials')
  })
  it('headings that every object has already are columns without a name', async () => {
    const head = await headOf(bytes('name,__proto__,constructor\na,b,c'))
    expect(head.headings).toEqual(['name', 'column 2', 'column 3'])
  })
})

describe('what is asked about a list', () => {
  const list = bytes(
    `name,swatch\n${Array.from({ length: 350 }, (_, i) => `Shade ${i},${i % 7 ? '#123456' : 'blue-ish'}`).join('\n')}`,
  )
  const mapping = { name: 'name', swatch: 'swatch' } as const
  it('comes back in parts, the bad ones first, and all of it only to be written', async () => {
    const first = await previewOf(list, mapping, [], 0)
    expect(first.counts).toEqual({ new: 300, changed: 0, same: 0, bad: 50 })
    expect(first.rows).toHaveLength(100)
    expect(first.rows.slice(0, 50).every((r) => r.state === 'bad')).toBe(true)
    expect((await previewOf(list, mapping, [], 300)).rows.map((r) => r.name).at(-1)).toBe('Shade 349')
    const { rows } = await heldOf(list, mapping, [])
    expect(rows.map((r) => r.line)).toEqual(Array.from({ length: 350 }, (_, i) => i + 2))
    expect(rows[1]!.material).toMatchObject({ name: 'Shade 1', swatchHex: '#123456' })
  })
  it('gives the bad ones back as they came, with why', async () => {
    const csv = await rowsToMend(list, mapping, [])
    const lines = csv.split('\r\n')
    expect(lines).toHaveLength(51)
    expect(lines[0]).toBe('what_is_wrong,name,swatch')
    expect(lines[2]).toMatch(/Shade 7,blue-ish$/)
  })
  it('is answered for several at once, each its own', async () => {
    const names = await Promise.all(
      Array.from({ length: 6 }, async (_, i) => (await headOf(bytes(`name,m\nPaint ${i},x`))).samples[0]),
    )
    expect(names).toEqual(Array.from({ length: 6 }, (_, i) => [`Paint ${i}`]))
  })
})

describe('a workbook of another hand', () => {
  it('is read with shared and rich texts, numbers, formulas, gaps and errors as they are shown', async () => {
    const sheet = sheetOf(
      `<row r="2"><c r="A2" t="s"><v>0</v></c><c r="C2"><v>9.5</v></c><c r="D2" t="str"><f>A1&amp;"x"</f><v>made</v></c><c r="E2" t="e"><v>#N/A</v></c><c r="F2" t="b"><v>1</v></c></row>`,
    ).replace('</row>', `${cell('C1', 'price')}${cell('D1', 'notes')}${cell('E1', 'e')}${cell('F1', 'f')}</row>`)
    const shared =
      '<sst><si><r><t xml:space="preserve">Night </t></r><r><rPr><b/></rPr><t>Ferry &amp; Co</t></r><rPh><t>yomi</t></rPh></si></sst>'
    const { headings, samples } = await headOf(workbookOf(sheet, { 'xl/sharedStrings.xml': shared }))
    expect(headings).toEqual(['name', 'maker', 'price', 'notes', 'e', 'f'])
    expect(samples).toEqual([['Night Ferry & Co'], [], ['9.5'], ['made'], [], ['true']])
  })
  it('is read from the first sheet that holds anything', async () => {
    const book = workbookOf(sheetOf('').replace(/<row.*<\/row>/, ''), {
      'xl/workbook.xml': '<workbook><sheets><sheet r:id="rId1"/><sheet r:id="rId2"/></sheets></workbook>',
      'xl/_rels/workbook.xml.rels':
        '<Relationships><Relationship Id="rId1" Target="worksheets/sheet1.xml"/><Relationship Id="rId2" Target="/xl/worksheets/two.xml"/></Relationships>',
      'xl/worksheets/two.xml': sheetOf(PAINT),
    })
    expect(await headOf(book)).toEqual(HEAD)
    await expect(headOf(workbookOf('<worksheet><sheetData/></worksheet>'))).rejects.toThrow('workbook is empty')
  })
  it('that Fika wrote is whole XML, whatever stands in a cell', async () => {
    const strange = 'a\u0000b\u0008c\ufffed\ud800e'
    const { samples } = await headOf(await writeXlsx({ headings: ['name', 'maker'], rows: [[strange, 'x']] }))
    expect(samples[0]).toEqual(['abcde'])
  })
})
