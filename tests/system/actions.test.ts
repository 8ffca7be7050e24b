import { v7 as uuidv7 } from 'uuid'
import type { Answer } from '@/core/answer'
import type { Signed } from '@/db/people/sessions'
import { signUp } from '../support/accounts'
import { sentForm, typedPaint } from '../support/typed'
import { endPool } from '@/db/base/pool'
import { withStudio } from '@/db/base/withStudio'
import { bookMixAction } from '@/stations/bench/actions'
import { saveRulesAction } from '@/stations/studio/actions'
import { notePairAction, saveMaterialAction } from '@/stations/paints/actions'
import { previewAction } from '@/stations/paints/exchange/actions'
import {
  buyContainersAction,
  finishContainerAction,
  saveOfferAction,
  weighContainerAction,
} from '@/stations/paints/stock/actions'
import { moveSurfacesAction, saveSurfaceAction } from '@/stations/paints/surfaces/actions'
import { planInput } from '../support/plans'
import { dropPlanAction, savePlanAction } from '@/stations/plan/actions'
import { pourAction } from '@/stations/pour/actions'
import { takeOutAction } from '@/stations/rack/actions'
import { notePieceAction } from '@/stations/wall/actions'

/** The sealed cookie is stood in for by whose token it holds; everything behind it is real. */
const holder: { token?: string } = {}
jest.mock('@/session/cookie', () => ({ tokenHere: async () => holder.token }))
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('react', () => ({ ...jest.requireActual<object>('react'), cache: (work: unknown) => work }))

const as = (who: Signed | undefined) => {
  if (who) holder.token = who.token
  else delete holder.token
}
const newStudio = (name: string) =>
  signUp({ name, email: `${uuidv7()}@example.org`, password: 'a long pass phrase', studioName: name })

const square = { shape: 'rectangle', lengthMm: 100, widthMm: 100, edgeMm: 0, count: 1 } as const

function value<T>(answer: Answer<T>): T {
  if (!answer.ok) throw new Error(answer.message)
  return answer.value
}

/** Ids of one of everything, made through the actions by whoever is signed in. */
async function oneOfEverything() {
  const paintId = uuidv7()
  value(await saveMaterialAction({ id: paintId, revision: 0, material: typedPaint('Loch Blue') }))
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
  const plan = planInput([bottleId])
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
  value(await saveMaterialAction({ id: other, revision: 0, material: typedPaint('Weir Green') }))
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
  return { paintId, bottleId, mix, plan, pour, other, container, offer, canvas }
}

describe('server actions', () => {
  let owner: Signed
  let things: Awaited<ReturnType<typeof oneOfEverything>>
  beforeAll(async () => {
    owner = await newStudio('Upper lock')
    as(owner)
    things = await oneOfEverything()
  })
  afterAll(endPool)

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
      [
        savePlanAction(planInput([bottleId], { design: { surface: { ...square, lengthMm: 0 } } })),
        /A surface needs sides above zero/,
      ],
      [savePlanAction(planInput([bottleId], { technique: 'sneeze' })), /There is no technique “sneeze” here/],
      [savePlanAction(plan), 'This plan has been poured already. Make a new plan instead.'],
      [dropPlanAction({ id: plan.id }), /This plan has been poured/],
      [
        saveMaterialAction({ id: id(), revision: 0, material: { ...typedPaint('X'), densityGPerMl: 19.3 } }),
        /heavier than any paint/,
      ],
      [saveMaterialAction({ id: id(), revision: 0, material: typedPaint('loch blue') }), /is here already/],
      [
        saveMaterialAction({ id: things.paintId, revision: 7, material: typedPaint('Loch Blue') }),
        /Somebody else changed this/,
      ],
      [
        saveRulesAction({ name: 'x', units: 'us', waterSchool: 'own', currency: 'EURO' }),
        /A currency has three letters/,
      ],
      [
        previewAction(sentForm({ file: new File(['a,b\n1,2\n'], 'x.csv'), mapping: '{}' })),
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
