import { SHIPPED } from '../technique/techniques'
import { wantedBand } from './wanted'

describe('what is wanted', () => {
  it('is technique × look × role', () => {
    expect(wantedBand(SHIPPED.of('straight'), 'as usual', 'pour')).toEqual([1, 2])
    expect(wantedBand(SHIPPED.of('ring'), 'blended', 'pour')).toEqual([2.1, 3.5])
    expect(wantedBand(SHIPPED.of('straight'), 'lines kept', 'slip coat')).toEqual([0.68, 1.35])
  })
})
