/** @jest-environment node */
import { v7 as uuidv7 } from 'uuid'
import { planInput } from '../../../../tests/support/plans'
import { makeStudio } from '../../../../tests/support/studio'
import { sentRehearsal } from '../../../../tests/support/tilt'
import { endPool } from '@/db/base/pool'
import { wasteRunOff } from '@/db/ledger'
import { pourPlan } from '@/db/pieces/pour'
import { savePlan } from '@/db/plans/write'
import { pouredFacts } from '@/db/learning/pieces'
import { techniqueBook } from '@/db/techniques/read'
import { dropCorrection, keepCorrection } from '@/db/rehearsals/corrections'
import { keepRehearsal } from '@/db/rehearsals/write'
import { weighingOf } from './queries'

afterAll(endPool)

type Studio = Awaited<ReturnType<typeof makeStudio>>
const weighing = (studio: Studio, technique: string) =>
  studio.run(async (tx) => weighingOf(tx, technique, await pouredFacts(tx, await techniqueBook(tx))))
const surface = { shape: 'rectangle', lengthMm: 200, widthMm: 100, edgeMm: 10, count: 1 } as const

/** A panel of 30 ml of a bottle, rehearsed and poured; some of it ran off and was weighed, or was only judged by eye. */
async function piece(studio: Studio, bottle: string, { ranOffUl = 9_000, how = 'weighed', rehearsed = 'before' } = {}) {
  const plan = planInput([bottle], { technique: 'ring', design: { surface, school: { kind: 'own', ul: 30_000 } } })
  const [pieceId, vesselId] = [uuidv7(), uuidv7()]
  const keep = () =>
    studio.run((tx) =>
      keepRehearsal(tx, {
        id: uuidv7(),
        planId: plan.id,
        surfaceId: plan.design.surfaces[0]!.id,
        ...sentRehearsal(bottle),
        width: 8,
        height: 8,
        image: Buffer.from([1]),
      }),
    )
  await studio.run((tx) => savePlan(tx, plan))
  if (rehearsed === 'before') await keep()
  const takes = [{ vesselId: bottle, ul: 30_000 }]
  await studio.run((tx) =>
    pourPlan(tx, { requestId: uuidv7(), planId: plan.id, pieceId, vesselId, takes, findRest: true }),
  )
  await studio.run((tx) => wasteRunOff(tx, { requestId: uuidv7(), from: [{ vesselId, ul: ranOffUl }] }))
  await studio.run((tx) =>
    tx.q('update piece set stayed_how = $3 where studio_id = $1 and id = $2', [tx.studioId, pieceId, how]),
  )
  if (rehearsed === 'after') await keep()
}

describe('what weighed pieces say of rehearsals', () => {
  it('is read of those that were poured as they were rehearsed before, the newest first, and of no others', async () => {
    const studio = await makeStudio()
    const bottle = await studio.bottle('Teal', [{ materialId: await studio.paint('Teal paint'), ul: 400_000 }])
    const of = (technique = 'ring') => weighing(studio, technique)
    expect(await of()).toEqual({ correction: null, weighed: [] })
    for (const ranOffUl of [9_000, 12_000]) await piece(studio, bottle, { ranOffUl })
    await piece(studio, bottle, { how: 'estimated' })
    await piece(studio, bottle, { rehearsed: 'after' })
    expect((await of()).weighed).toEqual([])
    await piece(studio, bottle, { ranOffUl: 15_000, how: 'by run-off' })
    const { weighed } = await of()
    expect(weighed.map((w) => w.share)).toEqual([0.5, 0.6, 0.7])
    expect(weighed[0]!.task.colours.map((c) => c.nu)).toEqual([210])
    expect(weighed[0]!.path).toEqual(sentRehearsal(bottle).path)
    expect((await of('swipe')).weighed).toEqual([])
  })
  it('is kept of a technique, changed, and dropped again; another studio has its own', async () => {
    const [studio, other] = [await makeStudio(), await makeStudio()]
    const of = async (s: Studio) => (await weighing(s, 'ring')).correction
    await studio.run((tx) => keepCorrection(tx, { technique: 'ring', nuFactor: 1.4, lipMm: 1.9, pieces: 3 }))
    await studio.run((tx) => keepCorrection(tx, { technique: 'ring', nuFactor: 1.25, lipMm: 2.1, pieces: 5 }))
    await studio.run((tx) => keepCorrection(tx, { technique: 'swipe', nuFactor: 2, lipMm: 1.5, pieces: 4 }))
    expect(await of(studio)).toMatchObject({ technique: 'ring', nuFactor: 1.25, lipMm: 2.1, pieces: 5 })
    expect(await of(other)).toBeNull()
    await studio.run((tx) => dropCorrection(tx, 'ring'))
    await studio.run((tx) => dropCorrection(tx, 'ring'))
    expect(await of(studio)).toBeNull()
  })
})
