import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../../tests/support/studio'
import { endPool } from '@/db/base/pool'
import { allMaterials, changesOf, effectsOf, findMaterial, inputOf, makers, pairNotes, type MediumRow } from './read'
import { mediumSchema, paintSchema, type PaintInput } from './schema'
import { insertMaterial, notePair, undoChange, updateMaterial, writeMaterials } from './write'

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

describe('the catalogue', () => {
  it('takes a paint once, whatever its letters are', async () => {
    const studio = await makeStudio()
    expect(await studio.run((tx) => insertMaterial(tx, uuidv7(), paint()))).toBe(true)
    expect(await studio.run((tx) => insertMaterial(tx, uuidv7(), paint({ name: ' HERON grey ' })))).toBe(false)
    expect(await studio.run((tx) => insertMaterial(tx, uuidv7(), paint({ line: 'Soft' })))).toBe(true)
    expect((await studio.run(allMaterials)).filter((m) => m.kind === 'paint')).toHaveLength(2)
    expect(await studio.run(makers)).toEqual(['Sallow & Finch'])
  })

  it('keeps everything that is known about it', async () => {
    const studio = await makeStudio()
    const [id, other, third] = [uuidv7(), uuidv7(), uuidv7()]
    await studio.run((tx) => insertMaterial(tx, other, paint({ name: 'Titan' })))
    await studio.run((tx) => insertMaterial(tx, third, paint({ name: 'Soot' })))
    const input = paint({
      containerUl: 60_000,
      priceMinor: 990,
      lowUl: 20_000,
      notes: 'dries darker',
      supplier: 'Lockside',
      barcode: '4006381333931',
      tags: ['sea', 'grey'],
      discontinued: true,
      contrastRatio: 0.9,
      opacity: 'semi-opaque',
      sheenStrength: 3,
      lightfastness: 'II',
      tintHex: '#d0d1d2',
      tintWhiteShare: 0.9,
      wetHex: '#909396',
      flags: [
        { role: 'swipe', rule: 'only', reason: 'weak' },
        { role: 'top', rule: 'avoid', reason: 'dull' },
      ],
      substitutes: [other],
      standIn: [
        { paintId: third, parts: 2 },
        { paintId: other, parts: 1.5 },
      ],
    })
    await studio.run((tx) => insertMaterial(tx, id, input))
    const row = await studio.run((tx) => findMaterial(tx, id))
    expect(inputOf(row)).toEqual(input)
    expect((await studio.run(allMaterials)).find((m) => m.id === id)).toEqual(row)
  })

  it('lets a measured contrast ratio set the opacity class', async () => {
    const studio = await makeStudio()
    const id = uuidv7()
    await studio.run((tx) => insertMaterial(tx, id, paint({ opacity: 'transparent', contrastRatio: 0.985 })))
    expect(await studio.run((tx) => findMaterial(tx, id))).toMatchObject({ opacity: 'opaque', contrastRatio: 0.985 })
  })

  it('gives a medium the usual effects of its kind until it has its own', async () => {
    const studio = await makeStudio()
    const id = uuidv7()
    const medium = mediumSchema.validateSync({
      kind: 'medium',
      name: 'Flow',
      mediumKind: 'conditioner',
      densityGPerMl: 1.03,
      solids: 0.25,
    })
    await studio.run((tx) => insertMaterial(tx, id, medium))
    const found = async () => (await studio.run((tx) => findMaterial(tx, id))) as MediumRow
    const usual = await found()
    expect([usual.effects, effectsOf(usual)[1]]).toEqual([null, 3])
    await studio.run((tx) => updateMaterial(tx, id, 1, { ...medium, effects: [0, 1, 2, 3, 0, 1, 2, 3, 0, 1] }))
    expect(effectsOf(await found())).toEqual([0, 1, 2, 3, 0, 1, 2, 3, 0, 1])
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
    const flags = [{ role: 'swipe' as const, rule: 'avoid' as const, reason: '' }]
    await studio.run((tx) => updateMaterial(tx, id, 1, paint({ swatchHex: '#6b6e70', flags })))
    expect(await colour()).toBe('#6b6e70')
    await expect(studio.run((tx) => updateMaterial(tx, id, 1, paint({ name: 'Late' })))).rejects.toMatchObject({
      code: 'Conflict',
    })
    expect(await studio.run((tx) => findMaterial(tx, id))).toMatchObject({ name: 'Heron Grey', revision: 2, flags })
  })

  it('keeps who changed what, and puts it back as it was', async () => {
    const studio = await makeStudio()
    const id = uuidv7()
    await studio.run((tx) => insertMaterial(tx, id, paint({ tags: ['sea'] })))
    await studio.run((tx) => updateMaterial(tx, id, 1, paint({ priceMinor: 1290, tags: [] })))
    const [second, first] = await studio.run((tx) => changesOf(tx, id))
    expect([first!.before, first!.revision, second!.before, second!.after]).toEqual([
      null,
      1,
      paint({ tags: ['sea'] }),
      paint({ priceMinor: 1290, tags: [] }),
    ])
    await studio.run((tx) => undoChange(tx, id, second!.id))
    expect(inputOf(await studio.run((tx) => findMaterial(tx, id)))).toEqual(paint({ tags: ['sea'] }))
    expect(await studio.run((tx) => changesOf(tx, id))).toHaveLength(3)
    await expect(studio.run((tx) => undoChange(tx, id, first!.id))).rejects.toThrow('how it came into the drawer')
    await expect(studio.run((tx) => undoChange(tx, id, uuidv7()))).rejects.toMatchObject({ code: 'NotFound' })
  })

  it('writes many at once and says which it could not', async () => {
    const studio = await makeStudio()
    const [a, b, c] = [uuidv7(), uuidv7(), uuidv7()]
    await studio.run((tx) => insertMaterial(tx, a, paint()))
    const written = await studio.run((tx) =>
      writeMaterials(tx, [
        { id: a, revision: 1, before: paint(), after: paint({ priceMinor: 5 }) },
        { id: b, revision: 0, before: null, after: paint({ name: 'New' }) },
        { id: c, revision: 0, before: null, after: paint({ name: 'heron GREY' }) },
      ]),
    )
    expect(written).toEqual(new Set([a, b]))
  })
})

describe('pair notes', () => {
  it('are one to a pair, whichever way round, and can be taken back', async () => {
    const studio = await makeStudio()
    const [a, b] = [await studio.paint('Violet'), await studio.paint('Yellow')]
    const say = (paintId: string, otherId: string, verdict: 'never' | 'surprising' | null, note = '') =>
      studio.run((tx) => notePair(tx, { paintId, otherId, verdict, note }))
    await say(a, b, 'never', 'mud')
    await say(b, a, 'surprising', 'it sang')
    const notes = await studio.run((tx) => pairNotes(tx, [a]))
    expect(notes).toMatchObject([{ verdict: 'surprising', note: 'it sang' }])
    expect(await studio.run((tx) => pairNotes(tx, [a, b]))).toEqual(notes)
    await say(a, b, null)
    expect(await studio.run((tx) => pairNotes(tx, [b]))).toEqual([])
    await expect(say(a, a, 'never')).rejects.toThrow('two different')
    await expect(say(a, uuidv7(), 'never')).rejects.toMatchObject({ code: 'NotFound' })
  })
})
