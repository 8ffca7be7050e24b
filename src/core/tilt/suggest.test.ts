import { cupOf, startTask } from '../../../tests/support/tilt'
import { slopesOf } from './hand'
import { Rehearsal } from './rehearsal'
import { orders, suggest, WANTED_FILM_MM } from './suggest'

const wanted = { keepers: [], filmMm: WANTED_FILM_MM }

describe('what is suggested', () => {
  it('tries every order of four corners', () => {
    expect(new Set(orders().map((o) => o.join())).size).toBe(24)
  })
  it('covers the face when its path is run on finer cells, and is the best three by score', async () => {
    // No base coat, and the cup in a corner: without a hand most of the board stays bare.
    const task = startTask({ coats: [], cups: [cupOf([[1, 45]], { at: [-40, -40] })] })
    const found = await suggest(task, wanted, () => true)
    expect(found).toHaveLength(3)
    expect(found.map((f) => f.score)).toEqual(found.map((f) => f.score).sort((a, b) => a - b))
    const r = new Rehearsal(task, 5)
    r.advance(1.5, slopesOf([]))
    const untouched = r.readings().covered
    const hand = new Rehearsal(task, 5)
    hand.advance(found[0]!.path.at(-1)!.t, slopesOf(found[0]!.path))
    expect(untouched).toBeLessThan(0.7)
    expect(hand.readings().covered).toBeGreaterThan(0.93)
    expect(found[0]!.reasons.join()).toMatch(/covers|leaves/)
  })
  it('stops when it is called off', async () => {
    let tried = 0
    const found = await suggest(startTask(), wanted, (done) => {
      tried = done
      return done < 3
    })
    expect(tried).toBe(3)
    expect(found.length).toBeGreaterThan(0)
  })
})
