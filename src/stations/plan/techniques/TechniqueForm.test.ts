import { readWaits } from './TechniqueForm'

describe('waits as they are typed', () => {
  it('one a line, what and minutes', () =>
    expect(readWaits('cup stands: upside down: 2\n\ncells open: 1/2')).toEqual([
      { what: 'cup stands: upside down', minutes: 2 },
      { what: 'cells open', minutes: 0.5 },
    ]))
  it.each([
    ['cells open', '“cells open” is no wait.'],
    ['cells open: soon', '“soon” is not a number of minutes.'],
  ])('%s is said', (typed, sentence) => expect(() => readWaits(typed)).toThrow(sentence))
})
