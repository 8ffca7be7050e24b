import { teal, violet, white, yellow } from '../../../../tests/support/deskPaints'
import { hexToLab } from '@/core/colour/lab'
import { hexToSrgb } from '@/core/colour/srgb'
import { besidesUl, cupOf, takenAlong } from './cup'
import { labOfTarget, spectrumOfTarget, targetOf } from '../target/target'

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }))

const byId = new Map([violet, yellow, white, teal].map((p) => [p.id, p]))

describe('targets and cups', () => {
  it('a target is its colour, or its spectrum where it was read', () => {
    const target = targetOf({ id: 'p', kind: 'paint', label: 'Teal', hex: '#136a78', sheen: 'gloss' })
    expect(target).toEqual({ label: 'Teal', hex: '#136a78', reflectance: null, sheen: 'gloss' })
    expect(labOfTarget(target)).toEqual(hexToLab('#136a78'))
    expect(spectrumOfTarget(target)).toHaveLength(36)
    const grey = { ...target, reflectance: new Array<number>(36).fill(0.18) }
    expect(spectrumOfTarget(grey)[0]).toBe(0.18)
    expect(Math.abs(labOfTarget(grey)[1])).toBeLessThan(0.1)
    expect(hexToSrgb(target.hex)[0]).toBeCloseTo(19 / 255, 9)
  })
  it('a bottle becomes a cup: its paints by lot summed, what carries them beside, and the room above', () => {
    const bottle = { id: 'b', capacityUl: 240_000, ul: 100_000 } as Parameters<typeof cupOf>[0]
    const portion = (materialId: string, kind: string, ul: number) =>
      ({ materialId, material: materialId, kind, ul }) as Parameters<typeof cupOf>[1][number]
    const portions = [
      portion('Teal', 'paint', 20_000),
      portion('Teal', 'paint', 5_500),
      portion('flow', 'medium', 60_000),
      portion('gone', 'paint', 14_500),
    ]
    expect(cupOf(bottle, portions, byId)).toEqual({
      bottleId: 'b',
      rows: [{ id: 'Teal', amount: '25.5' }],
      besides: [
        { name: 'flow', ul: 60_000 },
        { name: 'gone', ul: 14_500 },
      ],
      roomUl: 140_000,
    })
    expect(cupOf(undefined, [], byId)).toEqual({ bottleId: null, rows: [], besides: [], roomUl: null })
  })
  it('what is added to it takes its carriers along, so that it pours as before', () => {
    const besides = [
      { name: 'Flow', ul: 60_000 },
      { name: 'Water', ul: 15_000 },
    ]
    expect(takenAlong(besides, 25_000, 5_000)).toEqual([
      { name: 'Flow', ul: 12_000 },
      { name: 'Water', ul: 3_000 },
    ])
    expect(besidesUl(besides)).toBe(75_000)
    expect(takenAlong([{ name: 'Drop', ul: 1 }], 25_000, 5_000)).toEqual([])
    expect(takenAlong([], 25_000, 5_000)).toEqual([])
  })
})
