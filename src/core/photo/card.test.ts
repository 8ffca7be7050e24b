import { cardGains } from './card'

/** A grey picture with one patch of a value in its middle. */
function carded(value: readonly [number, number, number]) {
  const data = new Uint8ClampedArray(4 * 100 * 80).fill(90)
  for (let y = 30; y < 50; y++) for (let x = 40; x < 60; x++) data.set(value, 4 * (y * 100 + x))
  return { width: 100, height: 80, data }
}
const patch = { x: 0.42, y: 0.4, width: 0.15, height: 0.2 }

describe('a card in a photo', () => {
  it('tells what each channel is multiplied with: linear light over what the card reflects', () => {
    // sRGB 188 is half the light (IEC 61966-2-1); a white card reflects 0.9, a grey one 0.18.
    const [r, g, b] = cardGains(carded([188, 137, 99]), patch, 'white')
    expect(Math.exp(r)).toBeCloseTo(0.5 / 0.9, 2)
    expect(Math.exp(g)).toBeCloseTo(0.25 / 0.9, 2)
    expect(Math.exp(b)).toBeCloseTo(0.125 / 0.9, 2)
    expect(Math.exp(cardGains(carded([118, 118, 118]), patch, 'grey')[0])).toBeCloseTo(1, 1)
  })
  it('refuses a card that glares or lies in the dark', () => {
    expect(() => cardGains(carded([255, 250, 240]), patch, 'white')).toThrow('overexposed')
    expect(() => cardGains(carded([60, 4, 60]), patch, 'white')).toThrow('too dark')
  })
})
