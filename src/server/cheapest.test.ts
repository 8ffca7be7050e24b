import { random } from '../../tests/support/random'
import { dealsOf, type Shelved } from '@/core/purchase/buying'
import { cheapestCover } from './cheapest'

const size = (
  materialId: string,
  ml: number,
  listMinor: number,
  terms: Shelved['terms'] = { kind: 'list' },
): Shelved => ({
  materialId,
  sizeUl: ml * 1000,
  listMinor,
  supplier: 'the shop',
  terms,
})
const costOf = (bought: Awaited<ReturnType<typeof cheapestCover>>) =>
  bought.reduce((sum, b) => sum + b.times * b.deal.priceMinor, 0)

/** Every count of every deal up to so many: nothing of the programme is used. */
function bruteForce(needs: ReadonlyMap<string, number>, deals: ReturnType<typeof dealsOf>, most: number): number {
  let best = Infinity
  const go = (i: number, got: Map<string, number>, coupons: ReadonlySet<string>, cost: number) => {
    if (cost >= best) return
    if ([...needs].every(([id, ul]) => (got.get(id) ?? 0) >= ul)) {
      best = cost
      return
    }
    if (i === deals.length) return
    const d = deals[i]!
    for (let n = 0; n <= (d.coupon === null ? most : coupons.has(d.coupon) ? 0 : 1); n++)
      go(
        i + 1,
        new Map([...got, [d.materialId, (got.get(d.materialId) ?? 0) + n * d.count * d.sizeUl]]),
        d.coupon !== null && n > 0 ? new Set([...coupons, d.coupon]) : coupons,
        cost + n * d.priceMinor,
      )
  }
  go(0, new Map(), new Set(), 0)
  return best
}

describe('the cheapest purchase', () => {
  it('hand-worked: a large one and a small one beat two large ones', async () => {
    // 320 ml: 250 + 2 × 59 falls short by nothing less than 250 + 118 = 368; 15.00 + 2 × 4.50 = 24.00 against 30.00.
    const bought = await cheapestCover(
      new Map([['teal', 320_000]]),
      dealsOf([size('teal', 250, 1500), size('teal', 59, 450)]),
    )
    expect(costOf(bought)).toBe(2400)
    expect(bought.map((b) => [b.deal.sizeUl, b.times])).toEqual([
      [250_000, 1],
      [59_000, 2],
    ])
  })
  it('three for two is taken where three are needed, and not for one', async () => {
    const deals = dealsOf([size('white', 100, 1000, { kind: 'n-for-m', get: 3, pay: 2 })])
    expect(costOf(await cheapestCover(new Map([['white', 100_000]]), deals))).toBe(1000)
    expect(costOf(await cheapestCover(new Map([['white', 201_000]]), deals))).toBe(2000)
  })
  it('a coupon is used once, where it saves most', async () => {
    const half = { kind: 'coupon', percent: 50 } as const
    const deals = dealsOf([size('a', 100, 1000, half), size('b', 100, 3000, half)])
    const bought = await cheapestCover(
      new Map([
        ['a', 50_000],
        ['b', 50_000],
      ]),
      deals,
    )
    expect(costOf(bought)).toBe(2500)
  })
  it('is what every count of everything finds, on made-up shelves', async () => {
    const next = random(20261128)
    const terms = (): Shelved['terms'] => {
      const kind = Math.floor(next() * 5)
      if (kind === 0) return { kind: 'percent', percent: 10 + Math.floor(next() * 40) }
      if (kind === 1) return { kind: 'n-for-m', get: 3, pay: 2 }
      if (kind === 2) return { kind: 'coupon', percent: 40 }
      if (kind === 3) return { kind: 'bundle', count: 2, priceMinor: 900 }
      return { kind: 'list' }
    }
    for (let i = 0; i < 40; i++) {
      const shelf = ['a', 'b'].flatMap((id) => [
        size(id, 60, 300 + Math.floor(next() * 400), terms()),
        size(id, 120 + Math.floor(next() * 130), 700 + Math.floor(next() * 700), terms()),
      ])
      const needs = new Map([
        ['a', Math.floor(next() * 400_000)],
        ['b', Math.floor(next() * 300_000)],
      ])
      const deals = dealsOf(shelf)
      expect(costOf(await cheapestCover(needs, deals))).toBe(bruteForce(needs, deals, 7))
    }
  })
  it('says what has no price', async () => {
    await expect(cheapestCover(new Map([['x', 1]]), [])).rejects.toThrow('has no price yet')
    expect(await cheapestCover(new Map([['x', 0]]), [])).toEqual([])
  })
})
