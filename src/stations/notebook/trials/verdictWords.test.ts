import { CRITERION_SCALE, pairVerdict } from '@/core/learning/pairVerdict'
import { verdictWords } from './verdictWords'

const words = (differences: number[]) =>
  verdictWords({
    criterion: 'craters',
    first: { arm: 1, what: 'with black', materialId: null },
    second: { arm: 2, what: 'without', materialId: null },
    told: pairVerdict(differences, CRITERION_SCALE),
  })

describe('what a trial says', () => {
  it('names the arm with more of it, or says how much more would tell', () => {
    expect(words([2, 2, 3, 2])).toMatch(
      /^“with black” gives more craters than “without”: over 99 % sure from 4 pairs\.$/,
    )
    expect(words([-2, -2, -3, -2])).toMatch(/^“without” gives more craters than “with black”/)
    expect(words([2])).toBe('craters: not decided by one pair yet; about 3 more would tell.')
    expect(words(Array.from({ length: 40 }, () => 0))).toMatch(/come to the same in craters/)
  })
})
