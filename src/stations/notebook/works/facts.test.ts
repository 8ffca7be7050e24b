import { START_BANDS } from '@/core/consistency/levelTime'
import { SHIPPED } from '@/core/technique/techniques'
import { pieceFacts } from '../../../../tests/support/learning/pouredFacts'
import { whatWorks } from './facts'

const pieces = [1, 2, 3].map((i) => pieceFacts(String(i), { rating: 4 }))
const works = (search: Record<string, string>) => whatWorks(pieces, search, SHIPPED, START_BANDS)

describe('what works', () => {
  it('is told apart by what is asked for', () => {
    expect(works({}).pooled.groups.map((g) => [g.key, g.n])).toEqual([['Ring pour', 3]])
    expect(works({ by: 'silicone' }).pooled.groups.map((g) => g.key)).toEqual(['without silicone'])
    expect(works({ by: 'consistency' }).pooled.groups.map((g) => g.key)).toEqual(['sinks'])
    expect(works({ what: 'cells' }).pooled.n).toBe(0)
  })
  it('takes what is no trait of ours for the usual one, whatever objects have besides', () => {
    expect(works({ by: 'constructor', what: 'toString' })).toMatchObject({ by: 'technique', what: 'rating' })
  })
})
