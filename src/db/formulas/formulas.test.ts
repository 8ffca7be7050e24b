import { v7 as uuidv7 } from 'uuid'
import { deltaE00 } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { mixReflectance } from '@/core/colour/kubelkaMunk'
import { mixToLab } from '@/core/colour/mixColour'
import { unpackOptics } from '@/core/colour/packOptics'
import { hexOfReflectance } from '@/core/colour/paintedOut'
import { opticsFromHex } from '@/core/colour/paintOptics'
import { makeStudio } from '../../../tests/support/studio'
import {
  archiveFormula,
  findFormula,
  listFormulas,
  measureFormula,
  sameParts,
  saveFormula,
  standInsFor,
  usedIn,
  wetDryPairs,
  type SaveFormula,
} from './formulas'
import { findBottle } from '@/db/bottles/read'
import { fillOptics, recalibrate } from '@/db/materials/optics'
import { addMember } from '@/db/people/members'
import { endPool } from '@/db/base/pool'

afterAll(endPool)

const draft = (parts: SaveFormula['parts'], more: Partial<SaveFormula> = {}): SaveFormula => ({
  requestId: uuidv7(),
  id: uuidv7(),
  name: 'Harbour',
  notes: '',
  standsInFor: null,
  note: '',
  targetHex: null,
  parts,
  ...more,
})

async function room() {
  const studio = await makeStudio()
  const white = await studio.paint('White', { hex: '#f5f3ec' })
  const blue = await studio.paint('Blue', { hex: '#1d4e9e' })
  return {
    ...studio,
    white,
    blue,
    parts: [
      { paintId: blue, parts: 1 },
      { paintId: white, parts: 9 },
    ],
  }
}

