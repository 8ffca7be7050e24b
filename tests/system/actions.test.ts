import { v7 as uuidv7 } from 'uuid'
import type { Answer } from '@/core/answer'
import { findSession, revokeSession, signUp, type Signed } from '@/db/people/accounts'
import { endPool } from '@/db/base/pool'
import { withStudio } from '@/db/base/withStudio'
import { undoAction } from '@/server/undoAction'
import { bookMixAction } from '@/stations/bench/actions'
import { saveRulesAction } from '@/stations/notebook/actions'
import {
  archiveMaterialAction,
  currentMaterialAction,
  notePairAction,
  saveMaterialAction,
  undoChangeAction,
} from '@/stations/paints/actions'
import { openFileAction, previewAction } from '@/stations/paints/exchange/actions'
import {
  buyContainersAction,
  dropOfferAction,
  finishContainerAction,
  reopenContainerAction,
  saveOfferAction,
  unsealContainerAction,
  weighContainerAction,
} from '@/stations/paints/stock/actions'
import { moveSurfacesAction, putSurfaceAwayAction, saveSurfaceAction } from '@/stations/paints/surfaces/actions'
import { dropPlanAction, savePlanAction } from '@/stations/plan/actions'
import { pourAction } from '@/stations/pour/actions'
import { discardAction, editBottleAction, takeOutAction, weighInAction } from '@/stations/rack/actions'
import { addPhotoAction, notePieceAction, removePhotoAction } from '@/stations/wall/actions'

/** The sealed cookie is stood in for by whose token it holds; everything behind it is real. */
const holder: { token?: string } = {}
jest.mock('@/session/cookie', () => ({ sessionCookie: async () => holder }))
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('react', () => ({ ...jest.requireActual<object>('react'), cache: (work: unknown) => work }))

const as = (who: Signed | undefined) => {
  if (who) holder.token = who.token
  else delete holder.token
}
const newStudio = (name: string) =>
  signUp({ name, email: `${uuidv7()}@example.org`, password: 'a long pass phrase', studioName: name })

const paint = (name: string) => ({
  kind: 'paint',
  maker: 'Torvald Works',
  line: '',
  name,
  body: 'soft',
  opacity: 'opaque',
  sheen: 'satin',
  strength: 'normal',
  pigments: ['PB29'],
  swatchHex: '#1d4e9e',
  densityGPerMl: 1.2,
  solids: 0.38,
  containerUl: 60_000,
  priceMinor: 990,
  notes: '',
  flags: [],
})
const surface = { shape: 'rectangle', lengthMm: 100, widthMm: 100, diameterMm: 0, edgeMm: 0, count: 1 }
const coverage = { kind: 'rule-of-28', wetMm: 1.2, runOffShare: 0.25 }

function value<T>(answer: Answer<T>): T {
  if (!answer.ok) throw new Error(answer.message)
  return answer.value
}

