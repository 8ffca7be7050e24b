import { v7 as uuidv7 } from 'uuid'
import type { Moment } from '@/core/piece/looks'
import { endPool } from '@/db/base/pool'
import { wetDryPairs } from '@/db/formulas/formulas'
import { savePlan } from '@/db/plans/write'
import { WHOLE } from '@/core/surface/homography'
import { keptMeasures } from '../../../tests/support/photo/keptMeasures'
import { planInput } from '../../../tests/support/plans'
import { makeStudio } from '../../../tests/support/studio'
import { byProductsOf, coatsOf, finishWhen, noteByProduct, noteCoat, removeByProduct, removeCoat } from './finish'
import { looksOf } from './looks'
import { keepPairs } from './pairs'
import { pouredFacts } from '@/db/learning/pieces'
import { techniqueBook } from '@/db/techniques/read'
import { addPhoto, keepMeasures, measuresOf, photoToFlatten, picturesToPrint, removePhoto } from './photos'
import { pourPlan } from './pour'
import { findPiece, flatImage, looksToTake } from './read'
import type { LookInput } from './schema'
import { searchWall, wallChoices } from './wall'
import { noteLook, notePiece } from './write'
import { writtenPiece } from './written'

afterAll(endPool)

const DAY_MS = 86_400_000

/** A studio with one piece of two colours, poured some days ago; 12 ml of the first, 4 of the second. */
async function hung({ daysAgo = 0, silicone = false } = {}) {
  const studio = await makeStudio()
  const teal = await studio.paint('Teal', { hex: '#136a78' })
  const gold = await studio.paint('Gold', { hex: '#d9a441' })
  const medium = await studio.medium('Flow')
  const oil = silicone ? await studio.run((tx) => additive(tx.q.bind(tx), tx.studioId)) : undefined
  const one = await studio.bottle('Teal 1', [
    { materialId: teal, ul: 20_000 },
    { materialId: medium, ul: 40_000 },
    ...(oil ? [{ materialId: oil, ul: 100 }] : []),
  ])
  const two = await studio.bottle('Gold 1', [{ materialId: gold, ul: 60_000 }])
  for (const [bottle, hex] of [
    [one, '#136a78'],
    [two, '#d9a441'],
  ])
    await studio.run((tx) =>
      tx.q('update bottle set colour_hex = $3 where studio_id = $1 and vessel_id = $2', [tx.studioId, bottle, hex]),
    )
  const plan = planInput([one, two], { title: 'Night ferry', design: { school: { kind: 'own', ul: 16_000 } } })
  await studio.run((tx) => savePlan(tx, plan))
  const pieceId = uuidv7()
  await studio.run((tx) =>
    pourPlan(
      tx,
      {
        requestId: uuidv7(),
        planId: plan.id,
        pieceId,
        vesselId: uuidv7(),
        takes: [
          { vesselId: one, ul: 12_000 },
          { vesselId: two, ul: 4_000 },
        ],
      },
      new Date(Date.now() - daysAgo * DAY_MS),
    ),
  )
  return { studio, pieceId, one, two, teal, gold }
}

async function additive(q: (sql: string, values: unknown[]) => Promise<unknown>, studioId: string): Promise<string> {
  const id = uuidv7()
  await q(
    `insert into material (studio_id, id, kind, name, maker, density_g_per_ml, solids) values ($1, $2, 'additive', 'Oil', '', 0.97, 1)`,
    [studioId, id],
  )
  return id
}

const look = (pieceId: string, more: Partial<LookInput> = {}): LookInput => ({
  pieceId,
  moment: 'dry',
  revision: 0,
  words: '',
  rating: null,
  weak: [],
  best: null,
  faults: [],
  ...more,
})

