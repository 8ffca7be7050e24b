import { meanMix, mixFacts, USUAL_MIX, type MixPortion } from './mixFacts'

const paint: MixPortion = { kind: 'paint', ul: 100, densityGPerMl: 1.2, solids: 0.4, waterShare: 0 }
const glue: MixPortion = { kind: 'medium', ul: 200, densityGPerMl: 1.05, solids: 0.3, waterShare: 0.4 }
const water: MixPortion = { kind: 'water', ul: 20, densityGPerMl: 1, solids: 0, waterShare: 1 }

describe('what a mix is', () => {
  it('counts all water that was added: by itself, inside a thinned medium, and at the table', () => {
    expect(mixFacts([paint, glue, water]).waterOfPaint).toBeCloseTo((0.4 * 200 + 20) / 100, 12)
    expect(mixFacts([paint, glue, water], 30).waterOfPaint).toBeCloseTo(1.3, 12)
    expect(mixFacts([glue, water]).waterOfPaint).toBe(0)
  })
  it('weighs and hardens by what is in it, to the gram', () => {
    const { densityGPerMl, solids } = mixFacts([paint, glue, water], 80)
    expect(400 * densityGPerMl).toBeCloseTo(100 * 1.2 + 200 * 1.05 + 20 + 80, 9)
    expect(400 * solids).toBeCloseTo(100, 9)
  })
  it('is the usual where nobody knows, and that is one thing for all who ask', () => {
    expect(mixFacts([])).toEqual(USUAL_MIX)
    expect(meanMix([])).toEqual(USUAL_MIX)
    expect(meanMix([{ ul: 0, ...mixFacts([paint]) }])).toEqual(USUAL_MIX)
  })
  it('of several together is what they are poured into one', () => {
    const one = [paint, { ...water, ul: 30 }]
    const two = [{ ...paint, ul: 50 }, glue]
    const together = meanMix([
      { ul: 130, ...mixFacts(one) },
      { ul: 250, ...mixFacts(two) },
    ])
    const poured = mixFacts([...one, ...two])
    expect(together.densityGPerMl).toBeCloseTo(poured.densityGPerMl, 12)
    expect(together.solids).toBeCloseTo(poured.solids, 12)
  })
  it('refuses what is no amount', () => {
    expect(() => mixFacts([{ ...paint, ul: NaN }])).toThrow()
    expect(() => mixFacts([paint], -1)).toThrow()
  })
})
