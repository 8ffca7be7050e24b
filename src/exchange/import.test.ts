/** @jest-environment node */
import { readJson } from './json'
import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../tests/support/studio'
import { listFormulas, measureFormula, saveFormula } from '@/db/formulas/formulas'
import { endPool } from '@/db/base/pool'
import { listRecipes, saveRecipe } from '@/db/recipes/recipes'
import { listSurfaces } from '@/db/surfaces/read'
import { allMaterials } from '@/db/materials/read'
import { saveOffer } from '@/db/materials/offers'
import { allOffers } from '@/db/materials/prices'
import { saveSurface } from '@/db/surfaces/write'
import { insertMaterial, notePair } from '@/db/materials/write'
import { readCsv } from '@/exchange/csv'
import { FORMATS } from './formats'
import { guessMapping } from '@/exchange/fields'
import { importFile, previewFile } from '../../tests/support/importing'
import { mappingFor } from './import'
import { readFile } from './readFile'
import type { ReadFile } from './table'
import { readCatalogue, type Catalogue } from '@/exchange/json'

const JSON_FORMAT = FORMATS.find((f) => f.key === 'json')!

afterAll(endPool)

type Studio = Awaited<ReturnType<typeof makeStudio>>
const list = (text: string): ReadFile & { kind: 'table' } => ({ kind: 'table', table: readCsv(text) })
const bringIn = (studio: Studio, file: ReadFile, update = true) =>
  studio.run((tx) => importFile(tx, file, file.kind === 'table' ? guessMapping(file.table.headings) : {}, update))
const paints = async (studio: Studio) => (await studio.run(allMaterials)).filter((m) => m.kind !== 'water')

describe('bringing in a list', () => {
  it('adds what is new, changes what differs, leaves what is the same, and doubles nothing', async () => {
    const studio = await makeStudio()
    const first = list('maker,name,swatch,price\nKvarnby,Teal,#136a78,9.90\nKvarnby,Navy,#16284a,9.90\n')
    expect(await bringIn(studio, first)).toEqual({ added: 2, changed: 0, same: 0, bad: 0 })
    const second = list(
      'maker,name,swatch,price\nkvarnby,Teal,#136a78,10.90\nKvarnby,Navy,#16284a,\nKvarnby,Red,#b9262b,7\nKvarnby,Odd,blue,7\n',
    )
    expect(await bringIn(studio, second, false)).toEqual({ added: 1, changed: 0, same: 2, bad: 1 })
    expect(await bringIn(studio, second)).toEqual({ added: 0, changed: 1, same: 2, bad: 1 })
    expect((await paints(studio)).map((m) => [m.name, m.priceMinor, m.revision])).toEqual([
      ['Navy', 990, 1],
      ['Red', 700, 1],
      ['Teal', 1090, 2],
    ])
  })

  it('leaves nothing behind when it fails half-way', async () => {
    const studio = await makeStudio()
    const rows = Array.from({ length: 450 }, (_, i) => `Shade ${i},#${(i * 7919).toString(16).padStart(6, '0')}`)
    const file = list(`name,swatch\n${rows.join('\n')}`)
    const steps: number[] = []
    const broken = studio.run((tx) =>
      importFile(tx, file, guessMapping(file.table.headings), true, (done) => {
        steps.push(done)
        if (done >= 400) throw new Error('the power went')
      }),
    )
    await expect(broken).rejects.toThrow('the power went')
    expect(steps).toEqual([200, 400])
    expect(await paints(studio)).toEqual([])
    expect(await bringIn(studio, file)).toMatchObject({ added: 450 })
  })

  it('takes two imports of the same list at once as one', async () => {
    const studio = await makeStudio()
    const file = list('name,swatch\nTeal,#136a78\nNavy,#16284a\n')
    const both = await Promise.allSettled([bringIn(studio, file), bringIn(studio, file)])
    // Whoever looked before the other was done is told to look again; whoever came after finds them there.
    for (const b of both)
      if (b.status === 'rejected') expect(b.reason).toMatchObject({ message: expect.stringContaining('try again') })
    const added = both.map((b) => (b.status === 'fulfilled' ? b.value.added : 0))
    expect(added.sort()).toEqual([0, 2])
    expect(await paints(studio)).toHaveLength(2)
  })

  it('remembers which column is which for the next list with these headings', async () => {
    const studio = await makeStudio()
    const file = list('Farbe;Wert;Notiz\nTeal;#136a78;x\n')
    const { headings } = file.table
    expect(await studio.run((tx) => mappingFor(tx, headings))).toEqual({ Farbe: '', Wert: '', Notiz: '' })
    const mapping = { Farbe: 'name', Wert: 'swatch', Notiz: '' } as const
    expect(await studio.run((tx) => previewFile(tx, file, mapping))).toMatchObject([{ state: 'new', name: 'Teal' }])
    await studio.run((tx) => importFile(tx, file, mapping, true))
    expect(await studio.run((tx) => mappingFor(tx, headings))).toEqual(mapping)
    expect(await studio.run((tx) => mappingFor(tx, ['FARBE', 'wert', 'notiz']))).toEqual({
      FARBE: 'name',
      wert: 'swatch',
      notiz: '',
    })
    const other = await makeStudio()
    expect(await other.run((tx) => mappingFor(tx, headings))).toEqual({ Farbe: '', Wert: '', Notiz: '' })
  })
})