async function photo(studio: Awaited<ReturnType<typeof hung>>['studio'], pieceId: string, moment: Moment) {
  const id = uuidv7()
  await studio.run((tx) =>
    addPhoto(tx, { id, pieceId, moment, isRaked: false, width: 4, height: 3, image: Buffer.from(moment) }),
  )
  return id
}

describe('looks at a piece', () => {
  it('are asked for after a pour, and each that is taken closes those before it', async () => {
    const { studio, pieceId } = await hung({ daysAgo: 2.2 })
    const due = async () => (await studio.run((tx) => findPiece(tx, pieceId))).due
    expect((await due()).map((d) => d.moment)).toEqual(['hour', 'day', 'dry', 'month', 'year'])
    // The hour has passed; only what is newest is asked for.
    expect((await due()).filter((d) => d.isDue)).toHaveLength(1)
    await studio.run((tx) => noteLook(tx, look(pieceId)))
    expect((await due()).filter((d) => d.isDue)).toEqual([])
    expect((await studio.run(looksToTake)).map((l) => l.moment)).toEqual(['month', 'year'])
  })

  it('keep where and how much, and a piece has the faults of all and the rating of the newest', async () => {
    const { studio, pieceId } = await hung()
    await studio.run((tx) =>
      noteLook(
        tx,
        look(pieceId, { moment: 'wet', rating: 5, faults: [{ fault: 'pinholes', spots: ['top'], much: 1 }] }),
      ),
    )
    await studio.run((tx) =>
      noteLook(
        tx,
        look(pieceId, {
          rating: 3,
          weak: ['left'],
          best: 'middle',
          words: 'Gold sank.',
          faults: [{ fault: 'dull', spots: ['left', 'top left'], much: 3 }],
        }),
      ),
    )
    const piece = await studio.run((tx) => findPiece(tx, pieceId))
    expect([piece.rating, piece.faults]).toEqual([3, ['dull', 'pinholes']])
    expect(await studio.run((tx) => looksOf(tx, pieceId))).toMatchObject([
      { moment: 'wet', revision: 1 },
      { best: 'middle', weak: ['left'], faults: [{ fault: 'dull', spots: ['left', 'top left'], much: 3 }] },
    ])
  })

  it('are not overwritten by somebody who has not seen them', async () => {
    const { studio, pieceId } = await hung()
    await studio.run((tx) => noteLook(tx, look(pieceId, { words: 'first' })))
    await expect(studio.run((tx) => noteLook(tx, look(pieceId, { words: 'second' })))).rejects.toThrow('Somebody else')
    await studio.run((tx) => noteLook(tx, look(pieceId, { words: 'third', revision: 1 })))
    expect((await studio.run((tx) => looksOf(tx, pieceId)))[0]).toMatchObject({ words: 'third', revision: 2 })
  })

  it('are not noted of a piece of another studio', async () => {
    const { pieceId } = await hung()
    const other = await makeStudio()
    await expect(other.run((tx) => noteLook(tx, look(pieceId)))).rejects.toThrow('no such piece')
  })
})

