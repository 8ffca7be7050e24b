import fc from 'fast-check'
import { contentKey, contentUl, takeFrom, takePoured } from './content'
import { level } from './level'
import { isPressing, needsOf, type RackFacts } from './needs'
import { sinceRead } from './thickening'
import { weighIn, type Loss } from './weighIn'

const bottle = (...uls: number[]) => ({
  id: 'b1',
  label: 'Teal 3',
  content: uls.map((ul, i) => ({ lotId: `l${i}`, ul })),
})

describe('what a vessel held', () => {
  it('is the same for the same lots and amounts in any order, and for nothing else', () => {
    const [a, b] = [
      { lotId: 'a', ul: 5 },
      { lotId: 'b', ul: 7 },
    ]
    const key = contentKey([a, b])
    expect(contentKey([b, a, { lotId: 'c', ul: 0 }])).toBe(key)
    for (const other of [
      [a],
      [a, { ...b, ul: 8 }],
      [
        { ...a, ul: 7 },
        { ...b, ul: 5 },
      ],
      [a, b, { lotId: 'c', ul: 1 }],
      [],
    ])
      expect(contentKey(other)).not.toBe(key)
  })
})

describe('taking from a vessel', () => {
  it('takes every lot in proportion, exactly', () => {
    expect(takeFrom(bottle(100_000, 200_000, 33_333), 100_000).map((p) => p.ul)).toEqual([30_000, 60_000, 10_000])
  })
  it('names the bottle and what to do when it holds too little', () => {
    expect(() => takeFrom(bottle(40_000), 60_000)).toThrow(
      'Teal 3 holds 40\u00a0ml and 60\u00a0ml is wanted. Mix 20\u00a0ml more, or take less.',
    )
  })
  it('finds what was poured beyond the books, of the same composition', () => {
    const of = bottle(40_000, 10_000)
    expect(takePoured(of, 50_000)).toEqual({ taken: takeFrom(of, 50_000), found: [] })
    expect(takePoured(of, 20_000)).toEqual({ taken: takeFrom(of, 20_000), found: [] })
    const { taken, found } = takePoured(of, 60_001)
    expect(taken).toEqual(of.content)
    expect(contentUl(found)).toBe(10_001)
    expect(found[0]!.ul).toBe(8_001)
    expect(() => takePoured(bottle(0), 5)).toThrow('holds 0')
  })
  it('never takes more of a lot than there is', () => {
    const uls = fc.array(fc.integer({ min: 1, max: 2_000_000 }), { minLength: 1, maxLength: 8 })
    fc.assert(
      fc.property(uls, fc.double({ min: 0, max: 1, noNaN: true }), (content, share) => {
        const vessel = bottle(...content)
        const ul = Math.floor(contentUl(vessel.content) * share)
        const taken = takeFrom(vessel, ul)
        expect(contentUl(taken)).toBe(ul)
        for (const p of taken) expect(p.ul).toBeLessThanOrEqual(vessel.content.find((c) => c.lotId === p.lotId)!.ul)
      }),
    )
  })
})

describe('weighing in', () => {
  // 100 ml paint at 1.2, 180 ml medium at 1.05, 20 ml water at 1.0: 329 g net.
  const content = [
    { lotId: 'paint', ul: 100_000, isWater: false, densityGPerMl: 1.2, solids: 0.4 },
    { lotId: 'medium', ul: 180_000, isWater: false, densityGPerMl: 1.05, solids: 0.3 },
    { lotId: 'water', ul: 20_000, isWater: true, densityGPerMl: 1, solids: 0 },
  ]
  const at = (netG: number, named?: Loss) => weighIn({ grossMg: (netG + 30) * 1000, tareMg: 30_000, content, named })
  it('books nothing when the scale agrees', () =>
    expect(at(329)).toEqual({ measuredUl: 300_000, evaporated: [], waterUl: 0, lost: [], gained: [] }))
  it('books a loss as evaporated water first', () =>
    expect(at(324)).toEqual({
      measuredUl: 295_000,
      evaporated: [{ lotId: 'water', ul: 5_000 }],
      waterUl: 5_000,
      lost: [],
      gained: [],
    }))
  it('asks what happened to more than the water', () => {
    expect(() => at(250)).toThrow(
      'lost 73.5\u00a0ml, and only 20\u00a0ml water was added that could evaporate. Say whether',
    )
    const r = at(250, 'spilled')
    expect(r.evaporated).toEqual([{ lotId: 'water', ul: 20_000 }])
    // 59 g of 309 g that are left after the water: 280 ml × 59 / 309.
    expect(contentUl(r.lost)).toBe(Math.round((280_000 * 59) / 309))
    expect(r.measuredUl).toBe(280_000 - contentUl(r.lost))
  })
  it('books what dried out of paint and medium by what in them is no solid, as much as weighs what is missing', () => {
    // After the water 309 − 12 g are left: 60 ml of the paint and 126 ml of the medium can dry, 1.098 g a ml of them.
    const r = at(297, 'dried')
    expect(r.waterUl).toBe(32_000)
    expect(r.lost).toEqual([])
    const ul = Math.round((12_000 * 186) / (60 * 1.2 + 126 * 1.05))
    expect(contentUl(r.evaporated)).toBe(20_000 + ul)
    expect(r.evaporated.find((p) => p.lotId === 'paint')!.ul).toBe(Math.round((ul * 60) / 186))
    expect(r.measuredUl).toBe(280_000 - ul)
    const left = content.map((p) => ({ ...p, ul: p.ul - (r.evaporated.find((e) => e.lotId === p.lotId)?.ul ?? 0) }))
    // So that the next weight finds it as booked.
    expect(Math.abs(left.reduce((s, p) => s + p.ul * p.densityGPerMl, 0) - 297_000)).toBeLessThan(2)
  })
  it('lets no more dry than there is water in it', () => {
    expect(contentUl(at(309 - 186, 'dried').evaporated)).toBeLessThanOrEqual(206_000)
    expect(() => at(309 - 187, 'dried')).toThrow('no more than 186\u00a0ml of water in its paint and medium')
    const dry = [{ lotId: 'oil', ul: 10_000, isWater: false, densityGPerMl: 1, solids: 1 }]
    const weigh = (named?: Loss) => weighIn({ grossMg: 39_000, tareMg: 30_000, content: dry, named })
    expect(() => weigh()).toThrow('and no water was added')
    expect(() => weigh('dried')).toThrow('no more than 0\u00a0ml')
  })
  it('books what is too much as a gain in proportion', () => {
    const r = at(329 * 1.1)
    expect(contentUl(r.gained)).toBe(30_000)
    expect(r.gained.map((g) => g.ul)).toEqual([10_000, 18_000, 2_000])
  })
  it('refuses a scale that shows less than the bottle', () => expect(() => at(-1)).toThrow('Check the tare'))
  it('can find the bottle empty', () => expect(contentUl(at(0, 'spilled').lost)).toBe(280_000))
})

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
      /lost 4.ml of water and thickened from 1\.4 to about 2\.1 s: 4.ml \(80.drops\) bring it back/,
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
    expect(thick(7_000)).toMatch(/are wanted: 7.ml \(140.drops\) of water bring it there\.$/)
    expect(thick(3_500)).toMatch(
      /3\.50.ml \(70.drops\) of water are all that the limit leaves room for, then 10.ml of medium; time it again\.$/,
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
