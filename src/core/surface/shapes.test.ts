import { areas } from './area'
import { polygonArea } from './polygon'
import { footprint, outline, type Shape } from './shapes'

const SHAPES: Shape[] = [
  { shape: 'rectangle', lengthMm: 300, widthMm: 200 },
  { shape: 'ellipse', lengthMm: 300, widthMm: 200 },
  { shape: 'round', diameterMm: 250 },
  { shape: 'polygon', sides: 5, acrossMm: 240 },
  { shape: 'area', areaMm2: 90_000 },
]
describe('a face as it is drawn', () => {
  it.each(SHAPES)('%j has the area it is computed with', (s) =>
    expect(polygonArea(outline(s)) / areas({ ...s, edgeMm: 0, count: 1 }).faceMm2).toBeCloseTo(1, 2),
  )
  it('tiles take their gaps on the table; a vase its widest', () => {
    expect(footprint({ shape: 'tiles', lengthMm: 100, widthMm: 80, across: 3, down: 2, gapMm: 5 })).toEqual({
      lengthMm: 310,
      widthMm: 165,
    })
    const vase = [40, 60, 30].map((radiusMm, i) => ({ heightMm: i * 90, radiusMm }))
    expect(footprint({ shape: 'profile', points: vase })).toEqual({ lengthMm: 120, widthMm: 120 })
  })
})
