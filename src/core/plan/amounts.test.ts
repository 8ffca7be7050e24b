import { coat, cup, design, layer } from '../../../tests/support/design'
import { needs, planAmounts } from './amounts'

const plan = design({
  school: { kind: 'own', ul: 100_000 },
  cups: [
    cup('c', [
      layer('white', { id: '1', share: 1 }),
      layer('teal', { id: '2', share: 2 }),
      layer('white', { id: '3', share: 1 }),
      layer('', { id: '4', of: null, share: 1 }),
      layer('f', { id: '5', of: { kind: 'formula', id: 'f' }, share: 1 }),
    ]),
  ],
  coats: [coat('base coat', 'white', { ul: 50_000 }), coat('reserve', 'teal', { ul: 0 })],
})

describe('amounts of a plan', () => {
  it('sums a bottle that comes again, keeps uses apart, and says what names nothing yet', () => {
    const amounts = planAmounts(plan)
    expect(amounts.parts).toEqual([
      { use: 'cup', of: { kind: 'bottle', id: 'white' }, ul: 33_334 },
      { use: 'cup', of: { kind: 'bottle', id: 'teal' }, ul: 33_333 },
      { use: 'cup', of: { kind: 'formula', id: 'f' }, ul: 16_666 },
      { use: 'base coat', of: { kind: 'bottle', id: 'white' }, ul: 50_000 },
    ])
    expect(amounts.unnamedUl).toBe(16_667)
    expect(amounts.parts.filter((p) => p.use === 'cup').reduce((s, p) => s + p.ul, 0) + amounts.unnamedUl).toBe(100_000)
  })
  it('says what each is short of over all uses; what is not mixed yet is short of all', () => {
    const { parts } = planAmounts(plan)
    const short = needs(
      parts,
      new Map([
        ['teal', 40_000],
        ['white', 60_000],
      ]),
    )
    expect(short.map((n) => [n.of.id, n.needUl, n.shortUl])).toEqual([
      ['white', 83_334, 23_334],
      ['teal', 33_333, 0],
      ['f', 16_666, 16_666],
    ])
  })
})
