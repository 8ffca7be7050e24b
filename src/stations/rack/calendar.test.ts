import ICAL from 'ical.js'
import { calendarOf } from './calendar'
import { bottlePath } from './readQr'

jest.mock('qr/decode.js', () => ({ __esModule: true, default: () => '' }))

const at = Date.parse('2026-12-01T07:30:00Z')
const dates = [
  { id: 'b1', label: 'Night teal', kind: 'rest' as const, at, todo: 'Look for bubbles.' },
  { id: 'b1', label: 'Night teal', kind: 'keep' as const, at: at + 30 * 86_400_000, todo: 'Plan it in; now.' },
]
const looks = [
  { pieceId: 'p1', title: 'Copper moon', moment: 'dry' as const, dueAt: '2026-12-03T09:00:00Z', isDue: false },
]

describe('the rack as a calendar', () => {
  it('is read by a library of another house (RFC 5545)', () => {
    const component = new ICAL.Component(
      ICAL.parse(calendarOf(dates, looks, 'Lock House Pour Room', 'http://127.0.0.1:4310')) as unknown[],
    )
    const events = component.getAllSubcomponents('vevent').map((e) => new ICAL.Event(e))
    expect(events.map((e) => [e.uid, e.summary])).toEqual([
      ['p1-dry@fika', 'Look at Copper moon dry'],
      ['b1-rest@fika', 'Night teal has rested'],
      ['b1-keep@fika', 'Night teal: use it by today'],
    ])
    const [look, rest, keep] = events as [ICAL.Event, ICAL.Event, ICAL.Event]
    expect(look.startDate.toJSDate().toISOString()).toBe('2026-12-03T09:00:00.000Z')
    expect(rest.startDate.toJSDate().getTime()).toBe(at)
    expect(keep.startDate.isDate).toBe(true)
    expect(keep.startDate.toString()).toBe('2026-12-31')
    expect(keep.description).toBe('Plan it in; now.')
    expect(rest.component.getFirstPropertyValue('url')).toBe('http://127.0.0.1:4310/rack/b1')
  })
})

describe('what is scanned', () => {
  it('is the address of a bottle, whichever name Fika was reached by, and nothing else', () => {
    const path = '/rack/01930000-0000-7000-8000-000000000001'
    expect(bottlePath(`http://192.168.1.4:4310${path}`)).toBe(path)
    expect(bottlePath(` https://studio.example${path}\n`)).toBe(path)
    expect([
      bottlePath('https://studio.example/rack'),
      bottlePath('javascript:alert(1)'),
      bottlePath(`https://studio.example/x${path}`),
    ]).toEqual([undefined, undefined, undefined])
  })
})
