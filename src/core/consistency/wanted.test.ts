import { techniqueName, techniqueOf } from '../technique/techniques'
import { wantedBand } from './wanted'

describe('what is wanted', () => {
  it('is technique × look × role', () => {
    expect(wantedBand(techniqueOf('straight')!, 'as usual', 'pour')).toEqual([1, 2])
    expect(wantedBand(techniqueOf('ring')!, 'blended', 'pour')).toEqual([2.1, 3.5])
    expect(wantedBand(techniqueOf('straight')!, 'lines kept', 'slip coat')).toEqual([0.68, 1.35])
    expect(techniqueOf('no such')).toBeUndefined()
    expect(techniqueName('no such')).toBe('no such')
  })
})
