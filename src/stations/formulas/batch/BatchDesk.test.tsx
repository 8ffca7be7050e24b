import { words } from '../../../../tests/support/words'
import { BatchDesk, type OpenBatch } from './BatchDesk'
import { stateSchema } from '@/db/formulas/batchSchema'

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }))

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
  const say = (state: Record<string, unknown> = {}) => words(<BatchDesk batch={batch(state)} paints={paints} />)
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
})
