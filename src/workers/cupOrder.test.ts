import type { CupOrderWorker } from './cupOrder'

const kept: { worker?: CupOrderWorker } = {}
jest.mock('comlink', () => ({
  expose: (worker: CupOrderWorker) => {
    kept.worker = worker
  },
}))
beforeAll(() => import('./cupOrder'))

const task = {
  costs: [
    [10, 1],
    [0, 10],
  ],
  layers: [1, 1],
  first: null,
  last: null,
  buffers: [],
  mostBuffers: 0,
}

describe('the cup order worker', () => {
  it('answers the cheapest order', () =>
    expect(kept.worker!.order(task)).toMatchObject({ ok: true, value: { order: [1, 0], cost: 0, exact: true } }))
  it('says in a sentence what it refuses', () =>
    expect(kept.worker!.order({ ...task, layers: [0, 0] })).toEqual({
      ok: false,
      message: 'Put at least one layer into the cup first.',
    }))
})
