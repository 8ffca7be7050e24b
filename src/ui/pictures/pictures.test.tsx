import { renderToStaticMarkup } from 'react-dom/server'
import { BODIES, OPACITIES, SHEENS } from '@/core/paint/properties'
import { BottleGlyph } from './BottleGlyph'
import { Cup } from './Cup'
import { Chip, Drawdown } from './Drawdown'
import { Notice } from '@/ui/frame/Notice'
import { PouredPicture } from './PouredPicture'
import { SheenDefs, sheenFill } from './SheenDefs'
import { SurfacePicture } from './SurfacePicture'
import { TrayMark } from '@/ui/frame/TrayMark'

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

describe('sheen', () => {
  it('has a pattern for every kind', () => {
    const defs = renderToStaticMarkup(<SheenDefs />)
    for (const sheen of SHEENS) {
      const id = /url\(#(.+)\)/.exec(sheenFill(sheen))![1]
      expect([sheen, defs.includes(`id="${id}"`)]).toEqual([sheen, true])
    }
  })
})

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
    const face = /<rect x="0" y="0" width="([\d.]+)" height="([\d.]+)" fill="none"/.exec(markup)!
    expect(Number(face[1]) / Number(face[2])).toBeCloseTo(2, 6)
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
    expect(two).toMatch('round, 30.0 cm across, 2 pieces, edges 1.0 cm')
  })
  it('draws nothing for no size', () => expect(draw(0, 300, 0)).toBe(''))
})

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
    expect(draw('one')).toMatch('viewBox="0 0 300 375"')
  })
  it('uses the colours that went in, and no number that is none', () => {
    expect(new Set([...draw('one').matchAll(/fill="(#[0-9a-f]+)"/g)].map((m) => m[1]))).toEqual(
      new Set(['#16324f', '#c98a2b']),
    )
    expect(draw('one')).not.toMatch('NaN')
    expect(renderToStaticMarkup(<PouredPicture seed="x" ratio={1} label="" colours={[]} />)).not.toMatch('NaN')
  })
})

describe('small things', () => {
  it('a warning is told by icon and role, not by colour', () => {
    const markup = renderToStaticMarkup(<Notice kind="warning">Mind the torch.</Notice>)
    expect(markup).toMatch('role="alert"')
    expect(markup).toMatch('<svg')
    expect(markup).not.toMatch(/color:/)
  })
  it('a tray mark carries its item as data, and says its name', () => {
    const item = { kind: 'paint' as const, id: '1', label: 'Rain & "fog" blue', hex: '#112233', sheen: 'satin' }
    const markup = renderToStaticMarkup(<TrayMark item={item} />)
    const data = /data-tray="([^"]+)"/.exec(markup)![1]!.replaceAll('&quot;', '"').replaceAll('&amp;', '&')
    expect(JSON.parse(data)).toEqual(item)
    expect(markup).toMatch('aria-label="Tray: Rain &amp; &quot;fog&quot; blue"')
  })
  it('a chip without a colour is crossed out', () =>
    expect(renderToStaticMarkup(<Chip hex={null} />)).toMatch('M4 24L24 4'))
})
