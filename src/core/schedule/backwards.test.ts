import fc from 'fast-check'
import { scheduleAll, type Job, type Place, type Scheduled, type Step } from './backwards'

const H = 3_600_000
const DAY = 24 * H
/** A Monday at noon; days since then count weekdays from it. */
const NOW = Date.UTC(2026, 10, 30, 12)
const weekday = (at: number) => Math.floor((at - Date.UTC(2026, 10, 30)) / DAY) % 7
const step = (key: string, hours: number, after: string[] = [], more: Partial<Step> = {}): Step => ({
  key,
  hours,
  after,
  byHand: true,
  ...more,
})
const steps = [
  step('mix', 1),
  step('rest', 12, ['mix'], { byHand: false }),
  step('pour', 2, ['rest']),
  step('dry', 70, ['pour'], { byHand: false }),
  step('varnish', 1, ['dry'], { waitHours: 72 }),
]
const job = (id: string, more: Partial<Job> = {}): Job => ({
  id,
  due: null,
  steps,
  onPlace: ['pour', 'dry'],
  pieces: [{ sizeMm: [400, 500], count: 1 }],
  ...more,
})
const places: Place[] = [{ id: 'bench', sizeMm: [600, 500], spots: 2 }]
const of = (s: Scheduled, key: string) => s.steps.find((x) => x.key === key)!

