import fc from 'fast-check'
import { countFacets, facetColumn } from './facets'

const KEYS = ['maker', 'body', 'tag'] as const
const rowArb = fc.record({
  maker: fc.constantFrom('a', 'b', 'c', ''),
  body: fc.constantFrom('soft', 'fluid'),
  tag: fc.uniqueArray(fc.constantFrom('x', 'y', 'z'), { maxLength: 3 }),
})
type Row = { maker: string; body: string; tag: string[] }
const valuesOf = (r: Row, key: (typeof KEYS)[number]) => (key === 'tag' ? r.tag : [r[key]]).filter(Boolean)
const hits = (r: Row, key: (typeof KEYS)[number], picks: readonly string[]) =>
  picks.length === 0 || valuesOf(r, key).some((v) => picks.includes(v))

describe('facets', () => {
  it('match and count as counting by hand does', () => {
    const chosenArb = fc.record({
      maker: fc.uniqueArray(fc.constantFrom('a', 'b', 'gone'), { maxLength: 2 }),
      body: fc.uniqueArray(fc.constantFrom('soft', 'fluid'), { maxLength: 2 }),
      tag: fc.uniqueArray(fc.constantFrom('x', 'y'), { maxLength: 2 }),
    })
    fc.assert(
      fc.property(fc.array(rowArb, { maxLength: 40 }), chosenArb, fc.func(fc.boolean()), (rows, chosen, search) => {
        const within = Uint8Array.from(rows.map((_, i) => (search(i) ? 1 : 0)))
        const columns = KEYS.map((k) => facetColumn(k, rows.length, (i) => valuesOf(rows[i]!, k)))
        const found = countFacets(rows.length, columns, chosen, within)
        const all = rows.map((r, i) => ({ r, i })).filter(({ i }) => within[i])
        expect(found.matches).toEqual(all.filter(({ r }) => KEYS.every((k) => hits(r, k, chosen[k]))).map(({ i }) => i))
        for (const key of KEYS)
          for (const { value, count } of found.counts[key]!) {
            const others = KEYS.filter((k) => k !== key)
            const brute = all.filter(
              ({ r }) => others.every((k) => hits(r, k, chosen[k])) && valuesOf(r, key).includes(value),
            )
            expect([key, value, count]).toEqual([key, value, brute.length])
          }
      }),
    )
  })
  it('refuses more facets than a mask has bits', () => {
    const many = Array.from({ length: 31 }, (_, i) => facetColumn(String(i), 0, () => []))
    expect(() => countFacets(0, many, {})).toThrow(RangeError)
  })
})
