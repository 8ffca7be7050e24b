import fc from 'fast-check'
import { cup, design, layer, surface } from '../../../tests/support/design'
import { ML_PER_FL_OZ } from '../quantity/units'
import { fillCups, smallestCup } from './cups'

const OZ = ML_PER_FL_OZ * 1000
const SIZES = [3, 5, 7, 9, 16].map((oz) => Math.round(oz * OZ))
const wants = (ul: number, more = {}) => design({ school: { kind: 'own', ul }, ...more })

describe('cups', () => {
  it('five of 7 oz for 22.5 oz: 4.5 oz each, and 5 oz cups do', () => {
    const filled = fillCups(
      wants(Math.round(22.5 * OZ), { cups: [cup('c', [layer('a')], { copies: 5, sizeUl: SIZES[2]! })] }),
      SIZES,
    )
    expect(filled.cups[0]!.eachUl / OZ).toBeCloseTo(4.5, 4)
    expect(filled.cups[0]!.fits).toBe(true)
    expect(filled.cups[0]!.smallestUl).toBe(SIZES[1])
  })
  it('is filled to nine tenths at most, and says so where nothing holds it', () => {
    expect(smallestCup(90_000, [100_000])).toBe(100_000)
    expect(smallestCup(90_100, [100_000])).toBeNull()
    const filled = fillCups(wants(100_000, { cups: [cup('c', [layer('a')], { sizeUl: 100_000 })] }), [100_000])
    expect([filled.cups[0]!.fits, filled.cups[0]!.smallestUl]).toEqual([false, null])
  })
  it('several share by what they hold; one with an amount of its own takes that first', () => {
    const cups = [
      cup('big', [layer('a')], { sizeUl: 300_000 }),
      cup('small', [layer('b')], { sizeUl: 100_000, copies: 2 }),
    ]
    expect(fillCups(wants(500_000, { cups }), []).cups.map((c) => c.ul)).toEqual([300_000, 200_000])
    const fixed = [cup('fixed', [layer('a')], { ul: 40_000, copies: 2 }), cup('rest', [layer('b')])]
    expect(fillCups(wants(500_000, { cups: fixed }), []).cups.map((c) => c.ul)).toEqual([80_000, 420_000])
  })
  it('nine panels: nine times the cups', () => {
    const nine = surface('panel', { surface: { shape: 'rectangle', lengthMm: 200, widthMm: 200, edgeMm: 0, count: 9 } })
    const [filled] = fillCups(
      wants(30_000, { surfaces: [nine], cups: [cup('c', [layer('a')], { copies: 2 })] }),
      [],
    ).cups
    expect([filled!.cups, filled!.ul, filled!.eachUl]).toEqual([18, 270_000, 15_000])
  })
  it('a surface with a cup of its own is served by it alone', () => {
    const surfaces = [surface('a'), surface('b'), surface('c')]
    const filled = fillCups(wants(10_000, { surfaces, cups: [cup('own', [], { on: 'b' }), cup('all', [])] }), [])
    expect(filled.cups.map((c) => c.ul)).toEqual([10_000, 20_000])
    expect(filled.openUl).toBe(0)
  })
  it('says what no cup gives yet', () => {
    const surfaces = [surface('a'), surface('b')]
    expect(fillCups(wants(10_000, { surfaces, cups: [cup('own', [], { on: 'b' })] }), []).openUl).toBe(10_000)
    expect(fillCups(wants(10_000), []).openUl).toBe(10_000)
  })
  it('a layer with an amount takes it in every cup, the rest share what is left', () => {
    const cups = [
      cup(
        'c',
        [
          layer('a', { ul: 5_000, share: null }),
          layer('b', { share: 2 }),
          layer('c', { share: 1 }),
          layer('d', { share: null }),
        ],
        { copies: 3 },
      ),
    ]
    expect(fillCups(wants(60_000, { cups }), []).cups[0]!.layers.map((l) => l.ul)).toEqual([15_000, 30_000, 15_000, 0])
  })
  it('layers sum to their cup and cups to what is wanted, to the microlitre', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 5_000_000 }),
        fc.array(fc.array(fc.double({ min: 0.1, max: 9, noNaN: true }), { minLength: 1, maxLength: 12 }), {
          minLength: 1,
          maxLength: 5,
        }),
        (ul, shares) => {
          const cups = shares.map((s, i) =>
            cup(
              `c${i}`,
              s.map((share, k) => layer(`${i}.${k}`, { share })),
              { copies: 1 + (i % 3) },
            ),
          )
          const filled = fillCups(wants(ul, { cups }), [])
          expect(filled.pourUl).toBe(ul)
          for (const c of filled.cups) expect(c.layers.reduce((sum, l) => sum + l.ul, 0)).toBe(c.ul)
        },
      ),
    ))
})
