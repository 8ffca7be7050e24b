import fc from 'fast-check'
import { MEDIUM_KINDS } from '../paint/properties'
import { THINNERS } from '../mix/thinners'
import { meanColour } from '../colour/meanColour'
import { combined } from './combined'
import { suitsAsBase } from './suitsAsBase'
import { keepsDays } from './keepsDays'
import { readShortCode, shortCode } from './shortCode'
import { explain } from './stocktake'
import type { Loss } from './weighIn'

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
  })
  it('is never longer for being warmer or for one more thing in it', () => {
    fc.assert(
      fc.property(
        fc.subarray([...THINNERS]),
        fc.subarray([...MEDIUM_KINDS]),
        fc.integer({ min: 1, max: 40 }),
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

describe('the code of a bottle', () => {
  it('is read as it is typed, and letters that look alike are one', () => {
    const code = shortCode('7KQ4')
    expect(code).toMatch(/^7KQ4-[0-9A-Z]$/)
    expect(readShortCode(code)).toBe('7KQ4')
    expect(readShortCode(` ${code.toLowerCase().replace('-', ' ')} `)).toBe('7KQ4')
    expect(readShortCode(shortCode('10AB').replace('10', 'IO'))).toBe('10AB')
    expect([readShortCode(''), readShortCode('7KQ'), readShortCode('U!XX9')]).toEqual([undefined, undefined, undefined])
  })
  it('tells one mistyped letter, and two that were swapped', () => {
    const letters = [...'0123456789ABCDEFGHJKMNPQRSTVWXY']
    const body = fc.array(fc.constantFrom(...letters), { minLength: 4, maxLength: 5 }).map((l) => l.join(''))
    fc.assert(
      fc.property(body, fc.nat(3), fc.constantFrom(...letters), (b, at, other) => {
        const code = shortCode(b)
        const wrong = b.slice(0, at) + other + b.slice(at + 1)
        if (wrong !== b) expect(readShortCode(wrong + code.at(-1)!)).toBeUndefined()
        const swapped = b.slice(0, at) + (b[at + 1] ?? '') + b[at]! + b.slice(at + 2)
        if (swapped !== b && b[at + 1]) expect(readShortCode(swapped + code.at(-1)!)).toBeUndefined()
      }),
    )
  })
})

describe('bottles poured together', () => {
  it('are as old as the oldest, keep as long as the weakest, and rest anew; an empty one says nothing', () => {
    const part = { ul: 10, mixedAt: 5, restUntil: 7, keepUntil: 90, dryShare: 0.03 }
    const parts = [
      part,
      { ...part, mixedAt: 2, keepUntil: 50, dryShare: 0, ul: 20 },
      { ul: 0, mixedAt: 0, restUntil: 999, keepUntil: 1, dryShare: 9 },
    ]
    expect(combined(parts, 20, 10)).toEqual({ mixedAt: 2, restUntil: 30, keepUntil: 50, dryShare: 0.3 / 30 })
    expect(combined([{ ...part, keepUntil: null, restUntil: 40 }], 20, 10)).toMatchObject({
      mixedAt: 5,
      restUntil: 40,
      keepUntil: null,
    })
  })
  it('lie under a pour that is like them, or under anything when they are a quiet grey', () => {
    expect(suitsAsBase('#24405e', '#1f4a63')).toMatchObject({ suits: true, why: 'near the colours of this pour' })
    expect(suitsAsBase('#6f7478', '#8a6a50')).toMatchObject({ suits: true, why: 'a quiet grey' })
    expect(suitsAsBase('#b01c2e', '#1f4a63')).toMatchObject({ suits: false })
    expect(suitsAsBase('#f4f4f4', '#101010')).toMatchObject({ suits: false })
  })
  it('have a mean colour by amount', () => {
    expect(meanColour([{ hex: '#136a78', amount: 5 }])).toBe('#136a78')
    expect(
      meanColour([
        { hex: '#000000', amount: 1 },
        { hex: '#ffffff', amount: 1 },
      ]),
    ).toBe('#777777')
    expect(meanColour([])).toBeUndefined()
  })
})

describe('a weight in a stocktake', () => {
  const content = [
    { lotId: 'p', ul: 100_000, isWater: false, densityGPerMl: 1.2, solids: 0.4 },
    { lotId: 'w', ul: 20_000, isWater: true, densityGPerMl: 1, solids: 0 },
  ]
  const weigh = (netG: number, named?: Loss) =>
    explain({ grossMg: 30_000 + netG * 1000, tareMg: 30_000, content, named })
  it('is as booked, evaporated, a gain, or wants a word', () => {
    expect(weigh(140)).toMatchObject({ kind: 'as booked', measuredUl: 120_000 })
    // Two tenths of a gram are what a kitchen scale cannot tell.
    expect(weigh(140.2)).toMatchObject({ kind: 'as booked', gainedUl: 0 })
    expect(weigh(139.8)).toMatchObject({ kind: 'as booked', evaporatedUl: 0 })
    expect(weigh(140.3)).toMatchObject({ kind: 'gain' })
    expect(weigh(139.7)).toMatchObject({ kind: 'evaporation' })
    expect(weigh(136)).toMatchObject({ kind: 'evaporation', evaporatedUl: 4_000, lostUl: 0 })
    expect(weigh(136).sentence).toMatch(/^4.ml of water evaporated/)
    expect(weigh(154)).toMatchObject({ kind: 'gain', gainedUl: 12_000 })
    const lost = weigh(108)
    expect(lost).toMatchObject({ kind: 'unexplained', evaporatedUl: 20_000, lostUl: 10_000 })
    expect(lost.sentence).toMatch(
      /^20.ml of water can have evaporated; 10.ml more is missing\. Say whether it dried, was spilled/,
    )
    expect(weigh(108, 'spilled')).toMatchObject({ kind: 'evaporation', lostUl: 10_000 })
    expect(weigh(108, 'spilled').sentence).toMatch('spilled')
    expect(weigh(108, 'dried')).toMatchObject({ kind: 'evaporation', evaporatedUl: 32_000, lostUl: 0 })
    expect(weigh(108, 'dried').sentence).toMatch(/^32.ml of water evaporated/)
    expect(weigh(50, 'dried')).toMatchObject({ kind: 'unreadable' })
    const thick = explain({ grossMg: 147_000, tareMg: 30_000, content: content.slice(0, 1) })
    expect(thick.sentence).toMatch(/^2[.\d]*.ml is missing/)
  })
  it('less than the bottle itself cannot be read', () => {
    expect(weigh(-1)).toMatchObject({ kind: 'unreadable', measuredUl: null })
    expect(weigh(-1).sentence).toMatch('Check the tare')
  })
})
