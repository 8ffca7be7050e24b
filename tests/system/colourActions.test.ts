import { v7 as uuidv7 } from 'uuid'
import { POST as reader } from '@/app/(studio)/reader/route'
import type { Answer } from '@/core/answer'
import { deltaE00 } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { reflectanceFromHex } from '@/core/colour/reflectance'
import type { Averaged } from '@/core/device/readings'
import type { Signed } from '@/db/people/sessions'
import { signUp } from '../support/accounts'
import { findFormula, listFormulas } from '@/db/formulas/formulas'
import { endPool } from '@/db/base/pool'
import { withStudio } from '@/db/base/withStudio'
import { startStandIn } from '@/devices/reader/standIn'
import {
  archiveFormulaAction,
  measureFormulaAction,
  saveBatchAction,
  saveFormulaAction,
} from '@/stations/formulas/actions'
import { findBatch } from '@/db/formulas/batches'
import { saveMaterialAction } from '@/stations/paints/actions'
import { random } from '../support/random'

/** The sealed cookie is stood in for by whose token it holds; everything behind it is real. */
const holder: { token?: string } = {}
jest.mock('@/session/cookie', () => ({ tokenHere: async () => holder.token }))
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('react', () => ({ ...jest.requireActual<object>('react'), cache: (work: unknown) => work }))

afterAll(endPool)

async function newStudio(): Promise<Signed> {
  const signed = await signUp({
    name: 'Runa',
    email: `${uuidv7()}@example.org`,
    password: 'a long pass phrase',
    studioName: 'Test room',
  })
  holder.token = signed.token
  return signed
}

function value<T>(answer: Answer<T>): T {
  if (!answer.ok) throw new Error(answer.message)
  return answer.value
}

async function aPaint(name: string, swatchHex: string): Promise<string> {
  const id = uuidv7()
  const material = {
    kind: 'paint',
    name,
    body: 'soft',
    opacity: 'opaque',
    sheen: 'satin',
    swatchHex,
    densityGPerMl: 1.2,
    solids: 0.38,
  }
  value(await saveMaterialAction({ id, revision: 0, material }))
  return id
}

async function aFormula() {
  const [blue, white] = [await aPaint('Loch Blue', '#1d4e9e'), await aPaint('Chalk', '#f5f3ec')]
  const id = uuidv7()
  const draft = {
    requestId: uuidv7(),
    id,
    name: 'Loch pale',
    parts: [
      { paintId: blue, parts: 1 },
      { paintId: white, parts: 4 },
    ],
  }
  expect(value(await saveFormulaAction(draft))).toEqual({ id, version: 1 })
  return { id, draft, blue, white }
}

describe('formulas through their actions', () => {
  it('are kept, measured, put away and taken back', async () => {
    const who = await newStudio()
    const { id } = await aFormula()
    const measured = {
      formulaId: id,
      version: 1,
      dryHex: '#7F97C4',
      dryReflectance: null,
      wetHex: '#8aa1cc',
      mediumKind: null,
      mediumShare: 0,
    }
    value(await measureFormulaAction(measured))
    const [kept] = (await withStudio(who, (tx) => findFormula(tx, id))).versions
    expect(kept).toMatchObject({ dryHex: '#7f97c4', wetHex: '#8aa1cc', read: false })
    value(await archiveFormulaAction({ id, archived: true }))
    expect(await withStudio(who, listFormulas)).toEqual([])
    value(await archiveFormulaAction({ id, archived: false }))
    expect(await withStudio(who, listFormulas)).toHaveLength(1)
  })

  it('keeps a reading’s spectrum when only the wet colour is added later', async () => {
    const who = await newStudio()
    const { id } = await aFormula()
    const dryReflectance = [...reflectanceFromHex('#7f97c4')]
    const first = { formulaId: id, version: 1, dryHex: '#7f97c4', dryReflectance, wetHex: null, mediumKind: null }
    value(await measureFormulaAction(first))
    value(await measureFormulaAction({ ...first, dryReflectance: null, wetHex: '#8aa1cc' }))
    const read = () => withStudio(who, (tx) => findFormula(tx, id)).then((f) => f.versions[0]!)
    expect(await read()).toMatchObject({ read: true, wetHex: '#8aa1cc' })
    value(await measureFormulaAction({ ...first, dryHex: '#112233', dryReflectance: null }))
    expect(await read()).toMatchObject({ read: false, dryHex: '#112233' })
  })

  it('refuse what is wrong with a sentence, and change nothing', async () => {
    const who = await newStudio()
    const { draft, blue, id } = await aFormula()
    const wrong: [Record<string, unknown>, RegExp][] = [
      [{ name: '  ' }, /Give the colour a name/],
      [{ parts: [] }, /Choose a paint and give it parts/],
      [{ parts: [{ paintId: blue, parts: 0 }] }, /A part of a formula is above zero/],
      [{ parts: [{ paintId: blue, parts: 'two' }] }, /Type parts as numbers/],
      [{ parts: [{ paintId: uuidv7(), parts: 1 }] }, /paint/],
      [{ targetHex: 'teal' }, /six digits/],
      [{ id: 'x' }, /not one of Fika’s/],
    ]
    for (const [part, said] of wrong) {
      const answer = await saveFormulaAction({ ...draft, requestId: uuidv7(), id: uuidv7(), name: 'Other', ...part })
      expect(answer).toMatchObject({ ok: false, message: expect.stringMatching(said) })
    }
    const unknown = await measureFormulaAction({ formulaId: id, version: 4, dryHex: null })
    expect(unknown).toMatchObject({ ok: false, code: 'NotFound' })
    const allMedium = await measureFormulaAction({ formulaId: id, version: 1, mediumKind: 'glue', mediumShare: 1 })
    expect(allMedium).toMatchObject({ ok: false, message: expect.stringContaining('all medium has no colour') })
    expect((await withStudio(who, listFormulas)).map((f) => f.versions.length)).toEqual([1])
  })

  it('stay inside their studio, and nobody signed out reaches them', async () => {
    await newStudio()
    const { id, draft } = await aFormula()
    await newStudio()
    expect(await archiveFormulaAction({ id, archived: true })).toMatchObject({ ok: false, code: 'NotFound' })
    expect(await saveFormulaAction({ ...draft, requestId: uuidv7() })).toMatchObject({ ok: false })
    delete holder.token
    expect(await saveFormulaAction(draft)).toMatchObject({ ok: false, code: 'SignedOut' })
  })
})

