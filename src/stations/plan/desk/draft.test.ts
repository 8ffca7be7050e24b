import { coat, cup, design, layer, surface } from '../../../../tests/support/design'
import type { Surface } from '@/core/surface/shapes'
import { draftOf, fromShelf, newDraft, type Draft, type Opened } from './draft'
import { readDraft } from './readDraft'

const opened = (d: Opened['design']): Opened => ({
  title: 'Ferry',
  technique: 'ring',
  workId: null,
  kind: 'final',
  pourOn: '2026-12-05',
  notes: 'again',
  carriedNote: '',
  afterPlanId: null,
  afterPieceId: null,
  design: d,
})
const SHAPES: Surface[] = [
  { shape: 'rectangle', lengthMm: 406.4, widthMm: 508, edgeMm: 38, count: 3 },
  { shape: 'ellipse', lengthMm: 300, widthMm: 200, edgeMm: 0, count: 1 },
  { shape: 'round', diameterMm: 305, edgeMm: 12, count: 2 },
  { shape: 'polygon', sides: 5, acrossMm: 240, edgeMm: 10, count: 1 },
  { shape: 'tiles', lengthMm: 100, widthMm: 152.4, across: 4, down: 3, gapMm: 2, edgeMm: 6, count: 1 },
  {
    shape: 'profile',
    points: [0, 60, 140].map((heightMm, i) => ({ heightMm, radiusMm: 40 + 10 * i })),
    edgeMm: 0,
    count: 2,
  },
  { shape: 'area', areaMm2: 61_234, edgeMm: 0, count: 1 },
]
const full = (us: boolean) =>
  design({
    surfaces: SHAPES.map((s, i) =>
      surface(`s${i}`, {
        surface: s,
        cover: 0.75,
        feeds: i === 5 ? 's0' : null,
        split: i === 0 ? { turnDeg: 30, offsetMm: us ? -25.4 : -20 } : null,
        free:
          i === 1
            ? [
                [0, 0],
                [9, 0],
                [9, 9],
              ]
            : null,
        eachMinor: 320,
      }),
    ),
    school: { kind: 'film', wetMm: 1.4, runOffShare: 0.3 },
    rounding: '10 ml',
    cups: [
      cup(
        'c',
        [
          layer('a', { id: '1', share: 2.5, how: 'high' }),
          layer('b', { id: '2', share: null, ul: 12_500 }),
          layer('', { id: '3', of: null }),
        ],
        {
          kind: 'traveling ring',
          on: 's0',
          sizeUl: 207_015,
          copies: 5,
          ul: 60_000,
          at: [-40, 12],
          turnDeg: 45,
          path: [
            [0, 0],
            [100, 20],
          ],
        },
      ),
    ],
    coats: [coat('base coat', 'w', { id: 'k', on: 's0', half: 1, share: 0.5, ul: 50_500 })],
    look: 'blended',
    finish: 'varnish',
    accents: true,
    finishMinor: 250,
    disposablesMinor: 90,
    savedShare: 0.6,
    hours: { dry: 30 },
    done: ['mix'],
  })

/** The same but for what a rounding of text may move: a hundredth of a millimetre. */
function near(a: unknown, b: unknown, at = ''): void {
  if (typeof a === 'number' && typeof b === 'number') {
    if (Math.abs(a - b) > 0.01 + 1e-4 * Math.abs(b)) throw new Error(`${at}: ${a} is not ${b}`)
    return
  }
  if (typeof a !== 'object' || a === null || typeof b !== 'object' || b === null)
    return void expect([at, a]).toEqual([at, b])
  expect([at, Object.keys(a).sort()]).toEqual([at, Object.keys(b).sort()])
  for (const k of Object.keys(b))
    near((a as Record<string, unknown>)[k], (b as Record<string, unknown>)[k], `${at}.${k}`)
}

describe('a plan as it is typed', () => {
  it.each([false, true])('opens a saved plan so that saving it again changes nothing (us: %s)', (us) => {
    const d = full(us)
    const { design: again, problem } = readDraft(draftOf(opened(d), us), us ? 'us' : 'metric')
    expect(problem).toBeUndefined()
    near(again, d)
  })
  it.each([{ kind: 'rule-of-28' }, { kind: 'own', ul: 90_000 }, { kind: 'learned', factor: 0.8213 }] as const)(
    'keeps its school %j',
    (school) => expect(readDraft(draftOf(opened(design({ school })), false), 'metric').design!.school).toEqual(school),
  )
  it('starts with the bottles from the tray in one cup, one share each, and a usual size', () => {
    let n = 0
    const draft = newDraft(() => `id ${n++}`, true, ['a', 'b'])
    const { design: d } = readDraft(draft, 'us')
    expect(d!.surfaces[0]!.surface).toMatchObject({ lengthMm: 406.4, widthMm: 508, count: 1 })
    expect(d!.cups[0]!.layers.map((l) => [l.of, l.share])).toEqual([
      [{ kind: 'bottle', id: 'a' }, 1],
      [{ kind: 'bottle', id: 'b' }, 1],
    ])
  })
  it('takes its size, edge and price from the shelf', () => {
    const round = {
      id: 's',
      kind: 'round',
      name: 'Round',
      shape: 'round',
      lengthMm: 0,
      widthMm: 0,
      diameterMm: 300,
      edgeMm: 15,
      grade: 'sale',
      onHand: 3,
      eachMinor: 450,
    } as const
    expect(fromShelf(round, false)).toEqual({
      stockId: 's',
      shape: 'round',
      size: '30 cm',
      edge: '1.5 cm',
      each: '4.50',
    })
  })
})

describe('what cannot be read', () => {
  const draft = newDraft(() => 'x', false, ['teal'])
  const one = (more: Partial<Draft['surfaces'][number]>): Partial<Draft> => ({
    surfaces: [{ ...draft.surfaces[0]!, ...more }],
  })
  const inCup = (more: Partial<Draft['cups'][number]>): Partial<Draft> => ({ cups: [{ ...draft.cups[0]!, ...more }] })
  it.each([
    [one({ size: '16' }), /is not a size/],
    [one({ size: '0 x 3 cm' }), /is not a size/],
    [one({ edge: 'thick' }), /“thick” is not an amount/],
    [one({ cover: '120' }), /100 % at most/],
    [one({ shape: 'polygon', size: '30 cm', sides: '2' }), /3 to 24 corners/],
    [one({ shape: 'polygon', size: '30 cm', sides: '2.5' }), /not a whole number for the corners/],
    [one({ shape: 'profile', profile: '0 4\nsix 5' }), /“six” is not a number for a height/],
    [one({ shape: 'profile', profile: '0 4 5' }), /“0 4 5” is not a point of a profile/],
    [one({ shape: 'profile', profile: '0 1\n5 6\n5 1\n0 6' }), /crosses itself/],
    [one({ each: 'dear' }), /is not a price/],
    [inCup({ copies: '0' }), /“0” is not a whole number for how many cups/],
    [inCup({ size: 'large' }), /“large” is not an amount/],
    [inCup({ layers: [{ ...draft.cups[0]!.layers[0]!, share: 'half' }] }), '“half” is not a number for a share.'],
    [{ school: 'film', runOff: 'much' }, '“much” is not a number for the run-off.'],
    [{ hours: { dry: 'long' } }, '“long” is not a number for the hours of “dry”.'],
  ] as [Partial<Draft>, string | RegExp][])('is said: %j', (more, sentence) => {
    const { design: d, problem } = readDraft({ ...draft, ...more }, 'metric')
    expect(d).toBeUndefined()
    expect(problem).toMatch(sentence)
  })
})
