import fc from 'fast-check'
import { eyeState, type EyeEvent } from './byEye'
import { guideState, shruggedUl, standing, toleranceUl, type GuideEvent, type GuidePlan } from './guide'
import { portionsOfMix, readBack, type Addition } from './readBack'

const line = (id: string, plannedUl: number, kind: 'paint' | 'medium' | 'additive' = 'paint', more: object = {}) => ({
  source: 'material' as const,
  id,
  name: id,
  kind,
  hex: null,
  densityGPerMl: 1.2,
  solids: 0.3,
  waterShare: 0,
  plannedUl,
  ...more,
})
const plan: GuidePlan = {
  lines: [line('flow', 200_000, 'medium'), line('gloss', 100_000, 'medium'), line('teal', 150_000)],
  cupUl: 600_000,
  prepare: ['Shake'],
  bandS: [1, 2],
  waterRule: { school: 'thinned-40' },
  water: { id: 'w', name: 'Distilled', waterShare: 1, solids: 0, densityGPerMl: 1 },
}
const next: GuideEvent = { kind: 'next' }
const pour = (ul: number, grams?: number): GuideEvent => ({
  kind: 'pour',
  ul,
  ...(grams === undefined ? {} : { grams }),
})
const begun: GuideEvent[] = [next, { kind: 'tare', grams: 32 }]
const state = (events: readonly GuideEvent[], p: GuidePlan = plan) => guideState(p, events)

