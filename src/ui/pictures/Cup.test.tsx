import { renderToStaticMarkup } from 'react-dom/server'
import { Cup } from './Cup'

describe('the cup', () => {
  it('stacks its layers to scale from the bottom up', () => {
    const markup = renderToStaticMarkup(
      <Cup
        fullUl={100_000}
        layers={[
          { id: 'a', hex: '#111111', ul: 50_000, label: 'Soot' },
          { id: 'b', hex: '#eeeeee', ul: 25_000, label: 'White' },
        ]}
      />,
    )
    const ys = [...markup.matchAll(/<rect x="0" y="([\d.]+)"/g)].map((m) => Number(m[1]))
    // Floor at 300, rim at 16: 284 for the whole.
    expect(ys).toEqual([300 - 142, 300 - 142 - 71])
    expect(markup).toMatch('aria-label="Cup: Soot, White"')
  })
  it('is empty without layers', () =>
    expect(renderToStaticMarkup(<Cup layers={[]} fullUl={1} />)).toMatch('Cup: empty'))
})
