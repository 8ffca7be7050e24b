import { SHIPPED, TechniqueBook, TECHNIQUES, USUAL_TECHNIQUE } from './techniques'

describe('techniques', () => {
  it('have keys, names and bands of their own', () => {
    expect(TECHNIQUES.length).toBeGreaterThanOrEqual(18)
    expect(new Set(TECHNIQUES.map((t) => t.key)).size).toBe(TECHNIQUES.length)
    expect(new Set(TECHNIQUES.map((t) => t.name)).size).toBe(TECHNIQUES.length)
    for (const t of TECHNIQUES) {
      expect(t.levelTimeS[0]).toBeLessThan(t.levelTimeS[1])
      expect(t.runOffShare).toBeGreaterThan(0)
      expect(t.needs.filter((r) => t.forbids.includes(r))).toEqual([])
      expect(t.gives).not.toBe('')
    }
  })
  // The table of bands in words is common practice; the seconds are start values of Fika.
  it.each([
    ['ring', [3, 5]],
    ['open-cup', [2, 4]],
    ['straight', [1, 2]],
    ['flip-cup', [1, 1.5]],
    ['swipe', [0.5, 1.5]],
    ['dutch', [0, 0.4]],
  ])('%s wants %j s', (key, band) => expect(SHIPPED.of(key).levelTimeS).toEqual(band))
  it('a flame is named wherever heat may be used', () => {
    for (const t of TECHNIQUES) if (t.heat !== 'never') expect(t.cautions).toContain('torch')
  })
  it('an unknown key is an error and nothing stands in for it; what was taken away since keeps its key for a name', () => {
    expect(() => SHIPPED.of('sneeze')).toThrow('There is no technique “sneeze” here. Choose one from the list.')
    expect(SHIPPED.find('sneeze')).toBeUndefined()
    expect(SHIPPED.name('sneeze')).toBe('sneeze')
    expect(SHIPPED.order('sneeze')).toBe(TECHNIQUES.length)
  })
  it('a studio’s own stand after those that ship', () => {
    const book = new TechniqueBook([{ ...SHIPPED.of(USUAL_TECHNIQUE), key: 'own-1', name: 'Canal straight' }])
    expect(book.name('own-1')).toBe('Canal straight')
    expect(book.order('own-1')).toBe(TECHNIQUES.length)
    expect(SHIPPED.find('own-1')).toBeUndefined()
  })
})
