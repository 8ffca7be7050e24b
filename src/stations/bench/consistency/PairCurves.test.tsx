import { renderToStaticMarkup } from 'react-dom/server'
import { PairCurves } from './PairCurves'

jest.mock('@/db/bottles/consistency', () => ({}))

const text = (html: string) => html.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ')

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
