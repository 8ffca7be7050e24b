import { cupOf, startTask } from '../../../tests/support/tilt'
import { random } from '../../../tests/support/random'
import { drawn } from '../../../tests/support/thorough'
import { corrected, LIP_RANGE_MM, NU_FACTORS, stays, type WeighedRehearsal } from './corrected'
import { heldPath, slopesOf, type Lean } from './hand'
import { Rehearsal } from './rehearsal'
import { AS_READ, type StartTask } from './start'

/** Pours of one technique as they differ: how much, how thick, how long they are tilted and how far. */
const pour = (n: number): { task: StartTask; path: Lean[] } => ({
  task: startTask({
    shape: { shape: 'rectangle', lengthMm: 140 + 20 * (n % 3), widthMm: 180 },
    colours: startTask().colours.map((c) => ({ ...c, nu: c.nu * (0.7 + 0.25 * (n % 4)) })),
    cups: [
      cupOf([
        [1, 10 + 3 * (n % 3)],
        [2, 6],
      ]),
    ],
  }),
  path: heldPath(
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ].map(([x, y]) => ({ x: x! * (9 + n), y: y! * (10 + n), seconds: 1.5 + 0.25 * (n % 3) })),
  ),
})

/** Finer cells than it is worked out on. */
const FINER_MM = drawn(5, 4)

/** What would be weighed, of pours on fine cells in a world that is otherwise than it was read. */
function weigh(
  pours: readonly ReturnType<typeof pour>[],
  world: { nu?: number; lipMm?: number; lean?: number; scatter?: number },
): WeighedRehearsal[] {
  const next = random(5)
  return pours.map(({ task, path }, n) => {
    const colours = task.colours.map((c) => ({ ...c, nu: c.nu * (world.nu ?? 1) }))
    const correction = { ...AS_READ, lipMm: world.lipMm ?? AS_READ.lipMm }
    const really = new Rehearsal({ ...task, colours, correction }, FINER_MM, { seed: 40 + n, seen: false })
    const lean = world.lean ?? 1
    const hand = path.map((p) => ({ ...p, x: p.x * lean, y: p.y * lean }))
    really.advance(hand.at(-1)!.t + 1, slopesOf(hand))
    return { task, path, share: stays(really.readings()) + (world.scatter ?? 0) * (2 * next() - 1) }
  })
}
const always = () => true
const some = [0, 1, 2, 3, 4].slice(0, drawn(3, 5)).map(pour)
const asRehearsed = weigh(some, {})

describe('a rehearsal corrected by what was weighed', () => {
  it('leaves alone what comes out as it was rehearsed', async () => {
    const c = (await corrected(asRehearsed, always))!
    expect(c.pieces).toHaveLength(some.length)
    for (const p of c.pieces) expect(Math.abs(p.asRead - p.weighed)).toBeLessThan(0.08)
    expect(Math.abs(Math.log(c.nuFactor))).toBeLessThan(Math.log(1.15))
    expect(c.offAsRead).toBeLessThan(0.04)
  })
  it('finds a paint that runs twice as thick, and one half as thick, also by scales that err', async () => {
    for (const nu of [2, 0.5].slice(0, drawn(1, 2))) {
      const c = (await corrected(weigh(some, { nu, scatter: 0.02 }), always))!
      expect(Math.abs(Math.log(c.nuFactor / nu))).toBeLessThan(Math.log(1.35))
      expect(c.offCorrected).toBeLessThan(0.5 * c.offAsRead)
    }
  })
  it('brings pieces nearer it was not shown, where the hand leans further than it was rehearsed', async () => {
    const weighed = weigh([0, 1, 2, 3].map(pour), { lean: 1.5 })
    const c = (await corrected(weighed.slice(0, 3), always))!
    // A steeper hand looks like a thinner paint.
    expect(c.nuFactor).toBeLessThan(0.85)
    const off = (correction: typeof AS_READ) =>
      weighed.slice(3).map(({ task, path, share }) => {
        const r = new Rehearsal({ ...task, correction }, FINER_MM, { seed: 9, seen: false })
        r.advance(path.at(-1)!.t + 1, slopesOf(path))
        return Math.abs(stays(r.readings()) - share)
      })
    const [asRead, now] = [off(AS_READ), off(c)]
    now.forEach((d, i) => expect(d).toBeLessThan(asRead[i]!))
  })
  it('finds an edge that holds more where the board lies level and stands full', async () => {
    const full = [44, 52, 60].map((ml) => ({
      task: startTask({
        coats: [],
        cups: [
          cupOf([
            [1, ml],
            [2, ml],
          ]),
        ],
      }),
      path: [{ t: 12, x: 0, y: 0 }],
    }))
    const c = (await corrected(weigh(full, { lipMm: 2.4 }), always))!
    expect(c.lipMm).toBeGreaterThan(2)
    expect(c.offCorrected).toBeLessThan(0.5 * c.offAsRead)
  })
  it('takes paint for thicker where nothing at all is said to have run off, no further than it tries', async () => {
    const c = (await corrected(
      asRehearsed.slice(0, 3).map((w) => ({ ...w, share: 1 })),
      always,
    ))!
    expect(c.nuFactor).toBeGreaterThan(1.3)
    expect(c.nuFactor).toBeLessThanOrEqual(NU_FACTORS[1])
    expect(c.lipMm).toBeLessThanOrEqual(LIP_RANGE_MM[1])
  })
  it('says nothing of two pieces, and stops when it is called off', async () => {
    const weighed = asRehearsed.slice(0, 3)
    await expect(corrected(weighed.slice(0, 2), always)).rejects.toThrow('It takes 3 pieces')
    expect(await corrected(weighed, (done) => done < 2)).toBeUndefined()
  })
  it('counts what the edges took as staying', () => {
    expect(stays({ leftUl: 60, edgeUl: 10, ranOffUl: 40 })).toBeCloseTo(0.7, 12)
    expect(stays({ leftUl: 0, edgeUl: 0, ranOffUl: 0 })).toBe(0)
  })
})