/** Ids of one of everything, made through the actions by whoever is signed in. */
async function oneOfEverything() {
  const paintId = uuidv7()
  value(await saveMaterialAction({ id: paintId, revision: 0, material: paint('Loch Blue') }))
  const bottleId = uuidv7()
  const mix = {
    requestId: uuidv7(),
    vesselId: bottleId,
    into: 'new',
    label: 'Loch',
    role: 'pour',
    paints: [{ materialId: paintId, parts: 1 }],
    paintParts: 1,
    mediums: [],
    water: null,
    poured: [{ materialId: paintId, ul: 100_000 }],
    capacityUl: 240_000,
    tareMg: 30_000,
    restHours: 12,
  }
  value(await bookMixAction(mix))
  const plan = {
    id: uuidv7(),
    title: 'Small square',
    technique: 'straight',
    surface,
    coverage,
    surfaceCostMinor: 100,
    cup: [{ vesselId: bottleId, parts: 1 }],
    apart: [],
    notes: '',
  }
  value(await savePlanAction(plan))
  const pour = {
    requestId: uuidv7(),
    planId: plan.id,
    pieceId: uuidv7(),
    vesselId: uuidv7(),
    takes: [{ vesselId: bottleId, ul: 16_000 }],
  }
  value(await pourAction(pour))
  const other = uuidv7()
  value(await saveMaterialAction({ id: other, revision: 0, material: paint('Weir Green') }))
  const container = { lotId: uuidv7(), vesselId: uuidv7() }
  const bought = { materialId: paintId, ...container, label: 'tube', sizeUl: 60_000, worth: 1 }
  value(await buyContainersAction({ requestId: uuidv7(), totalMinor: 900, containers: [bought] }))
  const offer = {
    id: uuidv7(),
    materialId: paintId,
    sizeUl: 60_000,
    listMinor: 990,
    terms: { kind: 'list' },
    startsOn: '2026-01-01',
  }
  value(await saveOfferAction(offer))
  const canvas = {
    id: uuidv7(),
    kind: 'panel',
    name: 'Panel',
    shape: 'rectangle',
    lengthMm: 200,
    widthMm: 200,
    edgeMm: 10,
    grade: 'sale',
  }
  value(await saveSurfaceAction(canvas))
  value(await moveSurfacesAction({ requestId: uuidv7(), surfaceId: canvas.id, count: 5, priceMinor: 900 }))
  const [change] = await withStudio({ studioId: (await findSession(holder.token!))!.studioId, accountId: null }, (tx) =>
    tx.q<{ id: string }>('select id from material_change where studio_id = $1 and material_id = $2', [
      tx.studioId,
      paintId,
    ]),
  )
  return { paintId, bottleId, mix, plan, pour, other, container, offer, canvas, changeId: change!.id }
}

