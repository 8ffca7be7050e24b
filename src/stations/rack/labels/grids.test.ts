import { longLabel as text } from '../../../../tests/support/labels'
import { PDFDocument } from 'pdf-lib'
import { GRIDS, gridOf, placesOf } from './grids'
import { type LabelText } from './layout'
import { labelsPdf } from './pdf'
import { labelsSvg } from './svg'

describe('a sheet of labels', () => {
  it.each(GRIDS)('$name lies on its page', (grid) => {
    const places = placesOf(grid, grid.columns * grid.rows)
    for (const { sheet, x, y } of places) {
      expect(sheet).toBe(0)
      expect(x).toBeGreaterThanOrEqual(0)
      expect(x + grid.label.width).toBeLessThanOrEqual(grid.page.width + 0.01)
      expect(y + grid.label.height).toBeLessThanOrEqual(grid.page.height + 0.01)
    }
    const xs = [...new Set(places.map((p) => p.x))]
    for (const [i, x] of xs.slice(1).entries()) expect(x - xs[i]!).toBeGreaterThanOrEqual(grid.label.width - 0.01)
  })
  it('begins at the first free place and goes on to the next sheet', async () => {
    const grid = gridOf('a4-24')
    const places = placesOf(grid, 26, 23)
    expect(places.map((p) => p.sheet)).toEqual([0, 0, ...new Array<number>(24).fill(1)])
    expect(places[0]).toMatchObject({ x: 70, y: 0.5 + 7 * 37 })
    expect(places[2]).toMatchObject({ x: 0, y: 0.5 })
    const pdf = await PDFDocument.load(await labelsPdf(new Array<LabelText>(26).fill(text), grid, 23))
    expect(pdf.getPageCount()).toBe(2)
    expect((await labelsSvg([text, text], grid, 24)).match(/<g /g)).toHaveLength(1)
  })
  it('writes what a maker typed as text and never as markup', async () => {
    expect(await labelsSvg([{ ...text, name: '<b>&"' }], gridOf('one'))).toContain('&#60;b&#62;&#38;&#34;')
  })
})
