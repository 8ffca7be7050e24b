import { v7 as uuidv7 } from 'uuid'
import { expectBalanced } from '../../../tests/support/balance'
import { makeStudio } from '../../../tests/support/studio'
import { findBottle, portionsOf } from '@/db/bottles/read'
import { endPool } from '../base/pool'
import { weighInBottle } from '../mixes'
import { undo } from '@/server/undo'

afterAll(endPool)

describe('weigh-in', () => {
  it('books evaporation to the air, asks about more, and keeps the tare', async () => {
    const studio = await makeStudio()
    const [teal, water] = [await studio.paint('Teal'), await studio.water()]
    const bottle = await studio.bottle('Teal 1', [
      { materialId: teal, ul: 100_000 },
      { materialId: water, ul: 20_000 },
    ])
    // 100 ml at 1.2 and 20 ml at 0.998: 139.96 g net. 5 g of water are gone.
    const weigh = { requestId: uuidv7(), vesselId: bottle, grossMg: 30_000 + 134_960, tareMg: 30_000 }
    const result = await studio.run((tx) => weighInBottle(tx, weigh))
    expect(result.measuredUl).toBe(120_000 - Math.round(5_000 / 0.998))
    expect(await studio.holds(bottle)).toBe(result.measuredUl)
    const low = { ...weigh, requestId: uuidv7(), grossMg: 90_000 }
    await expect(studio.run((tx) => weighInBottle(tx, low))).rejects.toThrow('Say whether the rest dried, was spilled')
    await studio.run((tx) => weighInBottle(tx, { ...low, requestId: uuidv7(), named: 'spilled' }))
    await expectBalanced(studio)
    // All of its water is gone, and what was spilled took its share of that loss along: half of the paint is left.
    const left = await studio.run((tx) => findBottle(tx, bottle))
    expect(left.ul).toBe(50_000)
    expect(left.evaporatedUl).toBe(10_000)
  })
  it('books what dried out of paint and medium by its weight, with the water that brings it back, and undoes it', async () => {
    const studio = await makeStudio()
    const [teal, flow] = [await studio.paint('Teal'), await studio.medium('Flow')]
    const bottle = await studio.bottle('Teal 1', [
      { materialId: teal, ul: 100_000 },
      { materialId: flow, ul: 200_000 },
    ])
    const facts = () => studio.run((tx) => findBottle(tx, bottle))
    const massMg = async () =>
      (await studio.run((tx) => portionsOf(tx, [bottle]))).reduce((s, p) => s + p.ul * p.densityGPerMl, 0)
    const [before, gross] = [await facts(), (await massMg()) + 30_000]
    const weigh = { requestId: uuidv7(), vesselId: bottle, grossMg: Math.round(gross) - 6_000, tareMg: 30_000 }
    await expect(studio.run((tx) => weighInBottle(tx, weigh))).rejects.toThrow(
      'no water was added that could evaporate',
    )
    const { movementId } = await studio.run((tx) => weighInBottle(tx, { ...weigh, named: 'dried' }))
    const after = await facts()
    expect(after.evaporatedUl).toBe(6_000)
    expect(after.w).toBeCloseTo(-6 / 300, 4)
    // Six grams of paint and medium are less than six millilitres of them.
    expect(after.ul).toBeLessThan(before.ul - 5_000)
    expect(after.ul).toBeGreaterThan(before.ul - 6_000)
    expect(Math.abs((await massMg()) + 30_000 - weigh.grossMg)).toBeLessThan(3)
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId }))
    const back = await facts()
    expect(back.ul).toBe(before.ul)
    expect(back.w).toBeCloseTo(0, 4)
    expect(back.evaporatedUl).toBeLessThan(3)
    await expectBalanced(studio)
  })
})
