import { hexToLab } from './lab'
import { hueFamily, hueOrder } from './hueFamily'

describe('families of colour', () => {
  // Named colours every painter agrees on; common practice, no published source.
  it.each([
    ['#ffffff', 'white'],
    ['#f5f3ec', 'white'],
    ['#8a8d8f', 'grey'],
    ['#1b1b1c', 'black'],
    ['#b9262b', 'red'],
    ['#d9561f', 'orange'],
    ['#5d3b2b', 'brown'],
    ['#f4dc3a', 'yellow'],
    ['#2e5a3c', 'green'],
    ['#136a78', 'turquoise'],
    ['#1d4ba0', 'blue'],
    ['#3a1f57', 'violet'],
    ['#e8a0b4', 'pink'],
    ['#8e1f3f', 'red'],
  ])('%s is %s', (hex, family) => expect(hueFamily(hexToLab(hex))).toBe(family))
  it('stand round the circle from red, greys last from light to dark', () => {
    const order = ['#b9262b', '#d9561f', '#f4dc3a', '#2e5a3c', '#1d4ba0', '#3a1f57', '#f5f5f5', '#888888', '#111111']
    const keys = order.map((h) => hueOrder(hexToLab(h)))
    expect([...keys].sort((a, b) => a - b)).toEqual(keys)
  })
})