describe('a batch through its action', () => {
  it('is begun, ticked and done; a batch of nothing is refused', async () => {
    const who = await newStudio()
    const { id: formulaId } = await aFormula()
    const id = uuidv7()
    const state = { paintUl: 400_000, containers: 2, sizeUl: 1_000_000, keptHex: '#7f97c4' }
    const batch = { id, revision: 0, title: 'Nine panels', formulaId, formulaVersion: 1, state }
    expect(value(await saveBatchAction(batch))).toEqual({ id, revision: 1 })
    const ticked = { ...batch, revision: 1, state: { ...state, done: ['0/0'] }, finished: true }
    expect(value(await saveBatchAction(ticked))).toEqual({ id, revision: 2 })
    const kept = await withStudio(who, (tx) => findBatch(tx, id))
    expect(kept.state).toMatchObject({ done: ['0/0'], medium: 2, water: 0.1 })
    expect(kept.doneAt).not.toBeNull()
    for (const [part, said] of [
      [{ paintUl: 0 }, /how much paint/],
      [{ containers: 0 }, /one container at least/],
      [{ containers: 13 }, /Twelve containers/],
      [{ water: 4 }, /Use medium instead/],
      [{ keptHex: 'teal' }, /six digits/],
    ] as const) {
      const answer = await saveBatchAction({ ...batch, id: uuidv7(), state: { ...state, ...part } })
      expect(answer).toMatchObject({ ok: false, message: expect.stringMatching(said) })
    }
  })
})

describe('the reader’s door', () => {
  const ask = async (body: unknown) => {
    const request = new Request('http://127.0.0.1/reader', { method: 'POST', body: JSON.stringify(body) })
    return (await (await reader(request)).json()) as Answer<Averaged>
  }
  afterEach(() => delete process.env.FIKA_READER)

  it('reads what lies under it, and says when nothing is plugged in', async () => {
    await newStudio()
    expect(await ask({ do: 'read' })).toMatchObject({ ok: false, code: 'Device' })
    const device = await startStandIn({ port: 0, random: random(9), clock: Date.now, readingMs: 1 })
    process.env.FIKA_READER = `127.0.0.1:${device.port}`
    try {
      const read = value(await ask({ do: 'read', times: 4, place: [...reflectanceFromHex('#136a78')] }))
      expect(deltaE00(read.lab, hexToLab('#136a78'))).toBeLessThan(0.6)
      expect(read.used).toBe(4)
      expect(await ask({ do: 'status' })).toMatchObject({ ok: true, value: { standIn: true, calibrate: false } })
      expect(await ask({ do: 'calibrate' })).toMatchObject({ ok: true })
      expect(await ask({ do: 'read', times: 500 })).toMatchObject({ ok: false, code: 'Invalid' })
      expect(await ask({ do: 'dance' })).toMatchObject({ ok: false, code: 'Invalid' })
      expect(await ask('no object')).toMatchObject({ ok: false })
    } finally {
      await device.close()
    }
  })

  it('is shut to nobody in particular', async () => {
    delete holder.token
    expect(await ask({ do: 'status' })).toMatchObject({ ok: false, code: 'SignedOut' })
  })
})
