import { v7 as uuidv7 } from 'uuid'
import { makeStudio, mixOf } from '../../../tests/support/studio'
import { planInput } from '../../../tests/support/plans'
import { undo } from '@/server/undo'
import { endPool } from '../base/pool'
import { pour } from '../ledger'
import { mixBottle, reclaimRunOff, splitBottle, topUpBottle } from '../mixes'
import { savePlan } from '../plans/write'
import { editBottle, pourTogether } from './edit'
import { findBottle } from './read'
import { rackBottles } from './rack'

afterAll(endPool)

async function room() {
  const studio = await makeStudio()
  const [teal, oil] = [await studio.paint('Teal'), uuidv7()]
  await studio.run((tx) =>
    tx.q(
      `insert into material (studio_id, id, kind, name, density_g_per_ml, solids) values ($1, $2, 'additive', 'Silicone oil', 0.97, 1)`,
      [tx.studioId, oil],
    ),
  )
  const plain = await studio.bottle('Plain', [{ materialId: teal, ul: 90_000 }])
  const oily = await studio.bottle('Oily', [
    { materialId: teal, ul: 90_000 },
    { materialId: oil, ul: 50 },
  ])
  const has = async (id: string) => (await studio.run((tx) => findBottle(tx, id))).hasAdditive
  const role = (id: string, role: string) =>
    studio.run((tx) =>
      editBottle(tx, { vesselId: id, label: 'Named', role: role as 'pour', palette: '', technique: null, notes: '' }),
    )
  return { studio, teal, oil, plain, oily, has, role }
}

describe('an additive stays with what it was dropped into', () => {
  it('is known of the bottle, on the rack and in whatever it is poured into', async () => {
    const { studio, plain, oily, has } = await room()
    expect([await has(plain), await has(oily)]).toEqual([false, true])
    const rack = await studio.run((tx) => rackBottles(tx, false))
    expect(rack.filter((b) => b.hasAdditive).map((b) => b.label)).toEqual(['Oily'])
    const part = uuidv7()
    const into = [{ vesselId: part, label: 'Part', ul: 20_000, capacityUl: null, tareMg: null }]
    await studio.run((tx) => splitBottle(tx, { requestId: uuidv7(), vesselId: oily, into }))
    expect(await has(part)).toBe(true)
    const { movementId } = await studio.run((tx) =>
      pourTogether(tx, { requestId: uuidv7(), intoId: plain, fromIds: [part], restHours: 2 }),
    )
    expect(await has(plain)).toBe(true)
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId }))
    expect(await has(plain)).toBe(false)
  })
  // Common practice, no published source: silicone is kept off the bare surface and off base coats.
  it('such a bottle cannot become what lies under a pour, nor a base for other mixes', async () => {
    const { studio, teal, oil, plain, oily, has, role } = await room()
    for (const banned of ['base coat', 'slip coat', 'cushion', 'mixing base']) {
      await expect(role(oily, banned)).rejects.toThrow(new RegExp(`cannot be a ${banned}. Give it another role`))
      await role(plain, banned)
    }
    for (const fine of ['pour', 'swipe', 'top', 'pearl base', 'lead-in', 'reserve']) await role(oily, fine)
    const poured = [
      { materialId: teal, ul: 9_000 },
      { materialId: oil, ul: 50 },
    ]
    const mix = { ...mixOf(uuidv7(), 'Base', poured), untrackedForRest: true, role: 'base coat' }
    await expect(studio.run((tx) => mixBottle(tx, mix))).rejects.toThrow('make craters')
    // Plain stands as a mixing base by now.
    const drop = { requestId: uuidv7(), vesselId: plain, poured: [{ materialId: oil, ul: 50 }], restHours: 2 }
    await expect(studio.run((tx) => topUpBottle(tx, { ...drop, untrackedForRest: true }))).rejects.toThrow(
      'A base carries silicone',
    )
    await expect(
      studio.run((tx) => pourTogether(tx, { requestId: uuidv7(), intoId: plain, fromIds: [oily], restHours: 2 })),
    ).rejects.toMatchObject({ code: 'Invalid' })
    expect(await has(plain)).toBe(false)
    expect(await studio.holds(plain)).toBe(90_000)
  })
  it('a plan may pour it, and may not lay it underneath', async () => {
    const { studio, plain, oily } = await room()
    const plan = (under: string) =>
      planInput([oily], { design: { coats: [{ role: 'base coat', of: { kind: 'bottle', id: under }, ul: 9_000 }] } })
    await studio.run((tx) => savePlan(tx, plan(plain)))
    await expect(studio.run((tx) => savePlan(tx, plan(oily)))).rejects.toThrow('so Oily cannot be a base coat')
  })
  it('run-off that holds it is kept, but never as a base coat', async () => {
    const { studio, plain, oily, has } = await room()
    const keep = async (bottle: string, jarId: string, isNew: boolean) => {
      const pourId = uuidv7()
      const takes = [{ vesselId: bottle, ul: 30_000 }]
      await studio.run((tx) => pour(tx, { requestId: uuidv7(), onto: [{ vesselId: pourId, title: 'Ferry', takes }] }))
      const newJar = isNew ? { label: 'Jar', capacityUl: null, tareMg: null } : null
      await studio.run((tx) => reclaimRunOff(tx, { requestId: uuidv7(), pourId, jarId, newJar, netMg: 9_000 }))
      return (await studio.run((tx) => findBottle(tx, jarId))).role
    }
    const [clean, dirty] = [uuidv7(), uuidv7()]
    expect(await keep(plain, clean, true)).toBe('base coat')
    expect(await keep(oily, dirty, true)).toBe('pour')
    expect(await has(dirty)).toBe(true)
    await expect(keep(oily, clean, false)).rejects.toThrow('make craters')
    expect(await has(clean)).toBe(false)
  })
})