describe('the catalogue as JSON', () => {
  /** A studio with one of everything the file holds. */
  async function full() {
    const studio = await makeStudio()
    const [teal, navy, gone, flow] = [uuidv7(), uuidv7(), uuidv7(), uuidv7()]
    const look = { body: 'soft', opacity: 'opaque', sheen: 'satin', densityGPerMl: 1.2, solids: 0.38 } as const
    await studio.run(async (tx) => {
      await insertMaterial(tx, navy, { kind: 'paint', name: 'Navy', swatchHex: '#16284a', ...look })
      await insertMaterial(tx, teal, {
        kind: 'paint',
        maker: 'Kvarnby',
        name: 'Teal',
        swatchHex: '#136a78',
        tags: ['sea'],
        tintHex: '#6aaab6',
        tintWhiteShare: 0.9,
        pigmentShare: 0.2,
        paintedWith: { whiteId: null, blackId: navy },
        substitutes: [navy],
        flags: [{ role: 'top', rule: 'avoid', reason: 'dull' }],
        ...look,
      })
      await insertMaterial(tx, gone, {
        kind: 'paint',
        name: 'Aqua',
        swatchHex: '#5c7bb0',
        discontinued: true,
        standIn: [
          { paintId: teal, parts: 2 },
          { paintId: navy, parts: 1 },
        ],
        ...look,
      })
      await insertMaterial(tx, flow, {
        kind: 'medium',
        name: 'Flow',
        mediumKind: 'conditioner',
        densityGPerMl: 1.03,
        solids: 0.25,
        effects: [1, 2, 3, 0, 1, 2, 3, 0, 1, 2],
      })
      await notePair(tx, { paintId: teal, otherId: navy, verdict: 'together', note: 'deep' })
      await saveOffer(tx, {
        id: uuidv7(),
        materialId: teal,
        supplier: 'Lockside',
        sizeUl: 60_000,
        listMinor: 990,
        terms: { kind: 'n-for-m', get: 3, pay: 2 },
        startsOn: '2026-03-01',
        endsOn: '2026-03-14',
      })
      await saveSurface(tx, {
        id: uuidv7(),
        kind: 'panel',
        name: 'Ferry panel',
        shape: 'rectangle',
        lengthMm: 200,
        widthMm: 200,
        diameterMm: 0,
        edgeMm: 10,
        grade: 'sale',
      })
      const night = { id: uuidv7(), name: 'Night', notes: 'the ferries', standsInFor: gone, targetHex: '#1d4464' }
      const parts = (n: number) => [
        { paintId: navy, parts: 1 },
        { paintId: teal, parts: n },
      ]
      await saveFormula(tx, { ...night, requestId: uuidv7(), note: 'first', parts: parts(1) })
      await saveFormula(tx, { ...night, requestId: uuidv7(), note: 'darker', parts: parts(3) })
      const dryReflectance = Array.from({ length: 36 }, (_, i) => 0.05 + i / 1000)
      await measureFormula(tx, {
        formulaId: night.id,
        version: 1,
        dryHex: '#1d4464',
        dryReflectance,
        wetHex: '#2c5475',
        mediumKind: 'conditioner',
        mediumShare: 0.5,
      })
      const body = {
        paints: [
          { id: teal, parts: '2' },
          { id: navy, parts: '1' },
        ],
        mediums: [{ id: flow, parts: '1' }],
        ratio: '2 : 1',
        waterId: '',
        waterParts: '0.5',
        drops: [],
        steps: ['strain'],
        role: 'pour',
        technique: 'straight',
      }
      const recipe = { id: uuidv7(), name: 'Night pour' }
      await saveRecipe(tx, { ...recipe, requestId: uuidv7(), note: 'first', body })
      await saveRecipe(tx, { ...recipe, requestId: uuidv7(), note: 'thinner', body: { ...body, ratio: '3 : 1' } })
      // What a bottle of the rack goes into stays with the rack.
      await saveRecipe(tx, {
        id: uuidv7(),
        name: 'From a base',
        requestId: uuidv7(),
        note: '',
        body: { ...body, mediums: [{ id: uuidv7(), parts: '1' }] },
      })
      await tx.q('update material set archived_at = now() where studio_id = $1 and id = $2', [tx.studioId, navy])
    })
    return studio
  }

  it('holds everything and makes it anew in another studio', async () => {
    const studio = await full()
    const text = (await studio.run((tx) => JSON_FORMAT.write(tx, new Date()))) as string
    const other = await makeStudio()
    const file = await readFile(new TextEncoder().encode(text))
    expect(await bringIn(other, file)).toMatchObject({ added: 4, same: 4, bad: 0 })
    expect(await other.run(readCatalogue)).toEqual(JSON.parse(text))
    // The same file again changes nothing and doubles nothing.
    expect(await bringIn(other, file)).toMatchObject({ added: 0, changed: 0, same: 8 })
    expect(await other.run(readCatalogue)).toEqual(JSON.parse(text))
    expect([await other.run(allOffers), await other.run(listSurfaces)].map((l) => l.length)).toEqual([1, 1])
    // A link that was taken away there is a change, and comes back.
    await other.run((tx) => tx.q('delete from paint_substitute where studio_id = $1', [tx.studioId]))
    expect(await bringIn(other, file)).toMatchObject({ added: 0, changed: 1, same: 7 })
    expect(await other.run(readCatalogue)).toEqual(JSON.parse(text))
  })

  it('a file from before the share of pigment was kept gets the usual one of body or kind, and never none', async () => {
    const studio = await full()
    const json = JSON.parse((await studio.run((tx) => JSON_FORMAT.write(tx, new Date()))) as string) as {
      materials: { kind: string; pigmentShare?: number }[]
    }
    const older = {
      ...json,
      materials: json.materials.map((m) => ({ ...m, pigmentShare: undefined })),
    }
    const read = readJson(JSON.stringify(older))
    const shares = read.materials.flatMap((m) => (m.input.kind === 'paint' ? [m.input.pigmentShare] : []))
    expect(shares.length).toBeGreaterThan(0)
    expect(Math.min(...shares)).toBeGreaterThan(0.05)
  })

  it('brings named colours with what was measured of them, and of one that is here only what is newer', async () => {
    const studio = await full()
    const json = JSON.parse((await studio.run((tx) => JSON_FORMAT.write(tx, new Date()))) as string) as Catalogue
    expect(json.formulas).toMatchObject([
      {
        name: 'Night',
        notes: 'the ferries',
        standsInFor: { name: 'Aqua' },
        versions: [
          { note: 'first', dryHex: '#1d4464', mediumKind: 'conditioner' },
          { note: 'darker', dryHex: null },
        ],
      },
    ])
    expect(json.formulas[0]!.versions[0]!.dryReflectance).toHaveLength(36)
    const file = (value: unknown) => readFile(new TextEncoder().encode(JSON.stringify(value)))
    const other = await makeStudio()
    await bringIn(other, await file(json))
    const [night] = await other.run(listFormulas)
    expect(night!.versions.map((v) => [v.version, v.read])).toEqual([
      [2, false],
      [1, true],
    ])
    // Its paints are calibrated from what came along.
    const known = await other.run((tx) =>
      tx.q<{ known: string }>(
        `select optics_known as known from paint p join material m on m.id = p.material_id where p.studio_id = $1 and m.name = 'Teal'`,
        [tx.studioId],
      ),
    )
    expect(known[0]!.known).not.toBeNull()
    const [colour] = json.formulas
    const newest = {
      ...colour!.versions[1]!,
      note: 'lighter',
      parts: colour!.versions[1]!.parts.map((p, i) => ({ ...p, parts: 5 + i })),
    }
    const strange = {
      ...colour!,
      name: 'Strange',
      versions: [{ ...newest, parts: [{ kind: 'paint', maker: '', line: '', name: 'Nowhere', parts: 1 }] }],
    }
    const more = {
      ...json,
      formulas: [
        { ...colour!, name: ' NIGHT', notes: 'theirs', versions: [...colour!.versions, newest] },
        strange,
        strange,
        { ...colour!, name: 'night' },
      ],
    }
    await bringIn(other, await file(more))
    await bringIn(other, await file(more))
    const after = await other.run(listFormulas)
    expect(after.map((f) => [f.name, f.notes, f.versions.map((v) => v.note)])).toEqual([
      ['Night', 'the ferries', ['lighter', 'darker', 'first']],
    ])
    await expect(bringIn(other, await file({ ...json, formulas: [{ ...colour!, versions: [] }] }))).rejects.toThrow(
      'not a catalogue of Fika',
    )
  })

  it('brings named recipes, and of one that is here only what is newer', async () => {
    const studio = await full()
    const json = JSON.parse((await studio.run((tx) => JSON_FORMAT.write(tx, new Date()))) as string) as Catalogue
    expect(json.recipes).toMatchObject([
      {
        name: 'Night pour',
        versions: [
          {
            note: 'first',
            ratio: '2 : 1',
            paints: [{ name: 'Teal', parts: '2' }, { name: 'Navy' }],
            mediums: [{ kind: 'medium', name: 'Flow' }],
          },
          { note: 'thinner' },
        ],
      },
    ])
    const file = (value: unknown) => readFile(new TextEncoder().encode(JSON.stringify(value)))
    const other = await makeStudio()
    await bringIn(other, await file(json))
    const notes = async () =>
      (await other.run((tx) => listRecipes<{ steps: string[] }>(tx))).map((r) => [
        r.name,
        r.versions.map((v) => v.note),
      ])
    expect(await notes()).toEqual([['Night pour', ['thinner', 'first']]])
    const [recipe] = json.recipes
    const newest = { ...recipe!.versions[1]!, note: 'for swipes', role: 'swipe' as const }
    const strange = {
      name: 'Strange',
      versions: [{ ...newest, paints: [{ kind: 'paint', maker: '', line: '', name: 'Nowhere', parts: '1' }] }],
    }
    const more = {
      ...json,
      recipes: [{ name: 'NIGHT pour', versions: [...recipe!.versions, newest] }, strange, strange],
    }
    await bringIn(other, await file(more))
    await bringIn(other, await file(more))
    expect(await notes()).toEqual([['Night pour', ['for swipes', 'thinner', 'first']]])
    await expect(
      bringIn(other, await file({ ...json, recipes: [{ ...recipe!, versions: [{ ...newest, role: 'hat' }] }] })),
    ).rejects.toThrow('not a catalogue of Fika')
  })

  it('is refused with the entry that is wrong', async () => {
    const studio = await makeStudio()
    const wrong = async (value: unknown) => {
      const file = await readFile(new TextEncoder().encode(typeof value === 'string' ? value : JSON.stringify(value)))
      return bringIn(studio, file)
    }
    const head = { format: 'fika-catalogue', version: 1 }
    await expect(wrong('{"format":')).rejects.toThrow('not whole JSON')
    await expect(wrong({ format: 'other', version: 1, materials: [] })).rejects.toThrow('not a catalogue of Fika')
    await expect(wrong({ ...head, version: 9, materials: [] })).rejects.toThrow('newer Fika')
    await expect(
      wrong({
        ...head,
        materials: [
          {
            kind: 'paint',
            name: 'Teal',
            swatchHex: '#136a78',
            body: 'soft',
            opacity: 'opaque',
            sheen: 'satin',
            solids: 0.3,
            densityGPerMl: 99,
          },
        ],
      }),
    ).rejects.toThrow(/^Material 1 \(Teal\): .*heavier than any paint/)
    expect(await paints(studio)).toEqual([])
  })
})
