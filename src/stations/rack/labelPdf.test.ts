import { PDFDocument } from 'pdf-lib'
import { labelPdf } from './labelPdf'
import { recipeText } from './recipeText'

const text = {
  name: 'Łódź teal, the very long name of a bottle that goes on and on',
  role: 'pour',
  mixedOn: '3 Nov 2026',
  recipe: 'x '.repeat(200),
  hex: '#136a78',
  url: 'http://127.0.0.1:4310/rack/1',
}

describe('a label', () => {
  it('is one page of 70 × 36 mm, whatever is written on it', async () => {
    const pdf = await PDFDocument.load(await labelPdf(text))
    expect(pdf.getPageCount()).toBe(1)
    const { width, height } = pdf.getPage(0).getSize()
    expect(width / (72 / 25.4)).toBeCloseTo(70, 6)
    expect(height / (72 / 25.4)).toBeCloseTo(36, 6)
    expect(pdf.getTitle()).toMatch('Łódź teal')
  })
  it('says the recipe in one line', () => {
    const part = (name: string, parts: number) => ({ materialId: name, name, parts })
    const water = part('Distilled water', 0.25)
    expect(recipeText({ paintParts: 1, paints: [part('Teal', 1)], mediums: [part('Flow', 2)], water })).toBe(
      'Teal; paint 1 : 2 Flow : 0.25 Distilled water',
    )
    expect(recipeText({ paintParts: 1, paints: [part('Teal', 3), part('White', 1)], mediums: [], water: null })).toBe(
      'Teal 3 : White 1',
    )
    expect(recipeText({ paintParts: 0, paints: [], mediums: [part('Flow', 1)], water: null })).toBe('1 Flow')
  })
})
