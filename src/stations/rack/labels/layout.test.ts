import { longLabel as text } from '../../../../tests/support/labels'
import jsQR from 'jsqr'
import { PDFDocument } from 'pdf-lib'
import sharp from 'sharp'
import { GRIDS, gridOf, placesOf } from './grids'
import { modulesPath } from '@/ui/pictures/codeModules'
import { drawLabel, wrap } from './layout'
import { labelsPdf } from './pdf'
import { labelsSvg } from './svg'

const width = (t: string, size: number) => 0.55 * size * t.length

describe('a label', () => {
  it('is one page of 70 × 36 mm, whatever is written on it', async () => {
    const pdf = await PDFDocument.load(await labelsPdf([text], gridOf('one')))
    expect(pdf.getPageCount()).toBe(1)
    const size = pdf.getPage(0).getSize()
    expect(size.width / (72 / 25.4)).toBeCloseTo(70, 6)
    expect(size.height / (72 / 25.4)).toBeCloseTo(36, 6)
    expect(pdf.getTitle()).toMatch('Łódź teal')
  })
  it.each(GRIDS.map((g) => g.key))('keeps within its edges, nothing upon anything, on %s', (key) => {
    const { label } = gridOf(key)
    const { texts, qr, chip } = drawLabel(text, label, width)
    expect(texts.map((t) => t.text)).toContain('7KQ4-D')
    for (const t of texts) {
      expect(t.x + width(t.text, t.size)).toBeLessThanOrEqual(qr.x)
      expect(t.y).toBeLessThanOrEqual(label.height - 2)
    }
    for (const [i, t] of texts.slice(1).entries()) expect(t.y - texts[i]!.y).toBeGreaterThan(texts[i]!.size * 0.9)
    expect(qr.x + qr.side).toBeLessThanOrEqual(label.width - 2)
    expect(qr.y + qr.side).toBeLessThanOrEqual(label.height - 2)
    // A module of 0.5 mm is read by any camera at arm's length.
    expect(qr.side / qr.modules.length).toBeGreaterThan(0.5)
    if (chip) expect(chip.y).toBeGreaterThanOrEqual(qr.y + qr.side)
  })
  it('breaks words that are wider than the line, and says when more was left out', () => {
    expect(wrap('aaaa bb cc', (t) => t.length, 5, 3)).toEqual(['aaaa', 'bb cc'])
    expect(wrap('aaaaaaaa b', (t) => t.length, 5, 2)).toEqual(['aaaaa', 'b'])
    expect(wrap('aa bb cc dd', (t) => t.length, 2, 2)).toEqual(['aa', 'b…'])
  })
  it('is read from its picture by a library of another house', async () => {
    for (const key of ['one', 'a4-24', 'a4-40', 'letter-30']) {
      const grid = gridOf(key)
      const { x, y } = placesOf(grid, 1)[0]!
      // A picture in mm, drawn at a density of 144, comes out at 288 dots an inch.
      const dots = (mm: number) => Math.floor((mm / 25.4) * 288)
      const { data, info } = await sharp(Buffer.from(await labelsSvg([text], grid)), { density: 144 })
        .flatten({ background: '#fff' })
        .extract({
          left: dots(x),
          top: dots(y),
          width: dots(grid.label.width) - 1,
          height: dots(grid.label.height) - 1,
        })
        .ensureAlpha()
        .raw()
        .toBuffer({ resolveWithObject: true })
      const code = jsQR(new Uint8ClampedArray(data), info.width, info.height, { inversionAttempts: 'dontInvert' })
      expect([key, code?.data]).toEqual([key, text.url])
    }
  })
  it('joins the modules of a row that touch', () => {
    expect(
      modulesPath([
        [true, true, false, true],
        [false, false, true, false],
      ]),
    ).toBe('M0 0h2v1h-2zM3 0h1v1h-1zM2 1h1v1h-1z')
  })
})
