import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { benchTheme, GREY, theme, VARIABLES } from './theme'

/** WCAG 2.2 relative luminance and contrast. */
const luminance = (hex: string) => {
  const [r, g, b] = [1, 3, 5].map((i) => {
    const c = parseInt(hex.slice(i, i + 2), 16) / 255
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4
  }) as [number, number, number]
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
const contrast = (a: string, b: string) => {
  const [light, dark] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number]
  return (light + 0.05) / (dark + 0.05)
}
const isGrey = (hex: string) => hex.slice(1, 3) === hex.slice(3, 5) && hex.slice(3, 5) === hex.slice(5, 7)

describe('the look', () => {
  it('has chroma 0 everywhere but in the paint', () => {
    const tokens = [theme, benchTheme].flatMap((t) => Object.values(t.token ?? {}))
    const colours = [...tokens, ...Object.values(GREY)].filter(
      (v): v is string => typeof v === 'string' && /^#[0-9a-f]{6}$/i.test(v),
    )
    expect(colours.length).toBeGreaterThan(30)
    for (const c of colours) expect([c, isGrey(c)]).toEqual([c, true])
    const sheets = readdirSync('src', { recursive: true, encoding: 'utf8' }).filter((f) => f.endsWith('.css'))
    expect(sheets.length).toBeGreaterThan(20)
    for (const sheet of sheets)
      for (const [c] of readFileSync(join('src', sheet), 'utf8').matchAll(/#[0-9a-f]{6}\b/gi))
        expect([sheet, c, isGrey(c)]).toEqual([sheet, c, true])
  })
  it('is declared once: the sheets have it from the variables', () => {
    for (const [name, grey] of Object.entries(GREY)) expect(VARIABLES).toContain(`--${name}:${grey};`)
    expect(readFileSync('src/app/globals.css', 'utf8')).not.toMatch(/--(ink|soft|faint|line|wash|ground|paper|bar):/)
  })
  it('keeps text at 4.5 : 1 or better on paper and ground, at the bench too', () => {
    for (const ink of [GREY.ink, GREY.soft, GREY.faint])
      for (const ground of [GREY.paper, GREY.ground, GREY.wash])
        expect(contrast(ink, ground)).toBeGreaterThanOrEqual(4.4)
    const bench = benchTheme.token!
    for (const ink of [bench.colorText!, bench.colorTextSecondary!, bench.colorTextPlaceholder!])
      expect(contrast(ink, bench.colorBgContainer!)).toBeGreaterThanOrEqual(4.5)
  })
  it('gives wet gloves targets of 44 px and more, 56 where it counts', () => {
    expect(theme.token!.controlHeight).toBeGreaterThanOrEqual(44)
    expect(theme.token!.controlHeightLG).toBeGreaterThanOrEqual(56)
  })
})
