import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../../tests/support/studio'
import { endPool } from '@/db/pool'
import { allMaterials, choices, containersOf, findMaterial, listMaterials } from './queries'
import { filterSchema, paintSchema, type PaintFilter, type PaintInput } from './schema'
import { insertMaterial, updateMaterial } from './write'

afterAll(endPool)

const paint = (more: Partial<PaintInput> = {}): PaintInput =>
  paintSchema.validateSync({
    kind: 'paint',
    maker: 'Sallow & Finch',
    line: 'Heavy',
    name: 'Heron Grey',
    body: 'heavy',
    opacity: 'opaque',
    sheen: 'matte',
    pigments: ['PW6', 'PBk7'],
    swatchHex: '#8a8d8f',
    densityGPerMl: 1.28,
    solids: 0.38,
    ...more,
  })

describe('the drawer', () => {
  it('takes a paint once, whatever its letters are', async () => {
    const studio = await makeStudio()
    expect(await studio.run((tx) => insertMaterial(tx, uuidv7(), paint()))).toBe(true)
    expect(await studio.run((tx) => insertMaterial(tx, uuidv7(), paint({ name: ' HERON grey ' })))).toBe(false)
    expect(await studio.run((tx) => insertMaterial(tx, uuidv7(), paint({ line: 'Soft' })))).toBe(true)
    expect(await studio.run(allMaterials)).toHaveLength(2)
  })

  it('keeps everything that is known about it', async () => {
    const studio = await makeStudio()
    const id = uuidv7()
    const input = paint({
      containerUl: 60_000,
      priceMinor: 990,
      notes: 'dries darker',
      avoid: [{ role: 'top', reason: 'dull' }],
    })
    await studio.run((tx) => insertMaterial(tx, id, input))
    const { kind, ...rest } = input
    expect(await studio.run((tx) => findMaterial(tx, id))).toMatchObject({
      kind,
      ...rest,
      revision: 1,
      archived: false,
      onHandUl: null,
    })
  })

  it('changes it at the revision it was opened with only, and its bottles’ colour with it', async () => {
    const studio = await makeStudio()
    const id = uuidv7()
    await studio.run((tx) => insertMaterial(tx, id, paint()))
    const bottle = await studio.bottle('Grey', [{ materialId: id, ul: 50_000 }])
    const colour = async () =>
      (
        await studio.run((tx) =>
          tx.q<{ colour_hex: string }>('select colour_hex from bottle where studio_id = $1 and vessel_id = $2', [
            tx.studioId,
            bottle,
          ]),
        )
      )[0]!.colour_hex
    expect(await colour()).toBe('#8a8d8f')
    await studio.run((tx) =>
      updateMaterial(tx, id, 1, paint({ swatchHex: '#6b6e70', avoid: [{ role: 'swipe', reason: '' }] })),
    )
    expect(await colour()).toBe('#6b6e70')
    await expect(studio.run((tx) => updateMaterial(tx, id, 1, paint({ name: 'Late' })))).rejects.toMatchObject({
      code: 'Conflict',
    })
    const now = await studio.run((tx) => findMaterial(tx, id))
    expect(now).toMatchObject({ name: 'Heron Grey', revision: 2, avoid: [{ role: 'swipe', reason: '' }] })
  })

  it('is searched by every word in any field, and filtered by each', async () => {
    const studio = await makeStudio()
    await studio.run(async (tx) => {
      await insertMaterial(tx, uuidv7(), paint())
      await insertMaterial(
        tx,
        uuidv7(),
        paint({
          name: 'Cobble Blue',
          maker: 'Kvarnby Colour',
          body: 'fluid',
          sheen: 'gloss',
          opacity: 'transparent',
          pigments: ['PB28'],
        }),
      )
      await insertMaterial(tx, uuidv7(), paint({ name: '100% Red', pigments: ['PR254'] }))
    })
    const names = async (filter: Partial<PaintFilter>) =>
      (await studio.run((tx) => listMaterials(tx, filterSchema.cast(filter)))).map((m) => m.name)
    expect(await names({})).toEqual(['Cobble Blue', '100% Red', 'Heron Grey'])
    expect(await names({ q: 'finch pbk7' })).toEqual(['Heron Grey'])
    expect(await names({ q: 'HEAVY blue' })).toEqual(['Cobble Blue'])
    expect(await names({ q: '0%' })).toEqual(['100% Red'])
    expect(await names({ q: "' or 1=1 --" })).toEqual([])
    expect(await names({ body: 'fluid' })).toEqual(['Cobble Blue'])
    expect(await names({ opacity: 'opaque' })).toEqual(['100% Red', 'Heron Grey'])
    expect(await names({ sheen: 'gloss' })).toEqual(['Cobble Blue'])
    expect(await names({ pigment: 'PR254' })).toEqual(['100% Red'])
    expect(await names({ maker: 'Kvarnby Colour' })).toEqual(['Cobble Blue'])
    expect(await names({ archived: 'yes' })).toEqual([])
    expect(await studio.run(choices)).toEqual({
      makers: ['Kvarnby Colour', 'Sallow & Finch'],
      pigments: ['PB28', 'PBk7', 'PR254', 'PW6'],
    })
  })

  it('counts what open containers still hold', async () => {
    const studio = await makeStudio()
    const id = await studio.paint('Teal')
    await studio.container(id, 60_000, 900, new Date('2026-01-01'))
    await studio.container(id, 40_000, null, new Date('2026-02-01'))
    await studio.bottle('B', [{ materialId: id, ul: 70_000 }])
    expect((await studio.run((tx) => findMaterial(tx, id))).onHandUl).toBe(30_000)
    const containers = await studio.run((tx) => containersOf(tx, id))
    expect(containers.map((c) => [c.sizeUl, c.leftUl, c.priceMinor])).toEqual([
      [40_000, 30_000, null],
      [60_000, 0, 900],
    ])
  })
})
