import { v7 as uuidv7 } from 'uuid'
import { planInput } from '../../../tests/support/plans'
import { makeStudio } from '../../../tests/support/studio'
import { sentRehearsal } from '../../../tests/support/tilt'
import { endPool } from '@/db/base/pool'
import { savePlan } from '../plans/write'
import { rehearsalImage, rehearsalsOf } from './read'
import { REHEARSAL, toldSchema } from './schema'
import { keepRehearsal, removeRehearsal, type NewRehearsal } from './write'

afterAll(endPool)

async function planned() {
  const studio = await makeStudio()
  const input = planInput([])
  await studio.run((tx) => savePlan(tx, input))
  const one = (more: Partial<NewRehearsal> = {}): NewRehearsal => ({
    id: uuidv7(),
    planId: input.id,
    surfaceId: input.design.surfaces[0]!.id,
    ...sentRehearsal(uuidv7()),
    width: 8,
    height: 8,
    image: Buffer.from([1, 2, 3]),
    ...more,
  })
  return { studio, input, one }
}

describe('a rehearsal', () => {
  it('is kept with its plan, the newest first, and sent twice is one', async () => {
    const { studio, input, one } = await planned()
    const [first, second] = [one(), one()]
    for (const r of [first, second, first]) await studio.run((tx) => keepRehearsal(tx, r))
    const kept = await studio.run((tx) => rehearsalsOf(tx, input.id))
    expect(kept.map((r) => r.id)).toEqual([second.id, first.id])
    expect(kept[1]).toMatchObject({ surfaceId: first.surfaceId, path: first.path, told: first.told, width: 8 })
    expect(await studio.run((tx) => rehearsalImage(tx, first.id))).toEqual(Buffer.from([1, 2, 3]))
    await studio.run((tx) => removeRehearsal(tx, first.id))
    await studio.run((tx) => removeRehearsal(tx, first.id))
    expect(await studio.run((tx) => rehearsalImage(tx, first.id))).toBeUndefined()
  })
  it('needs a plan of this studio, a surface it has, and a path a hand can do; the plan stays as it is', async () => {
    const { studio, input, one } = await planned()
    const other = await planned()
    await expect(studio.run((tx) => keepRehearsal(tx, one({ planId: other.input.id })))).rejects.toThrow('plan')
    await expect(studio.run((tx) => keepRehearsal(tx, one({ surfaceId: uuidv7() })))).rejects.toThrow(
      'The plan has no such surface any more',
    )
    const back = [
      { t: 3, x: 0, y: 0 },
      { t: 1, x: 0, y: 0 },
    ]
    await expect(studio.run((tx) => keepRehearsal(tx, one({ path: back })))).rejects.toThrow('back in time')
    expect(await studio.run((tx) => rehearsalsOf(tx, input.id))).toEqual([])
  })
  it('is refused with a sentence when the plan keeps as many as it may', async () => {
    const { studio, one } = await planned()
    for (let n = 0; n < REHEARSAL.ofPlan; n++) await studio.run((tx) => keepRehearsal(tx, one()))
    await expect(studio.run((tx) => keepRehearsal(tx, one()))).rejects.toThrow('Take one away first')
  })
  it('is taken in only as it can be: shares up to one, leans within reach', async () => {
    const good = sentRehearsal(uuidv7())
    await expect(toldSchema.validate(good)).resolves.toEqual(good)
    for (const bad of [
      { ...good, path: [] },
      { ...good, path: [{ t: 0, x: 90, y: 0 }] },
      { ...good, told: { ...good.told, covered: 1.2 } },
      { ...good, told: { ...good.told, colours: [{ ...good.told.colours[0], hex: 'red' }] } },
    ])
      await expect(toldSchema.validate(bad)).rejects.toThrow()
  })
})
