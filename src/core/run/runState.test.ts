import fc from 'fast-check'
import { happened, load, runPlan } from '../../../tests/support/run'
import type { RunEvent } from './events'
import { runState, standing } from './runState'
import { netGiven, whatStayed } from './stayed'

const plan = runPlan()
const stateOf = (...events: RunEvent[]) => runState(plan, happened(...events))

describe('a run after its events', () => {
  it('goes step by step, and two hands that tap Next at once go one step', () => {
    expect(stateOf().step).toBe('ready')
    expect(stateOf({ kind: 'next', from: 'ready' }).step).toBe('bottles')
    expect(stateOf({ kind: 'next', from: 'ready' }, { kind: 'next', from: 'ready' }).step).toBe('bottles')
    expect(stateOf({ kind: 'go', to: 'tilt' }, { kind: 'next', from: 'tilt' }).step).toBe('bother')
    expect(stateOf({ kind: 'go', to: 'tilt' }, { kind: 'go', to: 'load' }).step).toBe('load')
    expect(stateOf({ kind: 'next', from: 'stop' }).step).toBe('stop')
  })
  it('takes back any event, whenever, and what followed from it alone', () => {
    const events: RunEvent[] = [
      load(1, 'teal', 20_000),
      load(2, 'teal', 21_000),
      { kind: 'keep', piece: 'piece 1', at: [10, 5], radiusMm: 20, isKept: true, why: 'the eye' },
    ]
    const undone = stateOf(...events, { kind: 'undo', of: 1 })
    expect(undone.given.map((g) => g.ul)).toEqual([21_000])
    expect(undone.keepers).toHaveLength(1)
    expect(undone.last?.n).toBe(3)
    expect(() => stateOf(...events, { kind: 'undo', of: 1 }, { kind: 'undo', of: 1 })).toThrow('taken back already')
    expect(() => stateOf({ kind: 'undo', of: 9 })).toThrow('taken back already')
    expect(standing(happened(...events, { kind: 'undo', of: 2 })).map((h) => h.n)).toEqual([1, 3])
  })
  it('counts coats, layers, remedies and edges alike as paint on their piece', () => {
    const paint = { piece: 'piece 1', bottle: 'gold', ul: 1_000, how: 'eye' } as const
    const s = stateOf(
      { kind: 'coat', coat: 'base 1', role: 'base coat', share: 0.75, ...paint, bottle: 'white' },
      load(1, 'teal', 20_000, { grams: 61.5 }),
      { kind: 'bother', piece: 'piece 1', what: 'empty corner' },
      { kind: 'remedy', bother: 3, which: 'leftover', ...paint },
      { kind: 'worked', remedy: 4, yes: true },
      { kind: 'edge', side: 'left', ...paint, bottle: null, ul: 0 },
      { kind: 'edge', side: 'top', ...paint },
    )
    expect(s.given.map((g) => [g.use, g.ul])).toEqual([
      ['base coat', 1_000],
      ['cup', 20_000],
      ['remedy', 1_000],
      ['edge', 1_000],
    ])
    expect(s.bothers[0]!.remedies).toEqual([{ n: 4, which: 'leftover', bottle: 'gold', ul: 1_000, worked: true }])
    expect(s.edges.map((e) => [e.side, e.bottle])).toEqual([
      ['left', null],
      ['top', 'gold'],
    ])
    expect(s.baselineG).toBe(61.5)
    expect(s.given.map((g) => g.share)).toEqual([0.75, null, null, null])
  })
  it('keeps the last check of a bottle and every reading, the last weights and the last turn', () => {
    const reading = { levelTimeS: 1.8, sigma: 0.1, tries: [1.8], how: 'stopwatch' } as const
    const s = stateOf(
      { kind: 'check', bottle: 'teal', reading },
      { kind: 'thin', bottle: 'teal', waterId: 'water', ul: 300 },
      { kind: 'check', bottle: 'teal', reading: { ...reading, levelTimeS: 1.4 } },
      { kind: 'check', bottle: 'white' },
      { kind: 'turn', cup: 'cup 1', deg: 90 },
      { kind: 'turn', cup: 'cup 1', deg: 180 },
      { kind: 'weigh', piece: 'piece 1', when: 'before', grams: 300 },
      { kind: 'weigh', piece: 'piece 1', when: 'after', grams: 330 },
    )
    expect(s.checks.get('teal')).toMatchObject({ levelTimeS: 1.4, n: 3 })
    expect(s.checks.get('white')).toMatchObject({ levelTimeS: null, how: null })
    expect(s.readings.map((r) => r.levelTimeS)).toEqual([1.8, 1.4])
    expect(s.thinned).toMatchObject([{ bottle: 'teal', ul: 300 }])
    expect(s.turned.get('cup 1')).toBe(180)
    expect(s.weights.get('piece 1')).toEqual({ before: 300, after: 330 })
  })
  it('timers end by the clock of the event, so that a page opened later shows the same', () =>
    expect(stateOf({ kind: 'wait', what: 'cups stand', seconds: 120 }).timers).toEqual([
      { n: 1, what: 'cups stand', from: 1_000_000, until: 1_120_000 },
    ]))
  it.each<[string, RunEvent[], RegExp]>([
    ['a piece that is none', [load(1, 'teal', 1, { piece: 'x' })], /not in the run/],
    ['nothing poured', [load(1, 'teal', 0)], /more than nothing/],
    ['parts of a µl', [load(1, 'teal', 1.5)], /more than nothing/],
    ['a lake', [load(1, 'teal', 4e9)], /more than nothing/],
    ['no number on the scale', [{ kind: 'tare', grams: NaN }], /must be a number/],
    [
      'a level time of none',
      [{ kind: 'check', bottle: 'teal', reading: { levelTimeS: 0, sigma: 0, tries: [], how: 'stopwatch' } }],
      /above zero/,
    ],
    [
      'more back than went out',
      [load(1, 'teal', 9_000), { kind: 'back', piece: 'piece 1', bottle: 'teal', ul: 9_001 }],
      /Only 9.0 ml/,
    ],
    [
      'lighter after than before',
      [
        { kind: 'weigh', piece: 'piece 1', when: 'before', grams: 300 },
        { kind: 'weigh', piece: 'piece 1', when: 'after', grams: 300 },
      ],
      /weighs more than that/,
    ],
    [
      'a remedy for nothing',
      [{ kind: 'remedy', bother: 7, which: 'heat', piece: 'piece 1', bottle: null, ul: 0, how: 'eye' }],
      /taken back meanwhile/,
    ],
    ['a word on no remedy', [{ kind: 'worked', remedy: 7, yes: true }], /taken back meanwhile/],
    [
      'a jar that is none',
      [{ kind: 'run-off', piece: null, to: 'jar', jar: null, newJar: null, ul: 1, weighed: true }],
      /which jar/,
    ],
  ])('refuses %s with a sentence', (_, events, said) => expect(() => stateOf(...events)).toThrow(said))

  it('whatever happens and is taken back, what was poured is left, in a jar or waste, and every bottle is accounted for', () => {
    const ul = fc.integer({ min: 1, max: 40_000 })
    const piece = fc.constantFrom('piece 1', 'piece 2')
    const bottle = fc.constantFrom('teal', 'white', 'gold')
    const paint = { piece, bottle, ul, how: fc.constant('eye' as const) }
    const event = fc.oneof(
      fc.record({
        kind: fc.constant('load' as const),
        cup: fc.constantFrom('cup 1', 'cup 9'),
        layer: fc.constant(null),
        way: fc.constant('side' as const),
        ...paint,
      }),
      fc.record({
        kind: fc.constant('coat' as const),
        coat: fc.constant(null),
        role: fc.constant('base coat' as const),
        share: fc.constant(1),
        ...paint,
      }),
      fc.record({ kind: fc.constant('back' as const), piece, bottle, ul }),
      fc.record({
        kind: fc.constant('weigh' as const),
        piece,
        when: fc.constantFrom('before' as const, 'after' as const),
        grams: fc.integer({ min: 50, max: 500 }),
      }),
      fc.record({
        kind: fc.constant('run-off' as const),
        piece: fc.option(piece),
        to: fc.constantFrom('jar' as const, 'waste' as const),
        jar: fc.constant('jar'),
        newJar: fc.constant(null),
        ul,
        weighed: fc.boolean(),
      }),
      fc.record({ kind: fc.constant('undo' as const), of: fc.integer({ min: 1, max: 12 }) }),
    )
    fc.assert(
      fc.property(fc.array(event, { maxLength: 14 }), (wanted) => {
        // As the server does: an event that does not fit is refused, and nothing of it is kept.
        const kept: RunEvent[] = []
        for (const e of wanted)
          try {
            const state = runState(plan, happened(...kept, e as RunEvent))
            whatStayed(plan, state)
            kept.push(e as RunEvent)
          } catch (error) {
            expect(error).toMatchObject({ code: expect.stringMatching(/Invalid|Conflict/) as unknown })
          }
        const state = runState(plan, happened(...kept))
        for (const s of whatStayed(plan, state)) {
          expect(s.leftUl + s.jarUl + s.wasteUl).toBe(s.pouredUl)
          for (const part of [s.leftUl, s.jarUl, s.wasteUl]) expect(part).toBeGreaterThanOrEqual(0)
          expect([s.leftUl, s.jarUl, s.wasteUl].every(Number.isInteger)).toBe(true)
        }
        const sum = (list: readonly { ul: number }[]) => list.reduce((a, b) => a + b.ul, 0)
        expect(sum(plan.pieces.flatMap((p) => netGiven(state, p.id)))).toBe(sum(state.given) - sum(state.backs))
      }),
    )
  })
})
