import { words } from '../../../../tests/support/words'
import { BatchDesk, type OpenBatch } from './BatchDesk'
import { stateSchema } from '@/db/formulas/batchSchema'
import type { BatchBottle } from '@/db/mixings/batch'

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }))
jest.mock('../actions', () => ({}))

describe('a batch on its card', () => {
  const paints = [
    { id: 'Teal', name: 'Teal', hex: '#136a78', parts: 3, pull: 5 },
    { id: 'Plum', name: 'Plum', hex: '#4a2a78', parts: 1, pull: 9 },
  ]
  const batch = (state: Record<string, unknown>): OpenBatch => ({
    id: 'b',
    revision: 1,
    title: 'Nine panels',
    formulaId: 'f',
    formulaVersion: 2,
    formulaName: 'Sea',
    done: false,
    state: stateSchema.cast({ paintUl: 400_000, containers: 2, sizeUl: 1_000_000, keptHex: '#136a78', ...state }),
  })
  const supply = {
    mediums: [{ id: 'm', name: 'Flow' }],
    waters: [{ id: 'w', name: 'Well water' }],
    bottles: [{ id: 'b', label: 'Sample' }],
    usual: { mediumId: 'm', waterId: 'w' },
  }
  const say = (state: Record<string, unknown> = {}, booked: BatchBottle[] = []) =>
    words(<BatchDesk batch={batch(state)} paints={paints} supply={{ ...supply, booked }} />)
  it('lists each container’s steps with both units, medium and water', () => {
    expect(say()).toContain('400 ml of paint in 2 containers')
    expect(say()).toMatch(/150.ml 5\.07.fl oz Teal/)
    expect(say()).toMatch(/400.ml 13\.5.fl oz medium, to the mark/)
    expect(say()).toContain('Read every container')
  })
  it('says how often to box containers that differ, and that others are one batch', () => {
    const read = (...hexes: string[]) => ({ readings: hexes.map((hex) => ({ hex, reflectance: null })) })
    expect(say(read('#136a78', '#1f7f86'))).toMatch(/Box them (once|\d times)/)
    expect(say({ ...read('#136a78', '#136a78'), boxed: 2 })).toContain('after boxing 2 times')
  })
  it('says what does not fit instead of drawing it', () => {
    expect(say({ sizeUl: 100_000 })).toContain('Use more containers, or larger ones')
  })
  it('is booked whole: medium, water and sample with it, and what is not ticked yet is said', () => {
    const all = say({ samplePaintUl: 20_000, sampleMediumUl: 40_000 })
    expect(all).toMatch(/1240.ml in 2 bottles: paints, medium, water and the sample/)
    expect(all).toMatch(/\d+ steps are not ticked off yet/)
    expect(all).toMatch(/The sample, 60.ml, came/)
    expect(say({ medium: 0, water: 0 })).not.toMatch(/The sample|Medium of/)
  })
  it('once it is on the rack, its bottles stand there instead', () => {
    const there = say({}, [{ id: 'x', label: 'Nine panels 1', ul: 620_000 }])
    expect(there).toMatch(/On the rack Nine panels 1 , 620.ml/)
    expect(there).not.toContain('Put it on the rack')
  })
})
