import { v7 as uuidv7 } from 'uuid'
import { newStudio, oneOfEverything } from '../../../tests/support/everyAction'
import { admin, everything } from '../../../tests/support/everything'
import { endPool } from '../base/pool'
import { withStudio } from '../base/withStudio'
import { takeOut } from '../ledger'
import { bringInEverything, type Files } from './bringIn'
import { studioTables } from './catalogue'
import { sumsOfStudio, tablePath, takeOutEverything, type Manifest } from './takeOut'
import type { Signed } from '../people/sessions'
import { Invalid } from '@/core/errors'

/** The sealed cookie is stood in for by whose token it holds; everything behind it is real. */
const holder: { token?: string } = {}
jest.mock('@/session/cookie', () => ({ tokenHere: async () => holder.token }))
jest.mock('next/headers', () => ({ headers: async () => new Headers() }))
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('react', () => ({ ...jest.requireActual<object>('react'), cache: (work: unknown) => work }))

let owner: Signed
beforeAll(async () => {
  jest.spyOn(console, 'log').mockImplementation(() => undefined)
  await admin.connect()
  owner = await newStudio('Upper lock')
  holder.token = owner.token
  await oneOfEverything(owner)
})
afterAll(async () => {
  await admin.end()
  await endPool()
})

/** A studio taken out into memory. */
async function taken(who: Signed): Promise<{ manifest: Manifest; kept: Map<string, Buffer> }> {
  const kept = new Map<string, Buffer>()
  const keep = async (path: string, content: Buffer | string) => void kept.set(path, Buffer.from(content))
  const manifest = await withStudio(who, (tx) => takeOutEverything(tx, keep, async () => undefined), {
    oneMoment: true,
  })
  kept.set('fika.json', Buffer.from(JSON.stringify(manifest)))
  return { manifest, kept }
}
const filesOf =
  (kept: ReadonlyMap<string, Buffer>): Files =>
  async (path) => {
    const found = kept.get(path)
    if (!found) throw new Invalid(`no ${path}`)
    return found
  }
async function broughtIn(kept: ReadonlyMap<string, Buffer>, by: Signed, studioId = uuidv7()): Promise<Signed> {
  await withStudio({ studioId, accountId: null }, (tx) => bringInEverything(tx, by.accountId, filesOf(kept)))
  return { ...by, studioId }
}

