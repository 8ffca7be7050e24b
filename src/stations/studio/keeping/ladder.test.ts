import { ladderOf } from './ladder'

describe('the ladder of back-ups', () => {
  it('shows the newest of each day, week and month, going back from now', () => {
    const [days, weeks, months] = ladderOf(
      [
        '2026-11-29T02:00:00Z',
        '2026-11-29T12:00:00Z',
        '2026-11-27T02:00:00Z',
        '2026-11-22T23:59:59Z',
        '2026-01-31T02:00:00Z',
      ],
      new Date('2026-11-29T20:00:00Z'),
    )
    expect(days!.places).toEqual(['2026-11-29T12:00:00Z', null, '2026-11-27T02:00:00Z', null, null, null, null])
    // A week begins on Monday: the 22nd of November 2026 was a Sunday.
    expect(weeks!.places).toEqual(['2026-11-29T12:00:00Z', '2026-11-22T23:59:59Z', null, null])
    expect(months!.places.map((p) => p !== null)).toEqual([true, ...Array<boolean>(9).fill(false), true, false])
  })
  it('is empty where there is none', () => {
    expect(
      ladderOf([], new Date())
        .flatMap((r) => r.places)
        .every((p) => p === null),
    ).toBe(true)
  })
})