describe('a guided mix', () => {
  it('goes from the shaking to the label, one step after another', () => {
    expect(state([]).step).toBe('prepare')
    expect(state([next]).step).toBe('cup')
    expect(state(begun)).toMatchObject({ step: 'pour', line: 0, baselineG: 32, canUndo: true })
    const all = [...begun, pour(200_000, 232), pour(100_500, 340), pour(149_000, 520)]
    expect(state(all.slice(0, 3))).toMatchObject({ step: 'pour', line: 1, baselineG: 232 })
    expect(state(all)).toMatchObject({ step: 'stir', totalUl: 449_500, line: -1 })
    const judged = [...all, next]
    expect(state(judged).step).toBe('judge')
    const read: GuideEvent = { kind: 'reading', levelTimeS: 4, sigma: 0.1, tries: [4], how: 'stopwatch' }
    const watered = state([...judged, read, { kind: 'water', ul: 3_000, grams: 523 }])
    expect(watered).toMatchObject({ step: 'judge', wateredUl: 3_000, totalUl: 452_500, baselineG: 523 })
    expect(watered.readings).toEqual([{ atUl: 0, levelTimeS: 4, sigma: 0.1, tries: [4], how: 'stopwatch' }])
    const done = state([...judged, read, { kind: 'good' }])
    expect(done.step).toBe('label')
  })
  it('without a scale goes on by volume', () => {
    expect(state([next, next])).toMatchObject({ step: 'pour', baselineG: null })
  })
  it('keeps what was poured of a line when it is tared in the middle', () => {
    const tared = state([...begun, { kind: 'tare', grams: 110, heldUl: 65_000 }])
    expect(tared).toMatchObject({ step: 'pour', line: 0, heldUl: 65_000, baselineG: 110 })
    expect(state([...begun, { kind: 'tare', grams: 110, heldUl: 65_000 }, pour(200_000)]).heldUl).toBe(0)
  })
  it('takes what is near enough for right: 2 % or what the scale can tell; five per cent off is shrugged at', () => {
    expect([toleranceUl(1_000), toleranceUl(100_000)]).toEqual([200, 2_000])
    // A tenth of an ounce of paint of 1.2 g/ml is 2.4 ml: more than 2 % of two fluid ounces.
    expect(toleranceUl(59_147, 2_362)).toBe(2_362)
    expect([shruggedUl(1_000), shruggedUl(200_000)]).toEqual([200, 10_000])
    expect(state([...begun, pour(210_000)]).step).toBe('pour')
    expect(state([...begun, pour(210_001)]).step).toBe('overshoot')
  })

  describe('after an overshoot', () => {
    const over = [...begun, pour(240_000)]
    it('says what the rest becomes, what the batch grows by, and whether the cup holds it', () => {
      const { overshoot } = state(over)
      // 240 of 200: everything × 1.2.
      expect(overshoot).toEqual({
        line: 0,
        byUl: 40_000,
        targetsUl: [240_000, 120_000, 180_000],
        extraUl: 90_000,
        totalUl: 540_000,
        cupHolds: true,
      })
      expect(state(over, { ...plan, cupUl: 539_999 }).overshoot!.cupHolds).toBe(false)
      expect(state(over, { ...plan, cupUl: null }).overshoot!.cupHolds).toBeNull()
    })
    it('raises the targets of all that is not yet poured, or leaves them', () => {
      expect(state([...over, { kind: 'follow' }])).toMatchObject({
        step: 'pour',
        line: 1,
        targetsUl: [240_000, 120_000, 180_000],
      })
      expect(state([...over, { kind: 'keep' }])).toMatchObject({
        step: 'pour',
        line: 1,
        targetsUl: [200_000, 100_000, 150_000],
      })
    })
    it('comes back to what was poured before it and is short now, and never asks to take out', () => {
      const late = [...begun, pour(200_000), pour(100_000), pour(180_000), { kind: 'follow' } as const]
      const back = state(late)
      expect(back).toMatchObject({ step: 'pour', line: 0, targetsUl: [240_000, 120_000, 180_000] })
      const more = state([...late, pour(40_000)])
      expect(more).toMatchObject({ step: 'pour', line: 1 })
      expect(more.pouredUl[0]).toBe(240_000)
      expect(state([...late, pour(40_000), pour(20_000)]).step).toBe('stir')
    })
  })

  it('undoes the last thing that stands, one after another', () => {
    const undo: GuideEvent = { kind: 'undo' }
    expect(standing([next, undo, undo, next])).toEqual([next])
    expect(state([...begun, pour(200_000), undo])).toEqual(state(begun))
    expect(state([...begun, pour(240_000), { kind: 'follow' }, undo]).step).toBe('overshoot')
    expect(state([next, undo]).canUndo).toBe(false)
  })
  it('refuses what does not fit the step, and keeps nothing of it', () => {
    expect(() => state([pour(1)])).toThrow('Another device has gone on')
    expect(() => state([...begun, next])).toThrow('Another device has gone on')
    expect(() => state([...begun, { kind: 'follow' }])).toThrow('Another device has gone on')
    expect(() => state([...begun, { kind: 'good' }])).toThrow('Another device has gone on')
    expect(() => state([{ kind: 'tare', grams: 1 }])).toThrow('Another device has gone on')
    expect(() => state([...begun, pour(-1)])).toThrow('how much was poured')
    expect(() => state([...begun, pour(NaN)])).toThrow('how much was poured')
    expect(() => state([], { ...plan, lines: [] })).toThrow('nothing to pour')
    const judged = [...begun, pour(2e5), pour(1e5), pour(1.5e5), next]
    expect(() => state([...judged, { kind: 'water', ul: 0 }])).toThrow('more than nothing')
    expect(() => state([...judged, { kind: 'reading', levelTimeS: 0, sigma: 1, tries: [], how: 'by eye' }])).toThrow(
      'above zero',
    )
    expect(() => state([...judged, { kind: 'water', ul: 5 }], { ...plan, water: null })).toThrow('no water')
  })
  it('whatever is poured, keeps the ratio within what is shrugged at, and takes nothing out', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 400_000 }), { minLength: 3, maxLength: 3 }), (amounts) => {
        let events: GuideEvent[] = [...begun]
        const before: (number | undefined)[][] = []
        // First what the hand pours, then exactly what is asked for.
        for (let i = 0; i < 40; i++) {
          const s = state(events)
          before.push([...s.pouredUl])
          if (s.step === 'overshoot') events = [...events, { kind: 'follow' }]
          else if (s.step === 'pour')
            events = [
              ...events,
              pour(s.pouredUl[s.line] === undefined ? amounts[s.line]! : s.targetsUl[s.line]! - s.pouredUl[s.line]!),
            ]
          else break
        }
        const { step, pouredUl, targetsUl } = state(events)
        expect(step).toBe('stir')
        pouredUl.forEach((p, i) =>
          expect(Math.abs(p! - targetsUl[i]!)).toBeLessThanOrEqual(shruggedUl(targetsUl[i]!) + 1),
        )
        for (const [i, row] of before.slice(1).entries())
          row.forEach((p, k) => expect(p ?? 0).toBeGreaterThanOrEqual(before[i]![k] ?? 0))
        const scale = targetsUl[0]! / 200_000
        expect(targetsUl[1]! / 100_000).toBeCloseTo(scale, 3)
        expect(targetsUl[2]! / 150_000).toBeCloseTo(scale, 3)
      }),
      { numRuns: 200 },
    )
  })
})