describe('everything of a studio', () => {
  it('goes into another one as it was: every table has the same sum, pictures and books too', async () => {
    const { manifest, kept } = await taken(owner)
    const held = Object.values(manifest.tables).filter((t) => t.rows > 0)
    expect(held.length).toBeGreaterThan(35)
    expect([...kept.keys()].filter((p) => p.startsWith('pictures/')).length).toBeGreaterThan(1)
    const other = await newStudio('Elsewhere')
    const there = await broughtIn(kept, other)
    expect(await withStudio(there, sumsOfStudio)).toEqual(manifest.tables)
    // Byte by byte, file by file.
    const again = await taken(there)
    const sorted = (m: ReadonlyMap<string, Buffer>) => [...m].filter(([p]) => p !== 'fika.json').sort()
    expect(sorted(again.kept)).toEqual(sorted(kept))
    // And it is one that can be worked in, apart from the first.
    const bottles = await withStudio(there, (tx) =>
      tx.q<{ id: string; ul: number }>(
        `select b.vessel_id as id, sum(c.ul)::bigint as ul from bottle b
         join vessel_content c on c.studio_id = b.studio_id and c.vessel_id = b.vessel_id
         where b.studio_id = $1 group by 1 having sum(c.ul) > 2000 order by 1`,
        [tx.studioId],
      ),
    )
    expect(bottles.length).toBeGreaterThan(0)
    await withStudio(there, (tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottles[0]!.id, ul: 1_000 }))
    expect(await withStudio(owner, sumsOfStudio)).toEqual(manifest.tables)
  })

  it('is taken out as of one moment, while others write', async () => {
    const [bottle] = await withStudio(owner, (tx) =>
      tx.q<{ id: string }>(
        `select vessel_id as id from vessel_content where studio_id = $1 and ul > 5000
         and vessel_id in (select vessel_id from bottle where studio_id = $1) limit 1`,
        [tx.studioId],
      ),
    )
    const kept = new Map<string, Buffer>()
    await withStudio(
      owner,
      (tx) =>
        takeOutEverything(
          tx,
          async (path, content) => void kept.set(path, Buffer.from(content)),
          async () => {
            // After each table, another hand takes from the bottle.
            await withStudio({ ...owner }, (other) =>
              takeOut(other, { requestId: uuidv7(), vesselId: bottle!.id, ul: 10 }),
            )
          },
        ),
      { oneMoment: true },
    )
    const rows = (table: string) => JSON.parse(kept.get(tablePath(table))!.toString()) as Record<string, unknown>[]
    const content = new Map<unknown, number>()
    for (const l of rows('movement_line')) {
      content.set(l.to_vessel_id, (content.get(l.to_vessel_id) ?? 0) + Number(l.ul))
      content.set(l.from_vessel_id, (content.get(l.from_vessel_id) ?? 0) - Number(l.ul))
    }
    const held = rows('vessel_content')
      .filter((c) => c.vessel_id === bottle!.id)
      .reduce((s, c) => s + Number(c.ul), 0)
    expect(held).toBe(content.get(bottle!.id))
    expect(new Set(rows('movement_line').map((l) => l.movement_id))).toEqual(new Set(rows('movement').map((m) => m.id)))
  })

  it('is refused whole where anything of it was changed, lost or is of another Fika', async () => {
    const { kept, manifest } = await taken(owner)
    const other = await newStudio('Elsewhere')
    const changed = (path: string, by: (text: string) => string) =>
      new Map(kept).set(path, Buffer.from(by(kept.get(path)!.toString())))
    const without = (path: string) => new Map([...kept].filter(([p]) => p !== path))
    const picture = [...kept.keys()].find((p) => p.startsWith('pictures/'))!
    const tried: [Map<string, Buffer>, string][] = [
      [changed(tablePath('vessel_content'), (t) => t.replace(/"ul": (\d+)/, '"ul": 1$1')), 'Invalid'],
      [changed(tablePath('movement'), (t) => t.replace(/"note": "[^"]*"/, '"note": "changed"')), 'Invalid'],
      [changed(tablePath('look'), () => '[]'), 'Invalid'],
      [changed(tablePath('material'), (t) => t.slice(0, -20)), 'Invalid'],
      [without(tablePath('paint')), 'Invalid'],
      [without(picture), 'Invalid'],
      [new Map(kept).set(picture, Buffer.from('x')), 'Invalid'],
      [changed('fika.json', (t) => t.replace(manifest.schema, '0001_people')), 'Conflict'],
      [changed('fika.json', () => '{"format":"fika studio"}'), 'Invalid'],
      [changed('fika.json', () => 'no'), 'Invalid'],
      [new Map(), 'Invalid'],
    ]
    for (const [i, [files, code]] of tried.entries()) {
      const studioId = uuidv7()
      const said = await broughtIn(files, other, studioId).catch((e: { code: string; message: string }) => e)
      expect([i, said]).toMatchObject([i, { code }])
      expect(Object.values(await everything(studioId)).filter((sum) => !sum.startsWith('0 '))).toEqual([])
    }
  })

  it('keeps the names of its people, and takes nobody’s place here', async () => {
    const { kept, manifest } = await taken(owner)
    expect(manifest.people.map((p) => p.name)).toContain('Upper lock')
    const stranger = await newStudio('Stranger')
    // As if the archive spoke of an account of this house by its id, under another name.
    const forged = new Map(
      [...kept].map(([p, c]) => [
        p,
        Buffer.from(c.toString('latin1').replaceAll(owner.accountId, stranger.accountId), 'latin1'),
      ]),
    )
    const there = await broughtIn(forged, await newStudio('Elsewhere'))
    const by = await withStudio(there, (tx) =>
      tx.q<{ name: string; id: string }>(
        `select distinct a.id, a.name from movement m join account a on a.id = m.by where m.studio_id = $1`,
        [tx.studioId],
      ),
    )
    expect(by.map((b) => b.name)).toEqual(['Upper lock'])
    expect(by[0]!.id).not.toBe(stranger.accountId)
    expect(await withStudio(there, studioTables)).not.toHaveLength(0)
  })
})
