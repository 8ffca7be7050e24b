import { coat, surface } from '../../../tests/support/design'
import { coatUl } from './coats'

// Face 400 × 500 = 200 000 mm², edges 2 · 20 · 900 = 36 000 mm².
const canvas = surface('canvas', { surface: { shape: 'rectangle', lengthMm: 400, widthMm: 500, edgeMm: 20, count: 1 } })
const two = { ...canvas, split: { turnDeg: 0, offsetMm: 50 } }

describe('coats', () => {
  it.each([
    [coat('base coat', 'b'), 59_000],
    [coat('sides', 'b'), 9_000],
    [coat('swipe', 'b', { share: 0.2, wetMm: 0.5 }), 20_000],
    [coat('base coat', 'b', { ul: 50_000 }), 50_000],
    [coat('base coat', 'b', { on: 'another' }), 0],
  ])('%j', (c, ul) => expect(coatUl(c, [canvas])).toBe(ul))
  it('a half of a two-tone surface takes its share of it, and the halves make the whole', () => {
    // Upright, 50 mm right of the middle of 400: five eighths.
    expect(coatUl(coat('base coat', 'a', { half: 0 }), [two])).toBe(Math.round(59_000 * 0.625))
    expect(coatUl(coat('base coat', 'b', { half: 1 }), [two])).toBe(Math.round(59_000 * 0.375))
  })
  it('counts every piece of every surface', () => {
    const nine = surface('nine', { surface: { ...canvas.surface, count: 9 } })
    expect(coatUl(coat('base coat', 'b'), [canvas, nine])).toBe(590_000)
  })
})
