import { landsAs, leavingOrder, RESTING_MM, widthOf, type CupOnSurface, type Mark } from './lands'
import { covers } from './rim'
import { CUP_KINDS } from '../technique/technique'

const layers = [1, 2, 3].map((colour) => ({ colour, ul: 40_000 }))
const cup = (more: Partial<CupOnSurface> = {}): CupOnSurface => ({
  kind: 'poured out',
  at: [0, 0],
  turnDeg: 0,
  path: [],
  layers,
  downOneSide: false,
  ...more,
})
const colours = (marks: readonly Mark[]) => marks.map((m) => m.colour)
const area = (m: Mark) => (m.kind === 'disc' ? Math.PI * m.radiusMm ** 2 : 0)
const topAt = (marks: readonly Mark[], x: number, y: number) => marks.findLast((m) => covers(m, [x, y]))?.colour

describe('what becomes of a cup (order of leaving: common practice)', () => {
  it('poured out: the top leaves first and ends outermost, the bottom in the middle', () => {
    const marks = landsAs(cup())
    expect(colours(marks)).toEqual([3, 2, 1])
    expect(topAt(marks, 0, 0)).toBe(1)
    const outermost = marks[0] as Extract<Mark, { kind: 'disc' }>
    expect(topAt(marks, outermost.radiusMm - 0.1, 0)).toBe(3)
    // r = √(ΣV / π h) at 4 mm: √(120 000 / 4π) = 97.72 mm.
    expect(outermost.radiusMm).toBeCloseTo(97.72, 2)
  })
  it('each ring takes its own volume at the resting depth', () => {
    const marks = landsAs(cup())
    for (let i = 0; i < marks.length; i++) {
      const ring = area(marks[i]!) - (i + 1 < marks.length ? area(marks[i + 1]!) : 0)
      expect(ring * RESTING_MM).toBeCloseTo(40_000, 6)
    }
  })
  it('a lifted ring is pushed out from below: what stood at the bottom lies outermost', () =>
    expect(colours(landsAs(cup({ kind: 'open ring' })))).toEqual([1, 2, 3]))
  it('every kind leaves all that is in it', () => {
    for (const kind of CUP_KINDS) expect(leavingOrder(kind, layers).reduce((s, l) => s + l.ul, 0)).toBe(120_000)
  })
  it('laid down one side and flipped: each colour faces its own way, and a turned cup turns them', () => {
    const marks = landsAs(cup({ kind: 'flipped', downOneSide: true }))
    expect(topAt(marks, 30, 10)).toBe(3)
    const turned = landsAs(cup({ kind: 'flipped', downOneSide: true, turnDeg: 120 }))
    expect(topAt(turned, 30, 10)).toBe(1)
    expect(topAt(turned, -20, 25)).toBe(3)
  })
  it('along a path: a trail as wide as its volume asks, the last to leave a line in the middle', () => {
    const path = [
      [-100, 0],
      [100, 0],
    ] as const
    const marks = landsAs(cup({ kind: 'poured line', path }))
    const [wide] = marks as Extract<Mark, { kind: 'trail' }>[]
    const w = wide!.widthMm
    expect((w * 200 + (Math.PI * w * w) / 4) * RESTING_MM).toBeCloseTo(120_000, 6)
    expect(topAt(marks, 0, 0)).toBe(1)
    expect(widthOf(1000, 0, 4)).toBeCloseTo(2 * Math.sqrt(250 / Math.PI), 9)
  })
  it('puddles lie beside each other', () => {
    const marks = landsAs(cup({ kind: 'puddles' })) as Extract<Mark, { kind: 'disc' }>[]
    for (const a of marks)
      for (const b of marks)
        if (a !== b)
          expect(Math.hypot(a.at[0] - b.at[0], a.at[1] - b.at[1])).toBeGreaterThanOrEqual(
            a.radiusMm + b.radiusMm - 1e-6,
          )
  })
  it('an empty cup leaves nothing', () => expect(landsAs(cup({ layers: [] }))).toEqual([]))
})