describe('a measured photo', () => {
  it('keeps corners, measures and the picture laid flat', async () => {
    const { studio, pieceId } = await hung()
    const id = await photo(studio, pieceId, 'dry')
    const flat = { image: Buffer.from('flat'), width: 8, height: 6 }
    const input = { photoId: id, corners: WHOLE, measures: keptMeasures([0.8, 0.2]) }
    expect((await studio.run((tx) => photoToFlatten(tx, id)))?.surface.shape).toBe('rectangle')
    expect(await studio.run((tx) => keepMeasures(tx, input, flat))).toBe(pieceId)
    expect(await studio.run((tx) => flatImage(tx, id))).toEqual(flat.image)
    expect(await studio.run((tx) => measuresOf(tx, pieceId))).toMatchObject([{ photoId: id, corners: WHOLE }])
    expect((await studio.run((tx) => findPiece(tx, pieceId))).photos[0]).toMatchObject({
      flat: { width: 8, height: 6 },
    })
    expect(await studio.run((tx) => picturesToPrint(tx, pieceId))).toEqual([flat])
  })

  it('the newest dry photo that can be trusted speaks for the piece, on the wall and in what is learned', async () => {
    const { studio, pieceId } = await hung()
    const measured = async (moment: Moment, shares: [number, number], not: Record<string, string> = {}, cells = 1) => {
      const id = await photo(studio, pieceId, moment)
      const kept = keptMeasures(shares)
      const measures = { ...kept, cells: Array(cells).fill(kept.cells[0]), trust: { ...kept.trust, not } }
      const flat = { image: Buffer.from('flat'), width: 8, height: 6 }
      await studio.run((tx) => keepMeasures(tx, { photoId: id, corners: WHOLE, measures }, flat))
      return id
    }
    const seen = () =>
      studio.run(async (tx) => {
        const rows = await tx.q<{ share: number }>(
          'select share from seen_colour where studio_id = $1 and piece_id = $2 order by share desc',
          [tx.studioId, pieceId],
        )
        const [facts] = await pouredFacts(tx, await techniqueBook(tx))
        return { shares: rows.map((r) => r.share), cells: facts!.cellsPerDm2 }
      })
    expect(await seen()).toEqual({ shares: [], cells: null })
    const wet = await measured('wet', [0.9, 0.1], {}, 2)
    expect(await seen()).toEqual({ shares: [0.9, 0.1], cells: 2 })
    const dry = await measured('dry', [0.7, 0.3], {}, 3)
    // Measured last, but wet; and then newer, but not to be trusted.
    await studio.run((tx) =>
      keepMeasures(
        tx,
        { photoId: wet, corners: WHOLE, measures: keptMeasures([0.9, 0.1]) },
        { image: Buffer.from('f'), width: 8, height: 6 },
      ),
    )
    await measured('month', [0.5, 0.5], { colours: 'Glare lies on it.' }, 9)
    expect(await seen()).toEqual({ shares: [0.7, 0.3], cells: 3 })
    const cellsNot = await measured('month', [0.6, 0.4], { cells: 'It is blurred.' }, 9)
    expect(await seen()).toEqual({ shares: [0.6, 0.4], cells: null })
    for (const id of [cellsNot, dry]) await studio.run((tx) => removePhoto(tx, id))
    expect(await seen()).toEqual({ shares: [0.9, 0.1], cells: 1 })
    await studio.run((tx) => removePhoto(tx, wet))
    expect(await seen()).toEqual({ shares: [], cells: null })
  })

  it('without a measured face nothing is said of cells, and not that there are none', async () => {
    const { studio, pieceId } = await hung()
    const id = await photo(studio, pieceId, 'dry')
    await studio.run((tx) =>
      tx.q(`update piece_photo set measures = $3 where studio_id = $1 and id = $2`, [
        tx.studioId,
        id,
        JSON.stringify({ ...keptMeasures(), faceMm2: null }),
      ]),
    )
    const [facts] = await studio.run(async (tx) => pouredFacts(tx, await techniqueBook(tx)))
    expect([facts!.cellsPerDm2, facts!.laceMPerDm2]).toEqual([null, null])
  })

  it('teaches how colours dry only with a card in both, and then with what carried the colour', async () => {
    for (const hasCard of [false, true]) {
      const { studio, pieceId } = await hung()
      for (const [moment, labs] of [
        ['wet', ['#2a8090', '#e0b050']],
        ['dry', ['#136a78', '#d9a441']],
      ] as const) {
        const photoId = await photo(studio, pieceId, moment)
        const input = { photoId, corners: WHOLE, measures: keptMeasures([0.7, 0.3], { hasCard, looks: labs }) }
        await studio.run((tx) => keepMeasures(tx, input, { image: Buffer.from('f'), width: 1, height: 1 }))
      }
      await studio.run((tx) => keepPairs(tx, pieceId))
      await studio.run((tx) => keepPairs(tx, pieceId))
      const pairs = await studio.run(wetDryPairs)
      expect(pairs.map((p) => ({ ...p, mediumShare: Number(p.mediumShare) }))).toEqual(
        hasCard
          ? expect.arrayContaining([
              { wetHex: '#2a8090', dryHex: '#136a78', mediumKind: 'pouring medium', mediumShare: 0.6667 },
              { wetHex: '#e0b050', dryHex: '#d9a441', mediumKind: null, mediumShare: 0 },
            ])
          : [],
      )
      if (hasCard) expect(pairs).toHaveLength(2)
    }
  })
})

