import { v7 as uuidv7 } from 'uuid'
import { START_DROPS } from '@/core/quantity/dropSizes'
import { makeStudio } from '../../../tests/support/studio'
import { endPool } from '../base/pool'
import { countDropsSchema } from './dropperSchema'
import { countDrops, dropDropper, listDroppers, takeDropper } from './droppers'
import { studioFacts } from './studio'

afterAll(endPool)

describe('the droppers of a studio', () => {
  const counted = (more: Record<string, unknown> = {}) =>
    countDropsSchema.cast({
      id: uuidv7(),
      name: 'Glass pipette',
      drip: 'water',
      count: 50,
      massMg: 2_000,
      densityGPerMl: 1,
      ...more,
    })
  const open = async () => {
    const studio = await makeStudio()
    return { ...studio, drops: async () => (await studio.run(studioFacts)).drops }
  }
  it('begin with the start values; what is counted is in use for its liquid alone', async () => {
    const { run, drops } = await open()
    expect(await drops()).toEqual(START_DROPS)
    await run((tx) => countDrops(tx, counted()))
    await run((tx) => countDrops(tx, counted({ name: 'Needle tip', drip: 'oil', massMg: 485, densityGPerMl: 0.97 })))
    expect(await drops()).toEqual({ ...START_DROPS, water: 40, oil: 10 })
  })
  it('one is in use for a liquid: the newest, or whichever is taken, or none', async () => {
    const { run, drops } = await open()
    const [first, second] = [counted(), counted({ name: 'Bottle tip', massMg: 3_000 })]
    await run((tx) => countDrops(tx, first))
    await run((tx) => countDrops(tx, second))
    expect((await drops()).water).toBe(60)
    await run((tx) => takeDropper(tx, { drip: 'water', id: first.id }))
    expect((await run(listDroppers)).map((d) => [d.name, d.dropUl, d.inUse])).toEqual([
      ['Glass pipette', 40, true],
      ['Bottle tip', 60, false],
    ])
    await run((tx) => takeDropper(tx, { drip: 'water', id: null }))
    expect((await drops()).water).toBe(START_DROPS.water)
    await run((tx) => dropDropper(tx, { id: first.id }))
    expect(await run(listDroppers)).toHaveLength(1)
  })
  it('counted twice under one id it is one dropper, with the newer count', async () => {
    const { run } = await open()
    const c = counted()
    await run((tx) => countDrops(tx, c))
    await run((tx) => countDrops(tx, { ...c, massMg: 2_500 }))
    expect((await run(listDroppers)).map((d) => d.dropUl)).toEqual([50])
  })
  it('refuses what no dropper lets fall, and one of another liquid or another studio', async () => {
    const { run, drops } = await open()
    await expect(run((tx) => countDrops(tx, counted({ count: 5 })))).rejects.toThrow('Count at least 20 drops')
    await expect(run((tx) => countDrops(tx, counted({ massMg: 900_000 })))).rejects.toThrow('Check the weight')
    expect(await run(listDroppers)).toEqual([])
    const c = counted()
    await run((tx) => countDrops(tx, c))
    await expect(run((tx) => takeDropper(tx, { drip: 'oil', id: c.id }))).rejects.toMatchObject({ code: 'NotFound' })
    const other = await open()
    await expect(other.run((tx) => takeDropper(tx, { drip: 'water', id: c.id }))).rejects.toMatchObject({
      code: 'NotFound',
    })
    await expect(other.run((tx) => dropDropper(tx, { id: c.id }))).rejects.toMatchObject({ code: 'NotFound' })
    expect(await drops()).toEqual({ ...START_DROPS, water: 40 })
  })
})