describe('poured first', () => {
  const name = (id: string, source: 'material' | 'bottle' = 'material'): EyeEvent => ({ kind: 'name', source, id })
  const add = (ul: number, grams?: number): EyeEvent => ({ kind: 'add', ul, ...(grams === undefined ? {} : { grams }) })
  it('books each addition for what was named last, and joins what follows itself', () => {
    const events: EyeEvent[] = [
      { kind: 'tare', grams: 30 },
      name('teal'),
      add(10_000, 42),
      add(5_000, 48),
      name('old', 'bottle'),
      add(20_000, 70),
      name('teal'),
      add(1_000, 71),
    ]
    expect(eyeState(events)).toEqual({
      now: { source: 'material', id: 'teal' },
      baselineG: 71,
      additions: [
        { source: 'material', id: 'teal', ul: 15_000 },
        { source: 'bottle', id: 'old', ul: 20_000 },
        { source: 'material', id: 'teal', ul: 1_000 },
      ],
      totalUl: 36_000,
      canUndo: true,
    })
    expect(eyeState([...events, { kind: 'undo' }, { kind: 'undo' }]).totalUl).toBe(35_000)
    expect(eyeState([{ kind: 'undo' }])).toMatchObject({ totalUl: 0, canUndo: false })
  })
  it('by eye: what was poured in last and not stirred in may be poured back, and no more than went in', () => {
    const back = (ul: number, grams?: number): EyeEvent => ({ kind: 'back', ul, grams })
    const two = [name('a'), add(20_000, 50), name('b'), add(15_000, 68)]
    expect(eyeState([...two, back(5_000, 62)])).toMatchObject({ totalUl: 30_000, baselineG: 62 })
    expect(eyeState([...two, back(15_000)]).additions.map((a) => a.id)).toEqual(['a'])
    // All of it back, and the other goes on from there.
    expect(eyeState([...two, back(15_000), name('a'), add(1_000)]).additions).toEqual([
      { source: 'material', id: 'a', ul: 21_000 },
    ])
    expect(eyeState([...two, back(5_000), { kind: 'undo' }]).totalUl).toBe(35_000)
    expect(() => eyeState([...two, back(15_001)])).toThrow('no more of it than went in')
    expect(() => eyeState([...two, name('a'), back(1_000)])).toThrow('Only what was poured in last')
    expect(() => eyeState([...two, back(0)])).toThrow('how much was poured back')
    expect(() => eyeState([back(1_000)])).toThrow('Say what goes in first')
  })
  it('asks what goes in first', () => {
    expect(() => eyeState([add(1)])).toThrow('Say what goes in first')
    expect(() => eyeState([name('a'), add(0)])).toThrow('how much was poured')
  })
})

describe('the recipe read back', () => {
  const a = (materialId: string, kind: Addition['kind'], ul: number): Addition => ({
    materialId,
    name: materialId,
    kind,
    ul,
  })
  it('is a ratio, shares and a formula', () => {
    const read = readBack([
      a('teal', 'paint', 30),
      a('flow', 'medium', 60),
      a('white', 'paint', 10),
      a('w', 'water', 8),
      a('flow', 'medium', 20),
    ])
    expect(read.ratio).toEqual([2, 1, 0.2])
    expect(read.recipe).toEqual({
      paints: [
        { materialId: 'teal', parts: 0.75 },
        { materialId: 'white', parts: 0.25 },
      ],
      paintParts: 1,
      mediums: [{ materialId: 'flow', parts: 2 }],
      water: { materialId: 'w', parts: 0.2 },
    })
    expect(read.shares.map((s) => s.share).reduce((x, y) => x + y)).toBeCloseTo(1, 12)
    expect(read.totalUl).toBe(128)
  })
  it('knows a base without paint', () => {
    expect(readBack([a('flow', 'medium', 50), a('gloss', 'medium', 50)])).toMatchObject({
      ratio: [1, 0, 0],
      recipe: { paintParts: 0 },
    })
  })
  it('counts a leftover mix by what it is made of', () => {
    const left = portionsOfMix(30, [a('teal', 'paint', 100), a('flow', 'medium', 200)])
    expect(left.map((p) => p.ul)).toEqual([10, 20])
    // 30 ml of 1 : 2 and 20 ml of paint: 30 paint to 20 medium.
    expect(readBack([...left, a('teal', 'paint', 20)]).ratio[0]).toBeCloseTo(2 / 3, 12)
  })
  it('says so when there is nothing to read', () => {
    expect(() => readBack([])).toThrow('Nothing has been poured yet')
    expect(() => portionsOfMix(10, [])).toThrow('empty')
  })
})
