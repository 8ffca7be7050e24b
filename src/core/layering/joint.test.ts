import { hexToLab } from '../colour/lab'
import { opticsFromHex } from '../colour/paintOptics'
import type { Sheen } from '../paint/properties'
import { findOrder } from './cupOrder'
import { JOINT, JOINT_WORDS, judgeJoint, type LayerColour } from './joint'

const colour = (hex: string, sheen: Sheen = 'satin', densityGPerMl = 1.1): LayerColour => ({
  optics: opticsFromHex(hex, 'normal'),
  lab: hexToLab(hex),
  sheen,
  densityGPerMl,
})
const violet = colour('#4b2a86')
const yellow = colour('#f2c511')
const red = colour('#c22a2c')
const white = colour('#f5f3ec')
const teal = colour('#136a78')
const gold = colour('#b8893a', 'metallic', 1.25)
const say = (a: LayerColour, b: LayerColour, word?: Parameters<typeof judgeJoint>[2], cells = false) =>
  judgeJoint(a, b, word, cells)

describe('a joint of two layers (mud and tint: common practice, no published source)', () => {
  it('violet beside yellow goes muddy, red beside white goes pink, blue-green beside white stays clean', () => {
    expect(say(violet, yellow).word).toBe('mud')
    expect(say(red, white).word).toBe('tint')
    expect(say(teal, white).word).toBe('clean')
    expect(say(violet, yellow).cost).toBeGreaterThan(say(teal, white).cost + 0.5)
  })
  it('metal, pearl and interference are never mud and tint nothing', () => {
    for (const sheen of ['metallic', 'pearl'] as const)
      for (const other of [violet, yellow, red, white]) {
        const { word } = say(colour('#b8893a', sheen), other)
        expect(['mud', 'tint']).not.toContain(word)
      }
  })
  it('two like colours are little between them; the same one is one layer', () => {
    expect(say(teal, colour('#176b7a')).word).toBe('faint')
    expect(say(teal, colour('#176b7a')).contrast).toBeLessThan(5)
  })
  it('heavier on lighter is wanted where cells are, and only there', () => {
    const heavy = colour('#f5f3ec', 'satin', 1.3)
    expect(say(teal, heavy, undefined, true)).toMatchObject({ word: 'cells' })
    expect(say(teal, heavy, undefined, true).cost).toBeLessThan(say(heavy, teal, undefined, true).cost)
    expect(say(teal, heavy).cost).toBe(say(heavy, teal).cost)
    // Atwood (1.3 − 1.1) / 2.4.
    expect(say(teal, heavy).atwood).toBeCloseTo(0.0833, 4)
  })
  it('the maker’s own word outranks what is computed', () => {
    expect(say(violet, yellow, 'together')).toMatchObject({ word: 'together' })
    expect(say(violet, yellow, 'together').cost).toBeLessThan(0)
    expect(say(teal, white, 'never').cost).toBeGreaterThan(JOINT.mud)
    expect(JOINT_WORDS[say(teal, white, 'surprising').word]).toContain('you said')
  })
})

it('violet, white, gold and teal: gold goes between violet and white', () => {
  const names = ['violet', 'white', 'gold', 'teal']
  const palette = [violet, white, gold, teal]
  const costs = palette.map((a, i) => palette.map((b, j) => (i === j ? JOINT.same : say(a, b).cost)))
  const { order } = findOrder({ costs, layers: [1, 1, 1, 1], first: null, last: null, buffers: [], mostBuffers: 0 })
  const named = order.map((i) => names[i]!)
  const between = named.slice(
    Math.min(named.indexOf('violet'), named.indexOf('white')) + 1,
    Math.max(named.indexOf('violet'), named.indexOf('white')),
  )
  expect(between).toContain('gold')
})