describe('finishing a piece', () => {
  const coat = (pieceId: string, more: object = {}) => ({
    id: uuidv7(),
    pieceId,
    kind: 'varnish' as const,
    product: 'Nimbus Clear',
    lots: '',
    coats: 2,
    doneOn: new Date().toISOString().slice(0, 10),
    cleanedSilicone: false,
    allTheSame: false,
    costMinor: 150,
    words: '',
    ...more,
  })
  it('waits until it is safe, unless it was done all the same', async () => {
    const { studio, pieceId } = await hung()
    await expect(studio.run((tx) => noteCoat(tx, coat(pieceId)))).rejects.toThrow('before it is safe')
    await studio.run((tx) => noteCoat(tx, coat(pieceId, { allTheSame: true })))
    expect(await studio.run((tx) => coatsOf(tx, pieceId))).toMatchObject([{ coats: 2, costMinor: 150 }])
  })
  it('is refused over silicone until that was cleaned off, and sent twice it is one', async () => {
    const { studio, pieceId } = await hung({ daysAgo: 40, silicone: true })
    await expect(studio.run((tx) => noteCoat(tx, coat(pieceId)))).rejects.toThrow('Clean the dry surface')
    expect(await studio.run((tx) => coatsOf(tx, pieceId))).toEqual([])
    const good = coat(pieceId, { cleanedSilicone: true })
    await studio.run((tx) => noteCoat(tx, good))
    await studio.run((tx) => noteCoat(tx, good))
    expect(await studio.run((tx) => coatsOf(tx, pieceId))).toHaveLength(1)
    expect((await studio.run((tx) => finishWhen(tx, pieceId))).varnish.needsCleaning).toBe(false)
    await studio.run((tx) => removeCoat(tx, good.id))
    expect((await studio.run((tx) => finishWhen(tx, pieceId))).varnish.needsCleaning).toBe(true)
  })
  it('counts from the day somebody found it dry', async () => {
    const { studio, pieceId } = await hung({ daysAgo: 3 })
    const before = (await studio.run((tx) => finishWhen(tx, pieceId))).varnish
    await studio.run((tx) => noteLook(tx, look(pieceId)))
    const after = (await studio.run((tx) => finishWhen(tx, pieceId))).varnish
    expect([before.reasons[0], after.reasons[0]]).toEqual([
      expect.stringContaining('nobody has looked'),
      expect.stringContaining('somebody has found it dry'),
    ])
    // Found dry just now, it waits three days from now.
    expect(Math.abs(after.from - Date.now() - 72 * 3_600_000)).toBeLessThan(60_000)
  })
  it('keeps what was made beside it', async () => {
    const { studio, pieceId } = await hung()
    const product = { id: uuidv7(), pieceId, kind: 'paper' as const, words: 'One print', madeOn: '2026-05-02' }
    await studio.run((tx) => noteByProduct(tx, product))
    await studio.run((tx) => noteByProduct(tx, product))
    expect(await studio.run((tx) => byProductsOf(tx, pieceId))).toMatchObject([{ words: 'One print' }])
    await studio.run((tx) => removeByProduct(tx, product.id))
    expect(await studio.run((tx) => byProductsOf(tx, pieceId))).toEqual([])
  })
})

