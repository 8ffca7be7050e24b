import { readLine } from './patterns'

describe('lines of text of other scales', () => {
  it.each([
    ['ST,GS,+  123.4 g', 123.4, true],
    ['US,NT,-0.5g', -0.5, false],
    ['S     12.34 g', 12.34, true],
    ['?  0.250 kg', 250, false],
    ['  88.1 g ?', 88.1, false],
    ['88.1', 88.1, true],
    ['S 2 oz', 56.69904625, true],
  ] as const)('%s', (text, grams, stable) => {
    const read = readLine(text)!
    expect(read.grams).toBeCloseTo(grams, 9)
    expect(read.stable).toBe(stable)
  })
  it('refuses fluid ounces, and what is no weight', () => {
    expect([readLine('ST,GS, 4.2 fl oz'), readLine('4.2 fl oz'), readLine('hello'), readLine('')]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ])
  })
})
