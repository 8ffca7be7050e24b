import { renderToStaticMarkup } from 'react-dom/server'
import { PouredPicture } from './PouredPicture'

describe('a drawing of what was poured', () => {
  const draw = (seed: string) =>
    renderToStaticMarkup(
      <PouredPicture
        seed={seed}
        ratio={1.25}
        label="a piece"
        colours={[
          { hex: '#16324f', amount: 3 },
          { hex: '#c98a2b', amount: 1 },
        ]}
      />,
    )
  it('is the same each time, and another for another piece', () => {
    expect(draw('one')).toBe(draw('one'))
    expect(draw('one')).not.toBe(draw('two'))
    expect(draw('one')).toMatch('viewBox="0 0 600 750"')
  })
  it('uses the colours that went in, and no number that is none', () => {
    expect(new Set([...draw('one').matchAll(/fill="(#[0-9a-f]+)"/g)].map((m) => m[1]))).toEqual(
      new Set(['#16324f', '#c98a2b']),
    )
    expect(draw('one')).not.toMatch('NaN')
    expect(renderToStaticMarkup(<PouredPicture seed="x" ratio={1} label="" colours={[]} />)).not.toMatch('NaN')
  })
})
