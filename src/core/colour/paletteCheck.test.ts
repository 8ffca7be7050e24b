import type { Sheen } from '../paint/properties'
import { hexToLab } from './lab'
import { opticsFromHex } from './paintOptics'
import { checkPairs, valueLadder, type PaletteColour } from './paletteCheck'

const colour = (id: string, hex: string, sheen: Sheen = 'satin'): PaletteColour => ({
  id,
  optics: opticsFromHex(hex, 'normal'),
  lab: hexToLab(hex),
  sheen,
})
const violet = colour('violet', '#4a2a78')
const yellow = colour('yellow', '#f2b814')
const white = colour('white', '#f6f4ee')
const red = colour('red', '#c22a2c')
const gold = colour('gold', '#b08d3c', 'metallic')
const teal = colour('teal', '#136a78')

const find = (pairs: ReturnType<typeof checkPairs>, a: number, b: number) => pairs.find((p) => p.a === a && p.b === b)!

describe('who should not touch whom', () => {
  it('violet and yellow make mud, white beside red goes pink; others are fine', () => {
    const pairs = checkPairs([violet, yellow, white, red, teal], [])
    expect(pairs).toHaveLength(10)
    expect(find(pairs, 0, 1)).toMatchObject({ verdict: 'apart', why: 'mud' })
    expect(find(pairs, 2, 3)).toMatchObject({ verdict: 'apart', why: 'tints' })
    expect(find(pairs, 2, 4)).toMatchObject({ verdict: 'fine' })
    expect(find(pairs, 2, 4).why).toBeUndefined()
  })
  // Common practice, no published source: makers keep white from reds, magentas and violets, and not from blues.
  it.each([
    ['a warm red', '#b5302a', true],
    ['a crimson', '#8e1230', true],
    ['a magenta', '#8c1c5c', true],
    ['a violet', '#4a2a78', true],
    ['ultramarine', '#22308f', false],
    ['a phthalo blue, green shade', '#0b2a5b', false],
    ['a phthalo blue, red shade', '#10205a', false],
    ['a cobalt blue', '#1d4e9e', false],
    ['a turquoise', '#0f8a8f', false],
    ['an orange', '#e06a1c', false],
    ['a yellow', '#f2b814', false],
    ['a green', '#1f6b3a', false],
    ['a black', '#1b1b1c', false],
    ['another white', '#f8f5f2', false],
  ])('white beside %s: goes pink or does not', (_, hex, pink) => {
    const [pair] = checkPairs([white, colour('other', hex)], [])
    expect(pair!.why).toBe(pink ? 'tints' : undefined)
    const [turned] = checkPairs([colour('other', hex), white], [])
    expect(turned!.verdict).toBe(pair!.verdict)
  })
  it('copper and gold may lie beside violet, blue, turquoise and white', () => {
    const copper = colour('copper', '#a5603a', 'metallic')
    for (const metal of [gold, copper, colour('pearl red', '#b03048', 'pearl')])
      for (const other of [violet, teal, white, red, colour('blue', '#1d4e9e'), colour('turquoise', '#0f8a8f')])
        expect(checkPairs([metal, other], [])[0]).toMatchObject({ verdict: 'fine', why: undefined })
  })
  it('a metallic goes between, also between violet and white, unless the maker says no', () => {
    expect(find(checkPairs([violet, yellow, gold], []), 0, 1).buffer).toBe(2)
    expect(find(checkPairs([violet, white, gold], []), 0, 1)).toMatchObject({ verdict: 'apart', buffer: 2 })
    expect(find(checkPairs([violet, white, teal, gold], []), 0, 1).buffer).toBe(3)
    expect(find(checkPairs([violet, yellow], []), 0, 1).buffer).toBeUndefined()
    const never = checkPairs([violet, yellow, gold], [{ aId: 'gold', bId: 'violet', verdict: 'never' }])
    expect(find(never, 0, 1).buffer).toBeUndefined()
  })
  it('the maker’s own word comes first, either way round', () => {
    const pairs = checkPairs(
      [violet, yellow, teal],
      [
        { aId: 'yellow', bId: 'violet', verdict: 'surprising' },
        { aId: 'violet', bId: 'teal', verdict: 'never' },
      ],
    )
    expect(find(pairs, 0, 1)).toMatchObject({ verdict: 'fine', word: 'surprising' })
    expect(find(pairs, 0, 1).mix.muddy).toBe(true)
    expect(find(pairs, 0, 2)).toMatchObject({ verdict: 'apart', why: 'said' })
  })
})

describe('the value ladder', () => {
  it('goes from light to dark and names the widest step', () => {
    const ladder = valueLadder([violet, white, yellow])
    expect(ladder.order).toEqual([1, 2, 0])
    expect(ladder.widest!.after).toBe(1)
    expect(ladder.widest!.step).toBeCloseTo(yellow.lab[0] - violet.lab[0], 9)
    expect(ladder.lacingShows).toBe(true)
  })
  it('says when there is no light among the darks', () => {
    expect(valueLadder([violet, red]).lacingShows).toBe(false)
    expect(valueLadder([yellow, white]).lacingShows).toBe(false)
    expect(valueLadder([violet]).widest).toBeUndefined()
  })
})
