import { cupOf, startTask } from '../../../tests/support/tilt'
import { enough } from './enough'
import { heldPath } from './hand'

const round = heldPath([
  { x: -10, y: -10, seconds: 4 },
  { x: 12, y: -10, seconds: 5 },
  { x: 12, y: 12, seconds: 6 },
  { x: -12, y: 12, seconds: 6 },
  { x: -10, y: -10, seconds: 5 },
])

describe('whether it is enough', () => {
  it('covers always with plenty, never with next to nothing', async () => {
    const plenty = await enough(startTask({ cups: [cupOf([[1, 60]])] }), round, () => true)
    expect([plenty.covers, plenty.of]).toEqual([10, 10])
    const scant = await enough(startTask({ coats: [], cups: [cupOf([[1, 3]])] }), round, () => true)
    expect([scant.covers, scant.of]).toEqual([0, 10])
    expect(scant.filmMm[1]).toBeGreaterThan(scant.filmMm[0])
  })
  it('tells what was tried when it is called off', async () => {
    expect((await enough(startTask(), round, (done) => done < 2)).of).toBe(2)
  })
})
