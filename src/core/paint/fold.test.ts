import { fold } from './fold'

describe('text as it is searched', () => {
  it('loses case, accents and odd spaces', () => {
    expect(fold('  Bláfjall \n GRÜN ')).toBe('blafjall grun')
    expect(fold('Smørrebrød Straße Œuf')).toBe('smorrebrod strasse oeuf')
  })
})
