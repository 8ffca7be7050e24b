import { renderToStaticMarkup } from 'react-dom/server'
import { SurfacePicture } from './SurfacePicture'

describe('the surface', () => {
  const draw = (lengthMm: number, widthMm: number, edgeMm: number) =>
    renderToStaticMarkup(
      <SurfacePicture
        surface={{ shape: 'rectangle', lengthMm, widthMm, edgeMm, count: 1 }}
        colours={[
          { hex: '#136a78', ul: 3 },
          { hex: '#ffffff', ul: 1 },
        ]}
      />,
    )
  it('is to scale, colours in their shares', () => {
    const markup = draw(600, 300, 0)
    const [, left, top, right, , , bottom] = /<path d="M([\d.]+) ([\d.]+)L([\d.]+) ([\d.]+)L([\d.]+) ([\d.]+)/
      .exec(markup)!
      .map(Number)
    expect((right! - left!) / (bottom! - top!)).toBeCloseTo(2, 2)
    const widths = [...markup.matchAll(/width="([\d.]+)" height="[\d.]+" fill="#(?:136a78|ffffff)"/g)].map(
      (m) => Number(m[1]) - 0.5,
    )
    expect(widths[0]! / widths[1]!).toBeCloseTo(3, 6)
    expect(markup).toMatch('60 × 30 cm · 23.6 × 11.8 in')
  })
  it('gives each picture on a page a clip of its own', () => {
    const two = renderToStaticMarkup(
      <>
        <SurfacePicture surface={{ shape: 'round', diameterMm: 300, edgeMm: 10, count: 2 }} colours={[]} />
        <SurfacePicture surface={{ shape: 'round', diameterMm: 200, edgeMm: 0, count: 1 }} colours={[]} />
      </>,
    )
    const ids = [...two.matchAll(/<clipPath id="([^"]+)"/g)].map((m) => m[1])
    expect(new Set(ids).size).toBe(2)
    expect(two).toMatch('round, 30 cm across, 2 pieces, edges 1.0 cm')
  })
  it('draws nothing for no size', () => expect(draw(0, 300, 0)).toBe(''))
})
