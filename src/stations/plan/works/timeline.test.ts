import type { Scheduled } from '@/core/schedule/backwards'
import { barsOf, spanOf, whyLate } from './timeline'

const DAY = 86_400_000
const NOW = Date.UTC(2026, 10, 30)
const step = (key: string, from: number, to: number) => ({
  key,
  start: NOW + from * DAY,
  end: NOW + to * DAY,
  latest: null,
})
const plan = (...steps: Scheduled['steps']): Scheduled => ({
  id: 'p',
  steps,
  end: Math.max(...steps.map((s) => s.end)),
  lateMs: 0,
  spots: [{ place: 'a', count: 1 }],
  homeless: false,
})

describe('the line of time', () => {
  it('shows a fortnight at least, all that is due, and a season at most', () => {
    expect(spanOf([], [], NOW).to).toBe(NOW + 15 * DAY)
    expect(spanOf([plan(step('dry', 0, 30))], [], NOW).to).toBe(NOW + 31 * DAY)
    expect(spanOf([], [NOW + 400 * DAY], NOW).to).toBe(NOW + 121 * DAY)
    expect(spanOf([], [], NOW).weeks).toEqual([NOW + 7 * DAY, NOW + 14 * DAY])
  })
  it('joins steps of one kind, in the order of time, and cuts what lies beyond', () => {
    const span = { from: NOW, to: NOW + 10 * DAY, weeks: [] }
    const bars = barsOf(
      plan(step('dry', 3, 6), step('mix', 1, 2), step('prepare', 2, 2.5), step('pour', 2.5, 3), step('varnish', 9, 12)),
      span,
    )
    expect(bars.map((b) => [b.kind, b.from, b.to])).toEqual([
      ['before', 0.1, 0.25],
      ['pour', 0.25, 0.3],
      ['dry', 0.3, 0.6],
      ['finish', 0.9, 1],
    ])
    expect(barsOf(plan(step('dry', 11, 12)), span)).toEqual([])
  })
  it('says why something is late', () => {
    expect(whyLate(plan(step('pour', 0, 0.1), step('dry', 0.1, 6)), NOW)).toBe('dry alone takes 6 days')
    expect(whyLate(plan(step('pour', 8, 8.1), step('dry', 8.1, 9)), NOW)).toBe('no level place is free before')
    expect(whyLate(plan(step('pour', 0, 0.1), step('dry', 0.1, 1), step('varnish', 4, 4.1)), NOW)).toBe(
      'varnish waits 3 days for the film',
    )
    expect(whyLate(plan(step('pour', 0, 0.1), step('dry', 0.1, 1)), NOW)).toBe('it begins too late')
  })
})