describe('dates backwards', () => {
  it('hand-worked: the longest path back from the due date, each step as late as can be', () => {
    const due = NOW + 20 * DAY
    const [s] = scheduleAll([job('a', { due })], places, NOW)
    expect(of(s!, 'varnish')).toEqual({ key: 'varnish', start: due - H, end: due, latest: due - H })
    expect(of(s!, 'dry').end).toBe(due - H - 72 * H)
    expect(of(s!, 'pour').start).toBe(due - (1 + 72 + 70 + 2) * H)
    expect(of(s!, 'mix').start).toBe(due - (1 + 72 + 70 + 2 + 12 + 1) * H)
    expect(s).toMatchObject({ lateMs: 0, homeless: false, spots: [{ place: 'bench', count: 1 }] })
  })
  it('too late: begins now, and says by how much', () => {
    // 158 h of work and waiting for a due date in 100 h.
    const [s] = scheduleAll([job('a', { due: NOW + 100 * H })], places, NOW)
    expect(of(s!, 'mix').start).toBe(NOW)
    expect(s!.lateMs).toBe(58 * H)
  })
  it('nobody works on a closed day; drying does not mind', () => {
    const isOpen = (at: number) => weekday(at) < 5
    const [s] = scheduleAll([job('a', { due: NOW + 19 * DAY })], places, NOW, isOpen)
    for (const t of s!.steps) if (steps.find((x) => x.key === t.key)!.byHand) expect(weekday(t.start)).toBeLessThan(5)
  })
  it('a third piece of that size waits until a spot is free, and one too large has none at all', () => {
    const due = NOW + 20 * DAY
    const all = scheduleAll(
      ['a', 'b', 'c'].map((id) => job(id, { due })),
      places,
      NOW,
    )
    const [a, b, c] = all.map((s) => of(s, 'pour').start)
    expect(a).toBe(b)
    expect(c! + 72 * H).toBeLessThanOrEqual(a!)
    expect(scheduleAll([job('d', { due, pieces: [{ sizeMm: [900, 600], count: 1 }] })], places, NOW)[0]).toMatchObject({
      homeless: true,
      lateMs: 0,
    })
    expect(scheduleAll([job('e', { due, pieces: [{ sizeMm: [400, 500], count: 3 }] })], places, NOW)[0]!.homeless).toBe(
      true,
    )
  })
  it('pieces of two sizes: the large ones on the table, the small one on the rack', () => {
    const two: Place[] = [
      { id: 'rack', sizeMm: [300, 400], spots: 6 },
      { id: 'table', sizeMm: [600, 800], spots: 2 },
    ]
    const pieces = [
      { sizeMm: [300, 400] as const, count: 1 },
      { sizeMm: [400, 500] as const, count: 2 },
    ]
    expect(scheduleAll([job('a', { pieces })], two, NOW)[0]).toMatchObject({
      homeless: false,
      spots: [
        { place: 'table', count: 2 },
        { place: 'rack', count: 1 },
      ],
    })
  })
  it('a piece fits a place either way round', () =>
    expect(scheduleAll([job('a', { pieces: [{ sizeMm: [500, 600], count: 1 }] })], places, NOW)[0]!.homeless).toBe(
      false,
    ))
  it('a day that is fixed stands: what comes before it as late as can be, what comes after as early', () => {
    const start = NOW + 5 * DAY
    const fixed = { step: 'pour', start }
    const [s] = scheduleAll([job('a', { fixed, due: NOW + 30 * DAY })], places, NOW)
    expect(of(s!, 'pour')).toMatchObject({ start, end: start + 2 * H })
    expect(of(s!, 'rest').end).toBe(start)
    expect(of(s!, 'mix').start).toBe(start - 13 * H)
    expect(of(s!, 'dry').start).toBe(start + 2 * H)
    expect(of(s!, 'varnish').start).toBe(start + (2 + 70 + 72) * H)
    expect(s!.lateMs).toBe(0)
    // Too late for its date it says so, and a place that is taken then is not given twice.
    expect(scheduleAll([job('a', { fixed, due: NOW + 6 * DAY })], places, NOW)[0]!.lateMs).toBe(
      (2 + 70 + 72 + 1 - 24) * H,
    )
    const three = scheduleAll(
      ['a', 'b', 'c'].map((id) => job(id, { fixed })),
      places,
      NOW,
    )
    expect(three.map((x) => x.homeless)).toEqual([false, false, true])
  })
  it('a fixed step that is done already fixes nothing', () => {
    const after = steps
      .filter((x) => x.key === 'dry' || x.key === 'varnish')
      .map((x) => ({ ...x, after: x.key === 'dry' ? [] : ['dry'] }))
    const [s] = scheduleAll(
      [job('a', { steps: after, onPlace: ['dry'], fixed: { step: 'pour', start: NOW - 9 * DAY } })],
      places,
      NOW,
    )
    expect(of(s!, 'dry').start).toBe(NOW)
  })
  it('refuses steps that wait for each other', () =>
    expect(() =>
      scheduleAll([job('a', { steps: [step('x', 1, ['y']), step('y', 1, ['x'])], onPlace: [] })], [], NOW),
    ).toThrow('x, y wait for each other'))
  it('whatever the jobs and places: no step before its cause, never more pieces than spots, late by what it says', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            due: fc.option(fc.integer({ min: -5, max: 40 })),
            pieces: fc.integer({ min: 1, max: 4 }),
            big: fc.boolean(),
            dry: fc.integer({ min: 1, max: 200 }),
          }),
          { maxLength: 12 },
        ),
        fc.array(fc.record({ big: fc.boolean(), spots: fc.integer({ min: 1, max: 5 }) }), {
          minLength: 1,
          maxLength: 3,
        }),
        (wanted, there) => {
          const jobs = wanted.map((w, i) =>
            job(`j${i}`, {
              due: w.due === null ? null : NOW + w.due * DAY,
              pieces: [
                { sizeMm: w.big ? [600, 900] : [200, 200], count: w.pieces },
                { sizeMm: [100, 150], count: 1 },
              ],
              steps: steps.map((s) => (s.key === 'dry' ? { ...s, hours: w.dry } : s)),
            }),
          )
          const at = there.map((p, i): Place => ({
            id: `p${i}`,
            sizeMm: p.big ? [900, 600] : [300, 300],
            spots: p.spots,
          }))
          const found = scheduleAll(jobs, at, NOW, (t) => weekday(t) !== 6)
          found.forEach((s, i) => {
            const own = jobs[i]!
            for (const t of s.steps) {
              expect(t.start).toBeGreaterThanOrEqual(NOW)
              const { after, waitHours = 0, byHand } = own.steps.find((x) => x.key === t.key)!
              for (const cause of after) expect(of(s, cause).end + waitHours * H).toBeLessThanOrEqual(t.start)
              if (byHand) expect(weekday(t.start)).not.toBe(6)
            }
            expect(s.lateMs).toBe(own.due === null ? 0 : Math.max(0, s.end - own.due))
            const placed = s.spots.reduce((n, x) => n + x.count, 0)
            expect(placed).toBe(s.homeless ? 0 : own.pieces.reduce((n, x) => n + x.count, 0))
          })
          for (const p of at)
            for (const s of found) {
              const then = of(s, 'pour').start
              const here = found
                .filter((o) => of(o, 'pour').start <= then && of(o, 'dry').end > then)
                .reduce((n, o) => n + (o.spots.find((x) => x.place === p.id)?.count ?? 0), 0)
              expect(here).toBeLessThanOrEqual(p.spots)
            }
        },
      ),
      { numRuns: 150 },
    ))
})
