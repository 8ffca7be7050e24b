import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../../../tests/support/studio'
import { DEFAULTS_BY_BODY } from '@/core/paint/properties'
import { finishContainer } from '@/db/ledger'
import { endPool } from '@/db/base/pool'
import { drawerOf } from '@/db/materials/drawer'
import { insertMaterial, updateMaterial } from '@/db/materials/write'
import { findMaterial, inputOf } from '@/db/materials/read'
import { addressOf, FACETS, filterSchema, readFilter, type PaintFilter } from './filter'
import { findPaints, type DrawerRow } from './find'

afterAll(endPool)

const now = new Date()
const MAKERS = ['Kvarnby Colour', 'Sallow & Finch', 'Torvald Works'] as const
const BODIES = ['soft', 'fluid', 'heavy'] as const
const HEX = ['#b9262b', '#1d4ba0', '#f4dc3a', '#8a8d8f', '#2e5a3c', '#f5f3ec', '#1b1b1c'] as const

/** A drawer of 42 paints that differ in every way a filter can ask for. */
async function drawer() {
  const studio = await makeStudio()
  await studio.run(async (tx) => {
    for (let i = 0; i < 42; i++) {
      const body = BODIES[i % 3]!
      await insertMaterial(tx, uuidv7(), {
        kind: 'paint',
        maker: MAKERS[i % 3]!,
        line: `Line ${i % 4}`,
        name: `Shade ${String(i).padStart(2, '0')}`,
        body,
        opacity: i % 2 ? 'opaque' : 'transparent',
        sheen: i % 5 ? 'satin' : 'gloss',
        pigments: i % 2 ? ['PB29', 'PW6'] : ['PR254'],
        swatchHex: HEX[i % 7]!,
        containerUl: 60_000,
        priceMinor: 150 + 60 * i,
        tags: i % 3 ? ['sea'] : ['sea', 'house'],
        ...DEFAULTS_BY_BODY[body],
      })
    }
  })
  const find = (f: Partial<PaintFilter>, chunk = 100) =>
    studio.run((tx) => findPaints(tx, { ...filterSchema.getDefault(), ...f }, now, chunk))
  return { studio, find }
}
const names = (rows: readonly DrawerRow[]) => rows.map((r) => r.name)

