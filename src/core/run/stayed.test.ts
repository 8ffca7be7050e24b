import { happened, load, runPlan } from '../../../tests/support/run'
import type { RunEvent } from './events'
import { runState } from './runState'
import { meanOf, whatStayed } from './stayed'

const plan = runPlan()
const frozen = (densityGPerMl: number, solids = 0.3, waterOfPaint = 0.2) => ({
  frozen: {
    hoursRested: 20,
    ageHours: 40,
    expectedS: 1.4,
    readS: 1.2,
    minutesSinceStirred: null,
    waterOfPaint,
    solids,
    densityGPerMl,
    hasAdditive: false,
    lots: [],
  },
})
const stayed = (...events: RunEvent[]) => whatStayed(plan, runState(plan, happened(...events)))
const both = [load(1, 'teal', 30_000, frozen(1.2)), load(2, 'teal', 60_000, frozen(1.2))]
const jar = (ul: number, more: object = {}): RunEvent => ({
  kind: 'run-off',
  piece: null,
  to: 'jar',
  jar: 'j',
  newJar: null,
  ul,
  weighed: true,
  ...more,
})

describe('what stayed', () => {
  it('by weight before and after: what is not in the jar is waste', () => {
    // 24 g of 1.2 g/ml are 20 ml; 20 × 10 cm are 20,000 mm², so 1 mm wet, and 0.3 mm of solids.
    const [one] = stayed(
      ...both,
      { kind: 'weigh', piece: 'piece 1', when: 'before', grams: 300 },
      { kind: 'weigh', piece: 'piece 1', when: 'after', grams: 324 },
      jar(6_000, { piece: 'piece 1' }),
    )
    expect(one).toMatchObject({ pouredUl: 30_000, leftUl: 20_000, jarUl: 6_000, wasteUl: 4_000, how: 'weighed' })
    expect(one!.wetMm).toBeCloseTo(1, 9)
    expect(one!.dryUm).toBeCloseTo(300, 6)
  })
  it('by what was weighed off where no piece was: shared by what was poured on each', () => {
    const [one, two] = stayed(...both, jar(18_000), jar(9_000, { to: 'waste', jar: null }))
    expect(one).toMatchObject({ leftUl: 21_000, jarUl: 6_000, wasteUl: 3_000, how: 'by run-off' })
    expect(two).toMatchObject({ leftUl: 42_000, jarUl: 12_000, wasteUl: 6_000, how: 'by run-off' })
  })
  it('by the usual share where nothing was weighed, and it says so; what was weighed of the other piece tells nothing', () => {
    expect(stayed(...both)).toMatchObject([
      { leftUl: 18_000, jarUl: 0, wasteUl: 12_000, how: 'estimated' },
      { leftUl: 36_000, wasteUl: 24_000, how: 'estimated' },
    ])
    expect(stayed(...both, jar(5_000, { piece: 'piece 2' }))).toMatchObject([
      { how: 'estimated', leftUl: 18_000 },
      { how: 'by run-off', leftUl: 55_000 },
    ])
    expect(stayed(...both, jar(5_000, { weighed: false }))).toMatchObject([{ how: 'estimated' }, { how: 'estimated' }])
  })
  it('says what cannot be: more off than on', () =>
    expect(() => stayed(...both, jar(31_000, { piece: 'piece 1' }))).toThrow(/31.ml were weighed off “Ferry 1”/))
  it('a run of nothing has nothing left, and nothing ran off it', () => {
    expect(stayed()).toMatchObject([{ pouredUl: 0, leftUl: 0, wasteUl: 0 }, {}])
    expect(() => stayed(jar(5))).toThrow('Nothing has been poured yet')
  })
  it('means are by volume', () => {
    const { given } = runState(
      plan,
      happened(load(1, 'teal', 10_000, frozen(1)), load(1, 'white', 30_000, frozen(1.4, 0.5, 0.1))),
    )
    expect(meanOf(given, 'piece 1').densityGPerMl).toBeCloseTo(1.3, 12)
    expect(meanOf(given, null).solids).toBeCloseTo(0.45, 12)
    expect(meanOf(given, 'piece 1').waterOfPaint).toBeCloseTo(0.125, 12)
  })
})