describe('the wall is searched', () => {
  it('by words, technique, fault, fate, rating, size, bottle and paint', async () => {
    const { studio, pieceId, one, teal, gold } = await hung()
    await studio.run((tx) =>
      noteLook(tx, look(pieceId, { rating: 4, words: '100% of it', faults: [{ fault: 'dull', spots: [], much: 2 }] })),
    )
    await studio.run((tx) =>
      notePiece(tx, {
        id: pieceId,
        revision: 1,
        title: 'Night ferry',
        nextTime: '',
        up: 90,
        fate: 'sold',
        fateOn: '2026-05-03',
        priceMinor: 12_000,
        fateTo: 'the bakery',
        fateReason: '',
      }),
    )
    const found = async (search: Parameters<typeof searchWall>[1]) =>
      (await studio.run((tx) => searchWall(tx, search))).total
    const technique = (await studio.run((tx) => findPiece(tx, pieceId))).technique
    for (const yes of [
      {},
      { words: 'night' },
      { words: '100%' },
      { words: 'BAKERY' },
      { technique },
      { fault: 'dull' },
      { fate: 'sold' },
      { rating: 4 },
      { toMm: 100 },
      { bottle: one },
      { paint: gold },
      { paint: teal, rating: 3, words: 'ferry' },
    ])
      expect([yes, await found(yes)]).toEqual([yes, 1])
    for (const no of [
      { words: '1_0' },
      { technique: 'nothing' },
      { fault: 'mud' },
      { fate: 'keep' },
      { rating: 5 },
      { fromMm: 101 },
      { bottle: uuidv7() },
      { paint: uuidv7() },
      { after: 1, words: 'x' },
    ])
      expect([no, await found(no)]).toEqual([no, 0])
    expect((await studio.run((tx) => searchWall(tx))).pieces).toMatchObject([
      { title: 'Night ferry', up: 90, rating: 4, faults: ['dull'], fate: 'sold', photo: null },
    ])
    expect((await studio.run(wallChoices)).bottles.map((b) => b.label).sort()).toEqual(['Gold 1', 'Teal 1'])
  })

  it('by colour: by what was poured, and by what is seen once it was measured', async () => {
    const { studio, pieceId } = await hung()
    const share = async (colour: string) => (await studio.run((tx) => searchWall(tx, { colour }))).pieces[0]?.share
    // A quarter of what was poured is gold, within a few steps of the bottle's own colour.
    expect(await share('#d6a347')).toBeCloseTo(0.25)
    expect(await share('#136a78')).toBeCloseTo(0.75)
    expect(await share('#c01020')).toBeUndefined()
    const photoId = await photo(studio, pieceId, 'dry')
    const input = { photoId, corners: WHOLE, measures: keptMeasures([0.98, 0.02]) }
    await studio.run((tx) => keepMeasures(tx, input, { image: Buffer.from('f'), width: 1, height: 1 }))
    // Most of the gold was tilted off: it is not found by it any more.
    expect(await share('#d6a347')).toBeUndefined()
    expect(await share('#136a78')).toBeCloseTo(0.98)
  })
})

describe('a write-up', () => {
  it('says what the books know, bottle by bottle with maker and ratio', async () => {
    const { studio, pieceId } = await hung()
    const written = await studio.run((tx) => writtenPiece(tx, pieceId, (at) => at.slice(0, 4)))
    expect(written.bottles).toMatchObject([
      {
        label: 'Teal 1',
        ul: 12_000,
        paints: [{ name: 'Teal', parts: 1 }],
        mediums: [{ name: 'Flow', parts: 1 }],
        ratio: [1, expect.closeTo(2, 3), 0],
        levelTimeS: null,
      },
      { label: 'Gold 1', ul: 4_000, ratio: [1, 0, 0] },
    ])
    expect([written.cups, written.filmMm]).toEqual([[], null])
  })
})
