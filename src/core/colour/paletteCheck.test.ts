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
  it('a white or a metallic goes between, one that may touch both', () => {
    expect(find(checkPairs([violet, yellow, gold], []), 0, 1).buffer).toBe(
      find(checkPairs([violet, yellow, gold], []), 0, 2).verdict === 'fine' ? 2 : undefined,
    )
    const said = checkPairs(
      [violet, yellow, gold],
      [
        { aId: 'violet', bId: 'gold', verdict: 'together' },
        { aId: 'yellow', bId: 'gold', verdict: 'together' },
      ],
    )
    expect(find(said, 0, 1).buffer).toBe(2)
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
