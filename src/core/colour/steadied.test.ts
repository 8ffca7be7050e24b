import { mixReflectance } from './kubelkaMunk'
import { opticsFromHex } from './paintOptics'
import { steadied } from './steadied'
import { gaussian, random } from '../../../tests/support/random'

describe('dark bands of a reading', () => {
  const violet = mixReflectance([opticsFromHex('#1b1030', 'strong')], [1])
  const next = random(7)
  const noisy = violet.map((r) => Math.max(1e-4, r + 0.002 * gaussian(next)))
  const dark = [...violet.keys()].filter((i) => violet[i]! < 0.01)
  const off = (r: Float64Array) => Math.hypot(...dark.map((i) => Math.log(r[i]! / violet[i]!)))

  it('are taken with their neighbours: nearer to what the paint is', () => {
    expect(dark.length).toBeGreaterThan(10)
    expect(off(steadied(noisy, 'reading'))).toBeLessThan(0.6 * off(noisy))
  })
  it('lighter bands stay as they were read, and lend a dark one nothing', () => {
    const edge = Float64Array.from({ length: 36 }, (_, i) => (i < 18 ? 0.004 : 0.7))
    const out = steadied(edge, 'reading')
    out.forEach((r, i) => expect(r).toBeCloseTo(edge[i]!, 9))
  })
  it('a rebuilt spectrum has no noise and comes back as it is', () => {
    expect(steadied(noisy, 'hex')).toEqual(noisy)
  })
})
