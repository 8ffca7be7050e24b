import ICAL from 'ical.js'
import { planCalendar } from './calendar'

const at = Date.UTC(2026, 11, 5, 9)
const HOUR = 3_600_000
const step = (key: string, from: number, hours: number, latest: number | null = null) => ({
  key,
  start: at + from * HOUR,
  end: at + (from + hours) * HOUR,
  latest,
})
const read = (...steps: ReturnType<typeof step>[]) => {
  const text = planCalendar(
    [{ id: 'p1', steps, end: at, lateMs: 0, spots: [], homeless: false }],
    () => 'Ferry; nine, panels',
    'Lock House',
    'http://127.0.0.1:1',
  )
  return new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((e) => new ICAL.Event(e))
}

describe('plans as a calendar, read back with another library', () => {
  it('one entry a step, with its times, a link, and an identity that stays', () => {
    const [pour] = read(step('pour', 0, 2, at + HOUR))
    expect(pour).toMatchObject({ uid: 'p1-pour@fika', summary: 'Ferry; nine, panels: pour' })
    expect(pour!.startDate.toJSDate().getTime()).toBe(at)
    expect(pour!.endDate.toJSDate().getTime()).toBe(at + 2 * HOUR)
    expect(pour!.description).toContain('2026-12-05 10:00')
  })
  it('what takes days stands over days', () => expect(read(step('dry', 2, 70))[0]!.startDate.isDate).toBe(true))
  it('no two have one identity', () => {
    const ids = read(step('pour', 0, 2), step('clean off silicone', 3, 1), step('dry', 2, 9)).map((e) => e.uid)
    expect(new Set(ids).size).toBe(3)
  })
})
