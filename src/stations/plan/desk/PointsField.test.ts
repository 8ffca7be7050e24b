import { readPoints } from './PointsField'

describe('places as they are typed', () => {
  it('right and down of the middle, in the studio’s unit', () => {
    expect(readPoints('-10 0, 10 2.5', 'metric')).toEqual([
      [-100, 0],
      [100, 25],
    ])
    expect(readPoints('1 2; 3 4', 'us')).toEqual([
      [25, 51],
      [76, 102],
    ])
    expect(readPoints(' ', 'metric')).toEqual([])
  })
  it.each(['1', '1 2 3', 'left 2'])('%s is none', (typed) => expect(readPoints(typed, 'metric')).toBeUndefined())
})