describe('named colours', () => {
  it('keep every version; the same ratio again is no other version', async () => {
    const { run, blue, white, parts } = await room()
    const first = draft(parts, { targetHex: '#9db2d8', note: 'first try' })
    expect(await run((tx) => saveFormula(tx, first))).toBe(1)
    expect(await run((tx) => saveFormula(tx, first))).toBe(1)
    await expect(run((tx) => saveFormula(tx, { ...first, name: 'Quay' }))).rejects.toMatchObject({ code: 'Conflict' })
    const again = { ...first, requestId: uuidv7(), notes: 'for the bakery' }
    expect(
      await run((tx) =>
        saveFormula(tx, {
          ...again,
          parts: [
            { paintId: white, parts: 18 },
            { paintId: blue, parts: 2 },
          ],
        }),
      ),
    ).toBe(1)
    expect(
      await run((tx) =>
        saveFormula(tx, {
          ...again,
          requestId: uuidv7(),
          parts: [
            { paintId: blue, parts: 1 },
            { paintId: white, parts: 7 },
          ],
        }),
      ),
    ).toBe(2)
    const formula = await run((tx) => findFormula(tx, first.id))
    expect(formula).toMatchObject({ name: 'Harbour', notes: 'for the bakery', archived: false })
    expect(formula.versions.map((v) => [v.version, v.parts.map((p) => p.parts)])).toEqual([
      [2, [7, 1]],
      [1, [9, 1]],
    ])
    expect(formula.versions[1]).toMatchObject({ targetHex: '#9db2d8', note: 'first try', dryHex: null, read: false })
  })
  it('a repeated request counts once', async () => {
    const { run, parts } = await room()
    const f = draft(parts)
    const both = await Promise.all([1, 2].map(() => run((tx) => saveFormula(tx, f)).catch((e: Error) => e.message)))
    expect(both).toContain(1)
    expect(await run((tx) => saveFormula(tx, f))).toBe(1)
    expect((await run((tx) => findFormula(tx, f.id))).versions).toHaveLength(1)
  })
  it('refuses a taken name, no parts, a paint twice and a paint of another studio, and keeps nothing of it', async () => {
    const { run, blue, parts } = await room()
    const other = await room()
    await run((tx) => saveFormula(tx, draft(parts)))
    await expect(run((tx) => saveFormula(tx, draft(parts, { name: ' harbour ' })))).rejects.toThrow(
      'There is a formula called “harbour” already',
    )
    await expect(run((tx) => saveFormula(tx, draft([], { name: 'B' })))).rejects.toThrow('Choose a paint')
    await expect(
      run((tx) =>
        saveFormula(
          tx,
          draft(
            [
              { paintId: blue, parts: 1 },
              { paintId: blue, parts: 2 },
            ],
            { name: 'C' },
          ),
        ),
      ),
    ).rejects.toThrow('named twice')
    await expect(
      run((tx) => saveFormula(tx, draft([{ paintId: other.blue, parts: 1 }], { name: 'D' }))),
    ).rejects.toThrow()
    expect((await run(listFormulas)).map((f) => f.name)).toEqual(['Harbour'])
    expect(await other.run(listFormulas)).toEqual([])
  })
  it('can be put away and taken back, unless the name is taken meanwhile', async () => {
    const { run, parts } = await room()
    const f = draft(parts)
    await run((tx) => saveFormula(tx, f))
    await run((tx) => archiveFormula(tx, f.id, true))
    expect(await run(listFormulas)).toEqual([])
    await run((tx) => saveFormula(tx, draft(parts)))
    await expect(run((tx) => archiveFormula(tx, f.id, false))).rejects.toThrow(
      'Another formula is called “Harbour” now',
    )
    await expect(run((tx) => archiveFormula(tx, uuidv7(), true))).rejects.toMatchObject({ code: 'NotFound' })
    await expect(run((tx) => findFormula(tx, uuidv7()))).rejects.toMatchObject({ code: 'NotFound' })
  })
  it('several can stand in for one paint, and know the bottles they went into', async () => {
    const { run, blue, white, parts, bottle } = await room()
    const [one, two] = [
      draft(parts, { name: 'One', standsInFor: blue }),
      draft([{ paintId: white, parts: 1 }], { name: 'Two', standsInFor: blue }),
    ]
    for (const f of [one, two]) await run((tx) => saveFormula(tx, f))
    expect((await run((tx) => standInsFor(tx, blue))).map((f) => f.name)).toEqual(['One', 'Two'])
    const id = await bottle('Harbour, bottled', [{ materialId: blue, ul: 1000 }])
    await run((tx) =>
      tx.q('update bottle set formula_id = $3, formula_version = 1 where studio_id = $1 and vessel_id = $2', [
        tx.studioId,
        id,
        one.id,
      ]),
    )
    expect(await run((tx) => usedIn(tx, one.id))).toMatchObject([
      { bottleId: id, label: 'Harbour, bottled', version: 1, empty: false },
    ])
  })
  it('ratios are compared, not numbers', () => {
    expect(
      sameParts(
        [
          { paintId: 'a', parts: 1 },
          { paintId: 'b', parts: 3 },
        ],
        [
          { paintId: 'b', parts: 6 },
          { paintId: 'a', parts: 2 },
        ],
      ),
    ).toBe(true)
    expect(sameParts([{ paintId: 'a', parts: 1 }], [{ paintId: 'b', parts: 1 }])).toBe(false)
    expect(
      sameParts(
        [{ paintId: 'a', parts: 1 }],
        [
          { paintId: 'a', parts: 1 },
          { paintId: 'b', parts: 1 },
        ],
      ),
    ).toBe(false)
  })
})