describe('the drawer', () => {
  it('counts every facet as looking for it does', async () => {
    const { find } = await drawer()
    for (const chosen of [
      {},
      { body: 'soft|fluid' },
      { maker: 'Torvald Works', hue: 'blue|red' },
      { q: 'shade pb29' },
    ]) {
      const found = await find(chosen)
      for (const [key] of FACETS)
        for (const { value, count } of found.counts[key]) {
          const alone = await find({ ...chosen, [key]: value })
          expect([key, value, alone.total]).toEqual([key, value, count])
        }
    }
  }, 60_000)

  it('finds every word in any field, forgives accents, and near ones where nothing is written so', async () => {
    const { studio, find } = await drawer()
    await studio.run((tx) =>
      insertMaterial(tx, uuidv7(), {
        kind: 'paint',
        maker: 'Bläfjäll',
        name: '100% Vermilion',
        swatchHex: '#cf2a2a',
        body: 'soft',
        opacity: 'opaque',
        sheen: 'satin',
        ...DEFAULTS_BY_BODY.soft,
      }),
    )
    expect(names((await find({ q: 'blafjall VERMIL' })).rows)).toEqual(['100% Vermilion'])
    expect(await find({ q: 'vermillon' })).toMatchObject({ near: true, total: 1, rows: [{ name: '100% Vermilion' }] })
    expect(await find({ q: '0% verm' })).toMatchObject({ near: false, total: 1 })
    expect((await find({ q: "' or 1=1 --" })).total).toBe(0)
    expect((await find({ q: 'torvald shade 05' })).rows).toMatchObject([{ name: 'Shade 05' }])
    expect((await find({ q: 'zzzzqqqq' })).total).toBe(0)
  })

  it('sorts by colour, lightness, price, amount and last use', async () => {
    const { studio, find } = await drawer()
    expect(names((await find({ sort: 'light' })).rows).slice(0, 1)).toEqual(['Shade 12'])
    const prices = (await find({ sort: 'price' })).rows.map((r) => r.perMl!)
    expect([...prices].sort((a, b) => a - b)).toEqual(prices)
    const hues = (await find({ sort: 'hue' })).rows.map((r) => r.swatchHex)
    expect(hues[0]).toBe('#b9262b')
    expect(hues.at(-1)).toBe('#1b1b1c')
    const [one, two] = (await find({})).rows
    await studio.container(one!.id, 30_000)
    await studio.container(two!.id, 90_000)
    expect(names((await find({ sort: 'amount' })).rows).slice(0, 2)).toEqual([two!.name, one!.name])
    await studio.bottle('B', [{ materialId: one!.id, ul: 10_000 }])
    expect(names((await find({ sort: 'used' })).rows)[0]).toBe(one!.name)
    expect((await find({ used: 'pour' })).rows).toMatchObject([{ id: one!.id, onHandUl: 20_000 }])
  })

  it('knows what is in stock, low, finished, and not counted', async () => {
    const { studio, find } = await drawer()
    const [a, b] = (await find({})).rows
    const tube = await studio.container(a!.id, 30_000)
    const row = await studio.run((tx) => findMaterial(tx, a!.id))
    await studio.run((tx) => updateMaterial(tx, a!.id, row.revision, { ...inputOf(row), lowUl: 50_000 }))
    await studio.container(b!.id, 30_000)
    expect(names((await find({ stock: 'low' })).rows)).toEqual([a!.name])
    expect((await find({ stock: 'in stock' })).total).toBe(2)
    expect((await find({ stock: 'not counted' })).total).toBe(40)
    await studio.run((tx) => finishContainer(tx, { requestId: uuidv7(), vesselId: tube.vesselId, residueUl: 2_000 }))
    expect(names((await find({ stock: 'used up' })).rows)).toEqual([a!.name])
  })

  it('comes in chunks that together are the whole', async () => {
    const { find } = await drawer()
    const all = await find({})
    const chunks = [await find({}, 20), await find({ from: 20 }, 20), await find({ from: 40 }, 20)]
    expect(chunks.flatMap((c) => names(c.rows))).toEqual(names(all.rows))
    expect(chunks.map((c) => c.total)).toEqual([42, 42, 42])
  })

  it('sees a change at once, though it keeps the catalogue in memory', async () => {
    const { studio, find } = await drawer()
    await find({})
    const id = uuidv7()
    await studio.run((tx) =>
      insertMaterial(tx, id, {
        kind: 'paint',
        name: 'Fresh',
        swatchHex: '#123456',
        body: 'soft',
        opacity: 'opaque',
        sheen: 'satin',
        ...DEFAULTS_BY_BODY.soft,
      }),
    )
    expect((await find({ q: 'fresh' })).total).toBe(1)
    await studio.run((tx) =>
      tx.q('update material set archived_at = now() where studio_id = $1 and id = $2', [tx.studioId, id]),
    )
    expect((await find({ q: 'fresh' })).total).toBe(0)
    expect((await find({ q: 'fresh', archived: 'yes' })).total).toBe(1)
  })
  it('remembers nothing of a change that was rolled back after it was looked at', async () => {
    const { studio, find } = await drawer()
    const ghost = {
      kind: 'paint' as const,
      swatchHex: '#123456',
      body: 'soft' as const,
      opacity: 'opaque' as const,
      sheen: 'satin' as const,
      ...DEFAULTS_BY_BODY.soft,
    }
    const lost = studio.run(async (tx) => {
      await insertMaterial(tx, uuidv7(), { ...ghost, name: 'Ghost' })
      expect((await drawerOf(tx, false)).rows.some((r) => r.name === 'Ghost')).toBe(true)
      throw new Error('rolled back')
    })
    await expect(lost).rejects.toThrow('rolled back')
    expect((await find({ q: 'ghost' })).total).toBe(0)
    // The next change has the very version the lost one had.
    await studio.run((tx) => insertMaterial(tx, uuidv7(), { ...ghost, name: 'Quay' }))
    expect((await find({ q: 'ghost' })).total).toBe(0)
    expect((await find({ q: 'quay' })).total).toBe(1)
  })
})

describe('the address of a view', () => {
  it('holds all of it, and only what differs', () => {
    const filter = readFilter({ q: 'teal', body: 'soft|fluid', sort: 'hue', view: 'table', odd: 'x' })
    expect(addressOf(filter).toString()).toBe('q=teal&sort=hue&view=table&body=soft%7Cfluid')
    expect(readFilter(Object.fromEntries(addressOf(filter)))).toEqual(filter)
    expect(readFilter({ sort: 'drop table' })).toEqual(filterSchema.getDefault())
  })
})
