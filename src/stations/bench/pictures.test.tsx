import { renderToStaticMarkup } from 'react-dom/server'
import { START_BANDS } from '@/core/consistency/levelTime'
import type { WaterAdvice } from '@/core/consistency/waterAdvice'
import { adviceSentence, adviceSteps } from './consistency/Advice'
import { BandScale } from './consistency/BandScale'
import { PairCurves } from './consistency/PairCurves'
import { FluidOunceTrap } from './FluidOunceTrap'

jest.mock('@/db/bottles/consistency', () => ({}))
const text = (html: string) => html.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ')

describe('the bands', () => {
  it('say where a mix is and where it should be', () => {
    const html = renderToStaticMarkup(<BandScale bands={START_BANDS} wantedS={[1, 1.5]} nowS={2.5} />)
    expect(html.match(/<li/g)).toHaveLength(6)
    expect(text(html)).toContain('sinks 2–4 s now')
    expect(text(html)).toContain('melts 1–2 s wanted')
    expect(text(html)).toContain('stands over 8 s')
    expect(text(html)).toContain('vanishes under 0.3 s')
    expect(html.match(/data-wanted/g)).toHaveLength(1)
  })
  it('mark every band that is wanted, and none where nothing is known', () => {
    expect(
      renderToStaticMarkup(<BandScale bands={START_BANDS} wantedS={[0.5, 2.5]} />).match(/data-wanted/g),
    ).toHaveLength(3)
    expect(renderToStaticMarkup(<BandScale bands={START_BANDS} />)).not.toMatch(/data-here|data-wanted/)
  })
})

describe('the advice in words', () => {
  const advice = (more: Partial<WaterAdvice>): WaterAdvice => ({
    kind: 'water',
    waterUl: 600,
    rangeUl: [400, 900],
    chance: 0.8,
    mediumUl: 0,
    unwateredUl: 0,
    stepsUl: [400, 200],
    expectedS: 1.42,
    ...more,
  })
  it('gives drops and ml, the eight in ten, and the steps', () => {
    const plain = (a: WaterAdvice) => adviceSentence(a).replace(/\u00a0/g, ' ')
    expect(plain(advice({}))).toBe(
      '12 drops (0.60 ml) of water bring it to about 1.4 s. Eight times in ten it takes 8 drops to 18 drops.',
    )
    expect(plain(advice({ waterUl: 8_000 }))).toMatch(/^8 ml \(160 drops\)/)
    expect(adviceSteps(advice({})).replace(/\u00a0/g, ' ')).toBe('In two steps: 8 drops, stir and look, then 4 drops.')
    expect(adviceSteps(advice({ stepsUl: [300] }))).toBe('')
  })
  it('stops at the limit, and says what else', () => {
    const plain = (a: Partial<WaterAdvice>) => adviceSentence(advice(a)).replace(/\u00a0/g, ' ')
    expect(plain({ kind: 'medium', waterUl: 300, mediumUl: 12_000 })).toMatch(
      /limit allows 6 drops \(0\.30 ml\); then thin with medium, about 12 ml/,
    )
    expect(plain({ kind: 'medium', waterUl: 0, mediumUl: 12_000 })).toMatch(
      'limit is reached. Thin with medium instead, about 12 ml',
    )
    expect(plain({ kind: 'good' })).toBe('It is as wanted. Leave the water alone.')
    expect(plain({ kind: 'too thin', unwateredUl: 30_000 })).toMatch('30 ml of the same mix without water')
    expect(plain({ kind: 'too thin', unwateredUl: 0 })).toMatch('let it stand open')
  })
})

describe('the curves', () => {
  it('draw every point, and say in words what water does', () => {
    const pair = {
      id: 'a b',
      paint: 'Teal',
      medium: 'Flow',
      hex: '#136a78',
      curve: { a: 1.4, b: 12, varA: 0.1, covAb: 0, varB: 1 },
      points: [
        { w: 0, lnT: 1.4, sigma: 0.1 },
        { w: 0.5, lnT: -9, sigma: 0.1 },
      ],
      mixes: 1,
    }
    const html = renderToStaticMarkup(<PairCurves pairs={[pair]} />)
    expect(html.match(/<circle/g)).toHaveLength(2)
    // What lies outside is drawn at the edge.
    expect(html).toContain('cx="210" cy="84"')
    expect(text(html)).toContain('1 ml in 100 ml: 11 % quicker · 2 readings of 1 mix')
    expect(html).toContain('aria-label="Curve of Teal with Flow"')
  })
})

describe('fluid ounces', () => {
  it('are warned of where they were typed and the paint is no water', () => {
    const trap = (typed: string, density: number) =>
      text(renderToStaticMarkup(<FluidOunceTrap typed={typed} densityGPerMl={density} />))
    expect(trap('4 oz', 1.25)).toContain('you are 20 % short')
    expect(trap('4 fl oz', 0.8)).toContain('you are 25 % over')
    expect([trap('4 fl oz', 1.01), trap('60 ml', 1.25), trap('64 g', 1.25), trap('', 1.25)]).toEqual(['', '', '', ''])
  })
})
