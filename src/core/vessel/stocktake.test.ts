import { explain } from './stocktake'
import type { Loss } from './weighIn'

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
    // On a scale of 1 g half a gram is nothing to explain: the books say 169.6 g.
    const wet = content.map((p) => (p.lotId === 'p' ? { ...p, ul: 99_667 } : p))
    const coarse = (grossMg: number) => explain({ grossMg, tareMg: 30_000, content: wet }).kind
    expect([coarse(170_000), coarse(169_000), coarse(169_950)]).toEqual(['as booked', 'evaporation', 'gain'])
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
