import type { PlanWithParts } from '@/db/plans/read'
import { readAll, startFields, type Fields } from './planDraft'

const fields: Fields = {
  ...startFields(undefined, ['teal'], false),
  title: 'Ferry',
  size: '16 x 20 in',
  edge: '3/4 in',
  surfaceCost: '7.50',
}
const read = (change: Partial<Fields>) => readAll('p1', { ...fields, ...change }, 'metric')

describe('a plan as it is typed', () => {
  it('starts with the bottles from the tray, one part each, and a usual size', () => {
    expect(startFields(undefined, ['a', 'b'], true)).toMatchObject({
      size: '16 x 20 in',
      cup: [
        { vesselId: 'a', parts: '1' },
        { vesselId: 'b', parts: '1' },
      ],
    })
  })
  it('is read into what the server takes', () => {
    const { input, cup, parts, problem } = read({
      apart: { ...fields.apart, reserve: { vesselId: 'teal', amount: '20 drops' } },
    })
    expect(problem).toBeUndefined()
    expect(input).toMatchObject({
      surface: { shape: 'rectangle', lengthMm: 406.4, widthMm: 508, edgeMm: 19.049999999999997, count: 1 },
      surfaceCostMinor: 750,
    })
    expect(cup).toBe(337_983)
    expect(parts.map((p) => [p.use, p.ul])).toEqual([
      ['cup', 337_983],
      ['reserve', 1_000],
    ])
  })
  it('takes rounds and the film school', () => {
    // A round of 30 cm, no edge: 706.858 cm² × 1 mm × 1.5.
    expect(read({ shape: 'round', size: '30 cm', edge: '', school: 'film', wet: '1', runOff: '50' }).cup).toBe(106_029)
  })
  it('leaves out bottles without a share, and rows without a bottle', () => {
    const { parts } = read({
      cup: [
        { vesselId: 'teal', parts: '' },
        { vesselId: '', parts: '3' },
        { vesselId: 'white', parts: '1/2' },
      ],
    })
    expect(parts.map((p) => p.vesselId)).toEqual(['white'])
  })
  it.each([
    [{ size: '16' }, /is not a size/],
    [{ edge: 'thick' }, /“thick” is not an amount/],
    [{ runOff: 'much' }, '“much” is not a number for the run-off.'],
    [{ cup: [{ vesselId: 'teal', parts: 'half' }] }, '“half” is not a number for a share.'],
    [{ surfaceCost: 'dear' }, /is not a price/],
    [{ size: '0 x 3 cm' }, /is not a size/],
  ])('says what cannot be read: %j', (change, sentence) => expect(read(change).problem).toMatch(sentence))

  it.each([false, true])('opens a saved plan so that saving it again changes nothing (us: %s)', (us) => {
    const plan = {
      title: 'Ferry',
      technique: 'ring',
      surface: { shape: 'rectangle', lengthMm: 406.4, widthMm: 508, edgeMm: 38, count: 3 },
      coverage: { kind: 'film', wetMm: 1.4, runOffShare: 0.3 },
      surfaceCostMinor: 960,
      cupUl: 0,
      notes: 'again',
      parts: [
        { use: 'cup', vesselId: 'teal', parts: 2, ul: 10 },
        { use: 'slip coat', vesselId: 'white', parts: null, ul: 60_500 },
      ],
    } as unknown as PlanWithParts
    const { input } = readAll('p1', startFields(plan, [], us), us ? 'us' : 'metric')
    expect(input!.surface.lengthMm).toBeCloseTo(406.4, 2)
    expect(input!.surface.widthMm).toBeCloseTo(508, 2)
    expect(input!.surface.edgeMm).toBeCloseTo(38, 2)
    expect(input).toMatchObject({
      title: 'Ferry',
      technique: 'ring',
      coverage: { kind: 'film', wetMm: 1.4, runOffShare: 0.3 },
      surfaceCostMinor: 960,
      cup: [{ vesselId: 'teal', parts: 2 }],
      apart: [{ use: 'slip coat', vesselId: 'white', ul: 60_500 }],
      notes: 'again',
    })
  })
})
