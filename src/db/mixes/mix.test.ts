import { hexToLab, labToLch } from '@/core/colour/lab'
import type { Triple } from '@/core/colour/srgb'
import { v7 as uuidv7 } from 'uuid'
import { expectBalanced } from '../../../tests/support/balance'
import { makeStudio, mixOf } from '../../../tests/support/studio'
import { endPool } from '../base/pool'
import { pour } from '../ledger'
import { mixBottle, topUpBottle } from '.'

afterAll(endPool)

describe('mixing and pouring', () => {
  it('takes from the oldest container first, then the next, and books what has none as untracked', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const flow = await studio.medium('Flow')
    const newer = await studio.container(teal, 60_000, 1000, new Date('2026-03-01'))
    const older = await studio.container(teal, 50_000, 900, new Date('2026-01-01'))
    const bottle = await studio.bottle('Teal 1', [
      { materialId: teal, ul: 70_000 },
      { materialId: flow, ul: 140_000 },
    ])
    expect(await studio.holds(older.vesselId)).toBe(0)
    expect(await studio.holds(newer.vesselId)).toBe(40_000)
    expect(await studio.holds(bottle)).toBe(210_000)
    const content = await studio.content(bottle)
    expect(content.find((c) => c.lot_id === older.lotId)?.ul).toBe(50_000)
    await expectBalanced(studio)
  })

  it('refuses what the containers lack, says so, and changes nothing', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const tube = await studio.container(teal, 40_000)
    const mix = mixOf(uuidv7(), 'Teal 1', [{ materialId: teal, ul: 60_000 }])
    await expect(studio.run((tx) => mixBottle(tx, mix))).rejects.toThrow(
      'The open containers of Teal hold 40\u00a0ml and 60\u00a0ml is wanted. Book a new container, or let the rest come from untracked supply.',
    )
    expect(await studio.holds(tube.vesselId)).toBe(40_000)
    expect(
      await studio.run((tx) =>
        tx.q('select 1 from vessel where studio_id = $1 and id = $2', [tx.studioId, mix.vesselId]),
      ),
    ).toEqual([])
    await studio.run((tx) => mixBottle(tx, { ...mix, untrackedForRest: true }))
    expect(await studio.holds(mix.vesselId)).toBe(60_000)
    await expectBalanced(studio)
  })

  it('books a repeated request once, and refuses the same id for something else', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const mix = mixOf(uuidv7(), 'Teal 1', [{ materialId: teal, ul: 60_000 }])
    const first = await studio.run((tx) => mixBottle(tx, mix))
    const second = await studio.run((tx) => mixBottle(tx, mix))
    expect([first.replayed, second.replayed]).toEqual([false, true])
    expect(second.movementId).toBe(first.movementId)
    expect(await studio.holds(mix.vesselId)).toBe(60_000)
    const other = { ...mix, poured: [{ materialId: teal, ul: 1_000 }] }
    await expect(studio.run((tx) => mixBottle(tx, other))).rejects.toMatchObject({ code: 'Conflict' })
  })

  it('pours all or nothing and names the bottle that holds too little', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const [a, b] = [
      await studio.bottle('Teal 1', [{ materialId: teal, ul: 60_000 }]),
      await studio.bottle('White 2', [{ materialId: teal, ul: 10_000 }]),
    ]
    const takes = [
      { vesselId: a, ul: 20_000 },
      { vesselId: b, ul: 20_000 },
    ]
    const onto = uuidv7()
    const input = (list = takes) => ({ requestId: uuidv7(), onto: [{ vesselId: onto, title: 'Ferry 1', takes: list }] })
    await expect(studio.run((tx) => pour(tx, input()))).rejects.toThrow(
      /^White 2 holds 10\u00a0ml and 20\u00a0ml is wanted\. Mix/,
    )
    expect(await studio.holds(a)).toBe(60_000)
    // The same bottle twice (cup and reserve) gives the sum.
    const twice = input([takes[0]!, { vesselId: a, ul: 5_000 }])
    await studio.run((tx) => pour(tx, twice))
    expect(await studio.holds(a)).toBe(35_000)
    expect(await studio.holds(onto)).toBe(25_000)
    await expectBalanced(studio)
  })

  it('tops up within the bottle’s capacity only', async () => {
    const studio = await makeStudio()
    const teal = await studio.paint('Teal')
    const bottle = await studio.bottle('Teal 1', [{ materialId: teal, ul: 60_000 }], 100_000)
    const top = (ul: number) => ({
      requestId: uuidv7(),
      vesselId: bottle,
      poured: [{ materialId: teal, ul }],
      restHours: 2,
      untrackedForRest: true,
    })
    await studio.run((tx) => topUpBottle(tx, top(40_000)))
    await expect(studio.run((tx) => topUpBottle(tx, top(1_000)))).rejects.toMatchObject({ code: 'OverCapacity' })
    expect(await studio.holds(bottle)).toBe(100_000)
  })

  it('mixes the bottle’s colour from what is in it', async () => {
    const studio = await makeStudio()
    const [blue, white] = [
      await studio.paint('Blue', { hex: '#1d4e9e' }),
      await studio.paint('White', { hex: '#f6f4ee' }),
    ]
    const bottle = await studio.bottle('Sky', [
      { materialId: blue, ul: 10_000 },
      { materialId: white, ul: 90_000 },
    ])
    const [row] = await studio.run((tx) =>
      tx.q<{ colour_hex: string }>('select colour_hex from bottle where studio_id = $1 and vessel_id = $2', [
        tx.studioId,
        bottle,
      ]),
    )
    const [from, to, mixed] = ['#1d4e9e', '#f6f4ee', row!.colour_hex].map((hex) => labToLch(hexToLab(hex))) as [
      Triple,
      Triple,
      Triple,
    ]
    // One part in ten of a blue: far lighter than it, short of the white, less coloured than it, and a blue still.
    expect(mixed[0]).toBeGreaterThan(from[0] + 15)
    expect(mixed[0]).toBeLessThan(to[0])
    expect(mixed[1]).toBeGreaterThan(8)
    expect(mixed[1]).toBeLessThan(from[1])
    expect(Math.abs(mixed[2] - from[2])).toBeLessThan(40)
  })
})
