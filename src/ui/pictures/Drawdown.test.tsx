import { renderToStaticMarkup } from 'react-dom/server'
import { BODIES, OPACITIES } from '@/core/paint/properties'
import { Drawdown } from './Drawdown'

const attribute = (markup: string, pattern: RegExp) => Number(pattern.exec(markup)?.[1])

describe('the drawdown card', () => {
  const card = (body: (typeof BODIES)[number], opacity: (typeof OPACITIES)[number]) =>
    renderToStaticMarkup(<Drawdown hex="#136a78" body={body} opacity={opacity} sheen="gloss" />)
  it('hides more of the black line the more opaque the paint is', () => {
    const hides = OPACITIES.map((o) => attribute(card('soft', o), /fill-opacity="([\d.]+)"/))
    expect(hides).toEqual([...hides].sort((a, b) => a - b))
    expect(hides.at(-1)).toBe(1)
    expect(new Set(hides).size).toBe(OPACITIES.length)
  })
  it('draws each body with an edge of its own', () => {
    expect(new Set(BODIES.map((b) => /<path d="([^"]+)"/.exec(card(b, 'opaque'))![1])).size).toBe(BODIES.length)
  })
  it('says in words what it shows', () =>
    expect(card('ink', 'transparent')).toMatch('aria-label="transparent, gloss, ink"'))
})