describe('calibration from what is painted out', () => {
  const white = opticsFromHex('#f5f3ec', 'normal')
  // The truth: five times as strong as its class says.
  const strong = opticsFromHex('#1d4e9e', 'normal')
  const truth = { k: strong.k.map((v) => v * 5), s: strong.s.map((v) => v * 5) }
  const kept = (id: string) => (tx: Parameters<Parameters<Awaited<ReturnType<typeof makeStudio>>['run']>[0]>[0]) =>
    tx.q<{ optics: string; sigma: number; known: string; mixes: number; fit: number }>(
      'select optics, optics_sigma as sigma, optics_known as known, optics_mixes as mixes, optics_fit as fit from paint where studio_id = $1 and material_id = $2',
      [tx.studioId, id],
    )
  const miss = (optics: string) =>
    deltaE00(mixToLab([unpackOptics(optics), white], [1, 30]), mixToLab([truth, white], [1, 30]))

  it('a tint and a measured formula make the paint surer, and repaint the bottles that hold it', async () => {
    const { run, blue, white: whiteId, parts, bottle } = await room()
    await run((tx) => recalibrate(tx, [blue, whiteId]))
    const [before] = await run(kept(blue))
    expect(before).toMatchObject({ known: 'masstone', mixes: 0, fit: null })
    const id = await bottle('Pale', [
      { materialId: blue, ul: 1000 },
      { materialId: whiteId, ul: 30_000 },
    ])
    const seen = () => run((tx) => findBottle(tx, id))
    const pale = await seen()
    expect(pale.off).toBeGreaterThan(3)
    const f = draft(parts)
    await run((tx) => saveFormula(tx, f))
    const dry = mixReflectance([truth, white], [1, 9])
    await run((tx) =>
      measureFormula(tx, {
        formulaId: f.id,
        version: 1,
        dryHex: hexOfReflectance(dry),
        dryReflectance: [...dry],
        wetHex: '#3f62a0',
        mediumKind: null,
        mediumShare: 0,
      }),
    )
    const [after] = await run(kept(blue))
    expect(after).toMatchObject({ known: 'mixes', mixes: 1 })
    expect(after!.sigma).toBeLessThan(before!.sigma / 2)
    expect(after!.fit).toBeLessThan(1)
    expect(miss(after!.optics)).toBeLessThan(miss(before!.optics) / 5)
    const repainted = await seen()
    expect(hexToLab(repainted.hex!)[0]).toBeLessThan(hexToLab(pale.hex!)[0] - 5)
    expect(repainted.off).toBeLessThan(pale.off! * 0.6)
    expect((await run((tx) => findFormula(tx, f.id))).versions[0]).toMatchObject({ read: true, wetHex: '#3f62a0' })
    expect(await run(wetDryPairs)).toEqual([
      { wetHex: '#3f62a0', dryHex: hexOfReflectance(dry), mediumKind: null, mediumShare: 0 },
    ])
  })
  it('a mix with medium in it says nothing of the paint', async () => {
    const { run, blue, parts } = await room()
    const f = draft(parts)
    await run((tx) => saveFormula(tx, f))
    await run((tx) =>
      measureFormula(tx, {
        formulaId: f.id,
        version: 1,
        dryHex: '#223344',
        dryReflectance: null,
        wetHex: null,
        mediumKind: 'glue',
        mediumShare: 0.5,
      }),
    )
    expect((await run(kept(blue)))[0]).toMatchObject({ known: 'masstone', mixes: 0 })
    await expect(
      run((tx) =>
        measureFormula(tx, {
          formulaId: f.id,
          version: 9,
          dryHex: null,
          dryReflectance: null,
          wetHex: null,
          mediumKind: null,
          mediumShare: 0,
        }),
      ),
    ).rejects.toMatchObject({ code: 'NotFound' })
  })
  it('paints from before there were optics get theirs when the database is brought up to date', async () => {
    const { run, blue } = await room()
    await run((tx) =>
      tx.q('insert into account (id, email, name) values ($1, $2, $3)', [
        tx.studioId,
        `${tx.studioId}@example.org`,
        'Runa',
      ]),
    )
    await run((tx) => addMember(tx, tx.studioId, 'owner'))
    expect((await run(kept(blue)))[0]).toMatchObject({ optics: null, known: null })
    expect(await fillOptics()).toBeGreaterThanOrEqual(2)
    expect((await run(kept(blue)))[0]).toMatchObject({ optics: expect.any(String), known: 'masstone', mixes: 0 })
  })
})
