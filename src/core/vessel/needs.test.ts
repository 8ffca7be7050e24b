import { level } from './level'
import { isPressing, needsOf, type RackFacts } from './needs'
import { sinceRead } from './thickening'

describe('what a bottle needs', () => {
  const now = Date.parse('2026-05-10T12:00:00Z')
  const days = (n: number) => now - n * 86_400_000
  const facts: RackFacts = {
    ul: 100_000,
    capacityUl: 240_000,
    mixedAt: days(2),
    restUntil: days(1.5),
    keepUntil: null,
    movedAt: null,
    evaporatedUl: 0,
    levelTimeS: null,
    readAt: null,
    expectedS: null,
    wantedS: null,
    thinUl: 0,
  }
  const needs = (more: Partial<RackFacts>) =>
    needsOf({ ...facts, ...more }, now, (at) => new Date(at).toISOString().slice(0, 10))
  const kinds = (more: Partial<RackFacts>) => needs(more).map((n) => n.kind)
  it.each([
    [{}, []],
    [{ ul: 0, keepUntil: days(3) }, ['empty']],
    [{ restUntil: days(-0.5) }, ['resting']],
    [{ mixedAt: days(4) }, ['shake']],
    [{ mixedAt: days(40), movedAt: days(4) }, ['shake']],
    [{ mixedAt: days(40), movedAt: days(2) }, []],
    [{ mixedAt: days(31), restUntil: days(30) }, ['check']],
    [{ mixedAt: days(31), readAt: days(1), levelTimeS: 2 }, []],
    [{ keepUntil: days(0.1) }, ['past']],
    [{ keepUntil: days(-13.9) }, ['keep']],
    [{ keepUntil: days(-14.1) }, []],
    [{ evaporatedUl: 1_000 }, []],
    [{ evaporatedUl: 1_001 }, ['evaporated']],
    [{ ul: 35_999 }, ['low']],
    [{ ul: 36_000 }, []],
  ] as const)('%j: %j', (more, wanted) => expect(kinds(more)).toEqual(wanted))
  it('says what to do, with amounts', () => {
    expect(needs({ evaporatedUl: 4_000, levelTimeS: 1.4, expectedS: 2.1 })[0]!.todo).toMatch(
      /lost 4.ml of water and thickened from 1\.4 to about 2\.1 s: 4.ml \(0.14.fl.oz\) bring it back/,
    )
    expect(
      needs({ thinUl: 600, expectedS: 2.1, levelTimeS: 1.4, readAt: days(1), wantedS: [0.5, 1.5] })[0],
    ).toMatchObject({
      kind: 'thickened',
      short: 'Too thick by 12\u00a0drops',
      todo: 'It is flat in about 2.1 s, read 2026-05-09, and 0.5 to 1.5 s are wanted: 12\u00a0drops of water bring it there.',
    })
    const thick = (roomUl: number) =>
      needs({ thinUl: 7_000, expectedS: 2.1, levelTimeS: 1.4, readAt: days(1), wantedS: [0.5, 1.5], roomUl })[0]!.todo
    expect(thick(7_000)).toMatch(/are wanted: 7.ml \(0.24.fl.oz\) of water bring it there\.$/)
    expect(thick(3_500)).toMatch(
      /3\.50.ml \(0.12.fl.oz\) of water are all that the limit leaves room for, then 10.ml of medium; time it again\.$/,
    )
    expect(thick(0)).toMatch(/it has all the water it may have, so add 20.ml of medium; time it again\.$/)
    expect(needs({ restUntil: days(-1) })[0]).toMatchObject({ short: 'Rests until 2026-05-11', due: days(-1) })
    expect(isPressing('evaporated') && !isPressing('shake')).toBe(true)
  })
  it('knows what it has become since it was read: ln t = a − b w', () => {
    const read = {
      ul: 110_000,
      role: 'pour',
      technique: 'straight',
      levelTimeS: 1.5,
      w: 0.1,
      readW: 0.15,
      curveB: 10,
      thickens: 0.01,
    }
    const since = sinceRead(read, 0, 0)
    expect(since.expectedS).toBeCloseTo(1.5 * Math.exp(0.5), 9)
    expect(since.wantedS).toEqual([1, 2])
    // To √2 s: ln(2.473/1.414)/10 = 0.0559 of 100 ml undiluted.
    expect(since.thinUl).toBeCloseTo(5590, -2)
    expect(sinceRead({ ...read, technique: null }, 0, 0)).toMatchObject({ wantedS: null, thinUl: 0 })
    expect(sinceRead({ ...read, w: 0.15 }, 0, 0).thinUl).toBe(0)
    expect(sinceRead({ ...read, levelTimeS: null }, 0, 0)).toMatchObject({ expectedS: null, thinUl: 0 })
  })
  it('thickens by standing too, as the studio has learned or as mixes usually do', () => {
    const read = {
      ul: 1,
      role: 'pour',
      technique: 'straight',
      levelTimeS: 1.5,
      w: 0.1,
      readW: 0.1,
      curveB: 10,
      thickens: 0.01,
    }
    expect(sinceRead(read, 0, 20 * 86_400_000).expectedS).toBeCloseTo(1.5 * Math.exp(0.2), 9)
    expect(sinceRead({ ...read, thickens: null }, 0, 20 * 86_400_000).expectedS).toBeCloseTo(1.5 * Math.exp(0.05), 9)
    // A clock that goes back makes nothing thinner.
    expect(sinceRead(read, 1, 0).expectedS).toBe(1.5)
    expect(
      needs({ movedAt: null, mixedAt: days(40), restUntil: days(39), levelTimeS: 1.5, expectedS: 1.8 }).at(-1)!.todo,
    ).toBe(
      'Nobody has looked at it for 40 days: it has likely thickened from 1.5 to about 1.8 s. Shake, strain, and time the mound before it is poured.',
    )
  })
  it('is drawn with its real level', () => {
    expect(level({ ul: 60_000, capacityUl: 240_000 })).toBe(0.25)
    expect(level({ ul: 500_000, capacityUl: null })).toBe(1)
  })
})