describe('server actions', () => {
  let owner: Signed
  let stranger: Signed
  let things: Awaited<ReturnType<typeof oneOfEverything>>
  beforeAll(async () => {
    owner = await newStudio('Upper lock')
    stranger = await newStudio('Lower lock')
    as(owner)
    things = await oneOfEverything()
  })
  afterAll(endPool)

  /** Every action with input that is good for the owner. */
  const calls = (): [string, () => Promise<Answer<unknown>>][] => {
    const { paintId, bottleId, mix, plan, pour } = things
    const requestId = uuidv7()
    const form = new FormData()
    form.set('id', uuidv7())
    form.set('pieceId', pour.pieceId)
    form.set('state', 'wet')
    form.set('photo', new File([new Uint8Array(9)], 'x.jpg'))
    return [
      ['archive', () => archiveMaterialAction({ id: paintId, archived: true })],
      ['save', () => saveMaterialAction({ id: paintId, revision: 1, material: paint('Mine now') })],
      ['current', () => currentMaterialAction({ id: paintId })],
      ['undo a change', () => undoChangeAction({ materialId: paintId, changeId: things.changeId })],
      ['note a pair', () => notePairAction({ paintId, otherId: things.other, verdict: 'never' })],
      [
        'buy',
        () =>
          buyContainersAction({
            requestId,
            totalMinor: 1,
            containers: [{ materialId: paintId, lotId: uuidv7(), vesselId: uuidv7(), label: 't', sizeUl: 9, worth: 1 }],
          }),
      ],
      [
        'weigh a container',
        () => weighContainerAction({ requestId, vesselId: things.container.vesselId, grossMg: 9, tareMg: 1 }),
      ],
      ['finish', () => finishContainerAction({ requestId, vesselId: things.container.vesselId, residueUl: 0 })],
      ['reopen', () => reopenContainerAction({ lotId: things.container.lotId })],
      ['unseal', () => unsealContainerAction({ lotId: things.container.lotId })],
      ['offer', () => saveOfferAction({ ...things.offer, id: uuidv7() })],
      ['drop an offer', () => dropOfferAction({ id: things.offer.id })],
      ['move surfaces', () => moveSurfacesAction({ requestId, surfaceId: things.canvas.id, count: -1 })],
      ['put a surface away', () => putSurfaceAwayAction({ id: things.canvas.id })],
      ['mix', () => bookMixAction({ ...mix, requestId, vesselId: uuidv7() })],
      ['top up', () => bookMixAction({ ...mix, requestId, into: 'top-up' })],
      ['take out', () => takeOutAction({ requestId, vesselId: bottleId, ul: 1_000 })],
      [
        'weigh in',
        () => weighInAction({ requestId, vesselId: bottleId, grossMg: 100_000, tareMg: 30_000, named: 'spilled' }),
      ],
      ['edit', () => editBottleAction({ vesselId: bottleId, label: 'Mine', role: 'pour' })],
      ['discard', () => discardAction({ requestId, vesselId: bottleId })],
      ['plan with', () => savePlanAction({ ...plan, id: uuidv7() })],
      ['drop', () => dropPlanAction({ id: plan.id })],
      ['pour', () => pourAction({ ...pour, requestId, pieceId: uuidv7(), vesselId: uuidv7() })],
      ['note', () => notePieceAction({ id: pour.pieceId, revision: 1, title: 'Mine', fate: 'keep' })],
      ['photo', () => addPhotoAction(form)],
    ]
  }

  it('do nothing for somebody who is signed out, or whose session was revoked', async () => {
    as(undefined)
    const all = [
      ...calls(),
      ['open a file', () => openFileAction(new FormData())],
      ['preview', () => previewAction({})],
      ['new surface', () => saveSurfaceAction({ ...things.canvas, id: uuidv7() })],
      ['rules', () => saveRulesAction({ name: 'x', units: 'us', waterSchool: 'share', currency: 'USD' })],
      ['remove photo', () => removePhotoAction({ id: uuidv7() })],
      ['undo', () => undoAction({ requestId: uuidv7(), movementId: uuidv7() })],
    ] as [string, () => Promise<Answer<unknown>>][]
    for (const [name, call] of all) expect([name, await call()]).toMatchObject([name, { ok: false, code: 'SignedOut' }])
    const other = await newStudio('Gone')
    await revokeSession(other.token)
    as(other)
    expect(await takeOutAction({ requestId: uuidv7(), vesselId: things.bottleId, ul: 1 })).toMatchObject({
      code: 'SignedOut',
    })
  })

  it('find nothing of another studio, and change nothing there', async () => {
    as(stranger)
    for (const [name, call] of calls()) {
      const answer = await call()
      expect([name, answer.ok]).toEqual([name, false])
      expect([name, 'NotFound', 'Conflict', 'Invalid']).toContain((answer as { code: string }).code)
    }
    const state = await withStudio(owner, (tx) =>
      tx.q(
        `select v.label, sum(c.ul)::bigint as ul, (select name from material where studio_id = $1 and id = $3) as name,
           (select count(*)::int from movement where studio_id = $1) as movements,
           (select title from piece where studio_id = $1) as title
         from vessel v join vessel_content c on c.studio_id = v.studio_id and c.vessel_id = v.id
         where v.studio_id = $1 and v.id = $2 group by v.label`,
        [owner.studioId, things.bottleId, things.paintId],
      ),
    )
    expect(state).toEqual([{ label: 'Loch', ul: 84_000, name: 'Loch Blue', movements: 3, title: 'Small square' }])
    const theirs = await withStudio(stranger, (tx) =>
      tx.q('select 1 from movement where studio_id = $1', [stranger.studioId]),
    )
    expect(theirs).toEqual([])
  })

  it('answer what is wrong with the input in one sentence, and change nothing', async () => {
    as(owner)
    const { mix, bottleId, plan } = things
    const id = () => uuidv7()
    const wrong: [Promise<Answer<unknown>>, string | RegExp][] = [
      [takeOutAction({ requestId: id(), vesselId: bottleId, ul: 0 }), 'Type how much was taken, more than nothing.'],
      [
        takeOutAction({ requestId: id(), vesselId: bottleId, ul: 85_000_000 }),
        /^Loch holds 84\sml and 85000\sml is wanted/,
      ],
      [
        takeOutAction({ requestId: id(), vesselId: 'x', ul: 5 }),
        'That link is not one of Fika’s. Go back and choose again.',
      ],
      [
        bookMixAction({ ...mix, requestId: id(), vesselId: id(), label: ' ' }),
        'Give the bottle a name, so that it is found again.',
      ],
      [bookMixAction({ ...mix, requestId: id(), vesselId: id(), poured: [] }), /Nothing was poured/],
      [
        bookMixAction({ ...mix, requestId: id(), vesselId: id(), capacityUl: 50_000 }),
        /The bottle is smaller than the mix/,
      ],
      [bookMixAction({ ...mix, requestId: id(), vesselId: id(), restHours: -1 }), 'Rest cannot be below zero hours.'],
      [savePlanAction({ ...plan, id: id(), cup: [] }), /The plan uses no bottle yet/],
      [savePlanAction({ ...plan, id: id(), surface: { ...surface, lengthMm: 0 } }), /A surface needs sides above zero/],
      [savePlanAction(plan), 'This plan has been poured already. Make a new plan instead.'],
      [dropPlanAction({ id: plan.id }), /This plan has been poured/],
      [
        saveMaterialAction({ id: id(), revision: 0, material: { ...paint('X'), densityGPerMl: 19.3 } }),
        /heavier than any paint/,
      ],
      [saveMaterialAction({ id: id(), revision: 0, material: paint('loch blue') }), /is here already/],
      [
        saveMaterialAction({ id: things.paintId, revision: 7, material: paint('Loch Blue') }),
        /Somebody else changed this/,
      ],
      [
        saveRulesAction({ name: 'x', units: 'us', waterSchool: 'share', currency: 'EURO' }),
        /A currency has three letters/,
      ],
      [
        previewAction({ file: { kind: 'table', table: { headings: ['a', 'b'], rows: [] } }, mapping: {} }),
        /No column is the name yet/,
      ],
      [
        saveOfferAction({ ...things.offer, id: id(), terms: { kind: 'n-for-m', get: 2, pay: 3 } }),
        /fewer than it gets/,
      ],
      [
        moveSurfacesAction({ requestId: id(), surfaceId: things.canvas.id, count: -6 }),
        /Only 5 of Panel are on the shelf/,
      ],
      [
        finishContainerAction({ requestId: id(), vesselId: things.container.vesselId, residueUl: 70_000 }),
        /less than the residue/,
      ],
      [
        weighContainerAction({ requestId: id(), vesselId: things.container.vesselId, grossMg: 1, tareMg: 2 }),
        /less than the empty container weighs/,
      ],
      [
        notePairAction({ paintId: things.paintId, otherId: things.paintId, verdict: 'never' }),
        'Choose two different paints.',
      ],
      [
        notePieceAction({ id: things.pour.pieceId, revision: 9, title: 'x', fate: 'keep' }),
        /Somebody else noted something/,
      ],
    ]
    for (const [answer, sentence] of wrong) {
      const said = await answer
      expect(said.ok).toBe(false)
      expect((said as { message: string }).message).toMatch(sentence)
    }
    const [row] = await withStudio(owner, (tx) =>
      tx.q('select count(*)::int as movements from movement where studio_id = $1', [owner.studioId]),
    )
    expect(row).toEqual({ movements: 3 })
  })

  it('book a repeated request once', async () => {
    as(owner)
    const { mix, pour } = things
    expect(await bookMixAction(mix)).toEqual({ ok: true, value: { id: mix.vesselId } })
    expect(await pourAction(pour)).toEqual({ ok: true, value: { pieceId: pour.pieceId } })
    const take = { requestId: uuidv7(), vesselId: things.bottleId, ul: 1_000 }
    const both = await Promise.all([takeOutAction(take), takeOutAction(take)])
    expect(both.map((b) => b.ok)).toEqual([true, true])
    const [row] = await withStudio(owner, (tx) =>
      tx.q('select count(*)::int as movements from movement where studio_id = $1', [owner.studioId]),
    )
    expect(row).toEqual({ movements: 4 })
  })
})
