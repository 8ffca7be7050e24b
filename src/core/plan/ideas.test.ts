import { random } from '../../../tests/support/random'
import { checkPairs } from '../colour/paletteCheck'
import { hexToLab } from '../colour/lab'
import { opticsFromHex } from '../colour/paintOptics'
import { TECHNIQUES } from '../technique/techniques'
import { drawIdea, type IdeaBottle } from './ideas'

const hexes = ['#4b2a86', '#f2c511', '#136a78', '#f5f3ec', '#1d4e9e', '#3f8f4f', '#c22a2c', '#7a4a22']
const pairs = checkPairs(
  hexes.map((hex, i) => ({
    id: `b${i}`,
    optics: opticsFromHex(hex, 'normal'),
    lab: hexToLab(hex),
    sheen: 'satin' as const,
  })),
  [],
)
const bottles = hexes.map((_, i): IdeaBottle => ({ id: `b${i}`, ul: 100_000, idleDays: 0, keepsDays: null }))
const draw = (
  seed: number,
  more: Partial<{
    bottles: IdeaBottle[]
    tried: (a: string, b: string) => boolean
    held: Parameters<typeof drawIdea>[5]
  }> = {},
) => drawIdea(more.bottles ?? bottles, TECHNIQUES, pairs, more.tried ?? (() => false), random(seed), more.held)!
const seeds = Array.from({ length: 200 }, (_, i) => i * 7919)

describe('ideas', () => {
  it('the same seed draws the same; others draw others', () => {
    expect(draw(1)).toEqual(draw(1))
    expect(new Set(seeds.map((s) => draw(s).technique)).size).toBeGreaterThan(10)
    for (const s of seeds) expect(new Set(draw(s).bottles).size).toBe(draw(s).bottles.length)
  })
  it('idle bottles and those near their date come more often', () => {
    const old = bottles.map((b, i) => (i === 3 ? { ...b, idleDays: 90, keepsDays: 5 } : b))
    const often = (list: IdeaBottle[]) => seeds.filter((s) => draw(s, { bottles: list }).bottles.includes('b3')).length
    expect(often(old)).toBeGreaterThan(1.3 * often(bottles))
  })
  it('keeps what is held', () => {
    for (const s of seeds.slice(0, 30)) {
      const idea = draw(s, { held: { technique: 'dutch', bottles: ['b6', 'b2'] } })
      expect(idea.technique).toBe('dutch')
      expect(idea.bottles).toEqual(expect.arrayContaining(['b6', 'b2']))
    }
  })
  it('two that make mud come rarely, and then never side by side where another can lie between', () => {
    const clash = new Set(pairs.filter((p) => p.verdict === 'apart').map((p) => `b${p.a} b${p.b}`))
    expect(clash.has('b0 b1')).toBe(true)
    const touching = seeds.filter((s) =>
      draw(s).bottles.some((b, i, all) => i > 0 && clash.has([all[i - 1]!, b].sort().join(' '))),
    )
    expect(touching.length).toBeLessThan(seeds.length / 20)
  })
  it('says why', () =>
    expect(draw(3, { bottles: bottles.map((b) => ({ ...b, idleDays: 60 })) }).why.join(', ')).toMatch(
      /stood for a month.*never poured together/,
    ))
  it('draws nothing from one bottle', () =>
    expect(drawIdea(bottles.slice(0, 1), TECHNIQUES, [], () => false, random(1))).toBeUndefined())
})
