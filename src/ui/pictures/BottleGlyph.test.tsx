import { renderToStaticMarkup } from 'react-dom/server'
import { BottleGlyph } from './BottleGlyph'

const attribute = (markup: string, pattern: RegExp) => Number(pattern.exec(markup)?.[1])

describe('the bottle', () => {
  const top = (level: number) =>
    attribute(
      renderToStaticMarkup(<BottleGlyph id="b" look={{ hex: '#136a78', sheen: 'satin', level }} />),
      /<rect x="8" y="([\d.]+)"/,
    )
  it('is filled to its real level', () => {
    const [full, half, none] = [top(1), top(0.5), top(0)]
    expect(half).toBeCloseTo((full + none) / 2, 9)
    expect(full).toBeLessThan(none)
    expect(top(3)).toBe(full)
  })
  it('is drawn without paint when empty, and with a dashed collar while it rests', () => {
    const empty = renderToStaticMarkup(
      <BottleGlyph id="b" look={{ hex: '#136a78', sheen: 'satin', level: 0, empty: true }} />,
    )
    expect(empty).not.toMatch('#136a78')
    const resting = renderToStaticMarkup(
      <BottleGlyph id="b" look={{ hex: '#136a78', sheen: 'satin', level: 1, resting: true }} />,
    )
    expect(resting).toMatch('stroke-dasharray')
    expect(empty).not.toMatch('stroke-dasharray')
  })
})
