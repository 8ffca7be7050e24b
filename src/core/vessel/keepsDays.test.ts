import fc from 'fast-check'
import { MEDIUM_KINDS } from '../paint/properties'
import { THINNERS } from '../mix/thinners'
import { keepsDays } from './keepsDays'

describe('how long a mix keeps', () => {
  const days = (more: Partial<Parameters<typeof keepsDays>[0]>) =>
    keepsDays({ thinners: ['distilled'], mediums: [], rackC: 20, ...more })
  // Common practice, no published source: days with tap, weeks with purified, nine months with distilled water.
  it('goes by its worst water', () => {
    expect([
      days({}),
      days({ thinners: [] }),
      days({ thinners: ['tap'] }),
      days({ thinners: ['distilled', 'purified'] }),
      days({ thinners: [null] }),
    ]).toEqual([270, 270, 5, 28, 30])
  })
  it('is shorter with glue, shorter where it is warm, and nothing in the frost', () => {
    expect(days({ mediums: ['glue', 'conditioner'] })).toBe(162)
    expect(days({ rackC: 30 })).toBe(135)
    expect(days({ rackC: 5 })).toBe(270)
    expect(days({ rackC: 0 })).toBe(0)
    // No cliff before the frost.
    expect(days({ rackC: 1 })).toBe(54)
    for (let c = 0; c < 5; c += 0.25) expect(days({ rackC: c + 0.25 }) - days({ rackC: c })).toBeLessThanOrEqual(14)
  })
  it('is never longer for being warmer or for one more thing in it', () => {
    fc.assert(
      fc.property(
        fc.subarray([...THINNERS]),
        fc.subarray([...MEDIUM_KINDS]),
        fc.integer({ min: 6, max: 40 }),
        (thinners, mediums, rackC) => {
          const whole = keepsDays({ thinners, mediums, rackC })
          expect(whole).toBeLessThanOrEqual(
            keepsDays({ thinners: thinners.slice(1), mediums: mediums.slice(1), rackC }),
          )
          expect(whole).toBeLessThanOrEqual(keepsDays({ thinners, mediums, rackC: rackC - 1 }) || whole)
        },
      ),
    )
  })
})
