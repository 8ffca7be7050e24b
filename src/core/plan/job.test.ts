import { coat, cup, design, layer, surface } from '../../../tests/support/design'
import { planBottle } from '../../../tests/support/planBottle'
import { USUAL_CLIMATE } from '../schedule/drying'
import { SHIPPED } from '../technique/techniques'
import { planAmounts } from './amounts'
import { expectedFilm, jobOf, type JobFacts } from './job'

const canvas = (count = 1) =>
  surface('canvas', { surface: { shape: 'rectangle', lengthMm: 400, widthMm: 500, edgeMm: 20, count } })
const plan = design({
  surfaces: [canvas()],
  school: { kind: 'own', ul: 236_000 },
  cups: [cup('c', [layer('teal', { share: 3 }), layer('white', { share: 1 })])],
  coats: [coat('base coat', 'white', { ul: 23_600 }), coat('reserve', 'white', { ul: 50_000 })],
})
const bottles = new Map([
  ['teal', planBottle('teal', { ul: 500_000, solids: 0.4, waterOfPaint: 0.1 })],
  ['white', planBottle('white', { ul: 500_000, solids: 0.2, waterOfPaint: 0.5 })],
])
const facts = (more: Partial<JobFacts> = {}): JobFacts => ({
  id: 'p',
  design: plan,
  amounts: planAmounts(more.design ?? plan),
  technique: SHIPPED.of('straight'),
  bottles,
  climate: USUAL_CLIMATE,
  due: null,
  delivered: false,
  buys: false,
  ...more,
})

describe('the film a plan leaves', () => {
  it('is what does not run off and the coats beneath, over face and edges', () => {
    // (236 000 × 0.75 + 23 600) µl over 236 000 mm².
    const film = expectedFilm(plan, planAmounts(plan), 0.25, bottles)
    expect(film.wetMm).toBeCloseTo(0.85, 12)
    // 177 ml of 0.4, and 59 + 23.6 + 50 ml of 0.2.
    expect(film.solids).toBeCloseTo((177 * 0.4 + 132.6 * 0.2) / 309.6, 9)
    expect(film.waterOfPaint).toBeCloseTo((177 * 0.1 + 132.6 * 0.5) / 309.6, 9)
  })
})

describe('a plan as a job', () => {
  const keys = (more: Partial<JobFacts> = {}) => jobOf(facts(more)).steps.map((s) => s.key)
  it('mixes where a bottle is short, buys and delivers where it is said', () => {
    expect(keys()).toEqual(['prepare', 'pour', 'dry', 'look'])
    expect(keys({ bottles: new Map([...bottles, ['teal', planBottle('teal', { ul: 1 })]]) })).toContain('mix')
    expect(keys({ buys: true, delivered: true })).toEqual([
      'buy',
      'prepare',
      'pour',
      'dry',
      'look',
      'photograph',
      'deliver',
    ])
  })
  it('a thicker film dries longer; silicone is cleaned off before the finish', () => {
    const dry = (ul: number) =>
      jobOf(facts({ design: { ...plan, school: { kind: 'own', ul } } })).steps.find((s) => s.key === 'dry')!.hours
    expect(dry(400_000)).toBeGreaterThan(2 * dry(236_000))
    const oily = new Map([...bottles, ['teal', planBottle('teal', { ul: 500_000, hasAdditive: true })]])
    expect(keys({ bottles: oily, design: { ...plan, finish: 'varnish' } })).toContain('clean off silicone')
  })
  it('takes a place for each piece, and a vase none beside the panel it drips on', () => {
    const vase = surface('vase', { surface: { shape: 'round', diameterMm: 100, edgeMm: 0, count: 2 }, feeds: 'canvas' })
    const two = { ...plan, surfaces: [canvas(2), vase] }
    expect(jobOf(facts({ design: two }))).toMatchObject({
      pieces: [{ sizeMm: [400, 500], count: 2 }],
      onPlace: ['pour', 'dry'],
    })
  })
  it('once it is poured only drying keeps the place', () =>
    expect(jobOf(facts({ design: { ...plan, done: ['prepare', 'pour'] } })).onPlace).toEqual(['dry']))
})
