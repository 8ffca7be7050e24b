import { v7 as uuidv7 } from 'uuid'
import { GET as exportCatalogue } from '@/app/(studio)/paints/export/[format]/route'
import { POST as runImport } from '@/app/(studio)/paints/import/run/route'
import { GET as moreRows } from '@/app/(studio)/paints/rows/route'
import type { Signed } from '@/db/people/sessions'
import { signUp } from '../support/accounts'
import { endPool } from '@/db/base/pool'
import { withStudio } from '@/db/base/withStudio'
import { allMaterials } from '@/db/materials/read'
import { readCsv } from '@/exchange/csv'
import { guessMapping } from '@/exchange/fields'
import type { DrawerRow } from '@/stations/paints/drawer/find'
import { NextRequest } from 'next/server'

/** The sealed cookie is stood in for by whose token it holds; everything behind it is real. */
const holder: { token?: string } = {}
jest.mock('@/session/cookie', () => ({ tokenHere: async () => holder.token }))
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('next/navigation', () => ({
  redirect: (to: string) => {
    throw Object.assign(new Error('to the door'), { digest: `NEXT_REDIRECT;push;${to};307;` })
  },
}))
jest.mock('react', () => ({ ...jest.requireActual<object>('react'), cache: (work: unknown) => work }))

afterAll(endPool)

const newStudio = async (name: string): Promise<Signed> => {
  const signed = await signUp({
    name,
    email: `${uuidv7()}@example.org`,
    password: 'a long pass phrase',
    studioName: name,
  })
  holder.token = signed.token
  return signed
}
/** What the page sends to bring a list in: the file as it is, and the columns chosen. */
const list = (text: string, mapping: object = guessMapping(readCsv(text).headings)) => {
  const form = new FormData()
  form.set('file', new File([text], 'list.csv'))
  form.set('mapping', JSON.stringify(mapping))
  return form
}
const shades = (count: number, from = 0) =>
  [
    'name,maker,swatch,body',
    ...Array.from(
      { length: count },
      (_, i) =>
        `Shade ${String(from + i).padStart(4, '0')},Torvald Works,#${((from + i) * 7919).toString(16).padStart(6, '0')},${i % 2 ? 'soft' : 'fluid'}`,
    ),
  ].join('\n')
const post = (body: BodyInit) => runImport(new Request('http://127.0.0.1/paints/import/run', { method: 'POST', body }))
const lines = async (response: Response) =>
  (await response.text())
    .trim()
    .split('\n')
    .map((l) => JSON.parse(l) as Record<string, unknown>)
const paintsOf = (who: Signed) =>
  withStudio(who, allMaterials).then((all) => all.filter((m) => m.kind === 'paint').map((m) => m.name))

describe('an import as it runs', () => {
  it('tells its progress line by line, then what it did', async () => {
    const who = await newStudio('Upper lock')
    const said = await lines(await post(list(shades(450))))
    expect(said).toEqual([
      { done: 200, of: 450 },
      { done: 400, of: 450 },
      { done: 450, of: 450 },
      { imported: { added: 450, changed: 0, same: 0, bad: 0 } },
    ])
    expect(await paintsOf(who)).toHaveLength(450)
  })
  it('ends in one sentence, and nothing written, where the list is none', async () => {
    const who = await newStudio('Upper lock')
    expect(await lines(await post('not json'))).toMatchObject([{ message: expect.any(String) }])
    expect(await lines(await post(list(shades(2), {})))).toEqual([
      { message: 'No column is the name yet. Choose which column names the paint.' },
    ])
    expect(await lines(await post(list(shades(2), ['name'])))).toEqual([{ message: 'Choose the columns again.' }])
    const none = new FormData()
    none.set('file', 'no file')
    expect(await lines(await post(none))).toMatchObject([{ message: expect.stringMatching(/^Choose /) }])
    expect(await paintsOf(who)).toEqual([])
  })
  it('is refused to somebody signed out', async () => {
    const who = await newStudio('Upper lock')
    delete holder.token
    const out = await post(list(shades(2)))
    expect([out.status, (await lines(out))[0]]).toEqual([401, { message: expect.stringContaining('signed out') }])
    expect(await paintsOf(who)).toEqual([])
  })
  it('ignores columns that are none of ours', async () => {
    const who = await newStudio('Upper lock')
    const text = 'name,swatch,secret\nTeal,#136a78,drop table\n'
    await lines(await post(list(text, { name: 'name', swatch: 'swatch', secret: 'studio_id' })))
    expect(await paintsOf(who)).toEqual(['Teal'])
  })
})

describe('further rows of the drawer', () => {
  const get = (query: string) => moreRows(new NextRequest(`http://127.0.0.1/paints/rows?${query}`))
  it('come by chunk, under the same filters', async () => {
    await newStudio('Upper lock')
    await lines(await post(list(shades(60))))
    const names = async (query: string) => ((await (await get(query)).json()) as DrawerRow[]).map((r) => r.name)
    expect(await names('from=50&chunk=25')).toEqual(Array.from({ length: 10 }, (_, i) => `Shade 00${50 + i}`))
    expect(await names('body=soft&from=0&chunk=2')).toEqual(['Shade 0001', 'Shade 0003'])
    expect(await names('q=shade+0007')).toEqual(['Shade 0007'])
    expect(await names('from=900')).toEqual([])
    expect(await names('chunk=abc&from=-4')).toHaveLength(60)
  })
  it('never come to somebody signed out, nor from another studio', async () => {
    await newStudio('Upper lock')
    await lines(await post(list(shades(3))))
    await newStudio('Lower lock')
    expect(await (await get('')).json()).toEqual([])
    delete holder.token
    expect((await get('')).status).toBe(401)
  })
})

describe('the drawer as files', () => {
  const get = (format: string) =>
    exportCatalogue(new Request('http://127.0.0.1'), { params: Promise.resolve({ format }) })
  it('has a type and a name for each format, and holds the studio’s own paints only', async () => {
    await newStudio('Lower lock')
    await lines(await post(list(shades(2, 500))))
    await newStudio('Upper lock')
    await lines(await post(list(shades(2))))
    for (const [format, type] of [
      ['csv', 'text/csv'],
      ['json', 'application/json'],
      ['gpl', 'text/plain'],
      ['cxf', 'application/xml'],
    ] as const) {
      const response = await get(format)
      expect(response.headers.get('content-type')).toMatch(type)
      expect(response.headers.get('content-disposition')).toBe(`attachment; filename="fika-paints.${format}"`)
      const text = await response.text()
      expect([format, text.includes('Shade 0001'), text.includes('Shade 0500')]).toEqual([format, true, false])
    }
    const book = new Uint8Array(await (await get('xlsx')).arrayBuffer())
    expect([...book.subarray(0, 2)]).toEqual([0x50, 0x4b])
  })
  it('are nothing else, and nothing for somebody signed out', async () => {
    await newStudio('Upper lock')
    expect((await get('exe')).status).toBe(404)
    expect((await get('toString')).status).toBe(404)
    delete holder.token
    await expect(get('csv')).rejects.toThrow('to the door')
  })
})
