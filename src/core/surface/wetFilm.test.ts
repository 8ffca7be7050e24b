import { wetFilmMm } from './wetFilm'

const panel = { shape: 'rectangle', lengthMm: 100, widthMm: 200, diameterMm: 0, edgeMm: 10, count: 1 } as never

it('spreads what stays over face and edges: 26 ml on 20 × 10 cm with edges of 1 cm are 1 mm', () => {
  expect(wetFilmMm(26_000, [panel])).toBeCloseTo(1, 12)
  expect(wetFilmMm(26_000, [panel, panel])).toBeCloseTo(0.5, 12)
  expect(wetFilmMm(26_000, [])).toBe(0)
  expect(() => wetFilmMm(NaN, [panel])).toThrow()
})
