import { note, personMark } from './log'

describe('the log', () => {
  it('is one line of JSON an event, with its time', () => {
    const log = jest.spyOn(console, 'log').mockImplementation(() => undefined)
    note('sign-in refused', { person: personMark('runa@example.org'), place: '10.0.0.7', why: 'TooOften' })
    const [line] = log.mock.lastCall as [string]
    log.mockRestore()
    expect(line).not.toContain('\n')
    expect(JSON.parse(line)).toMatchObject({
      event: 'sign-in refused',
      place: '10.0.0.7',
      at: expect.stringMatching(/Z$/),
    })
    expect(line).not.toContain('runa')
  })
  it('knows a person again, however the address was typed, and never says who it is', () => {
    expect(personMark(' Runa@Example.org ')).toBe(personMark('runa@example.org'))
    expect(personMark('runa@example.org')).not.toBe(personMark('siv@example.org'))
    expect(personMark('runa@example.org')).toMatch(/^[0-9a-f]{12}$/)
  })
  it('keeps a line break that somebody sent inside its line', () => {
    const log = jest.spyOn(console, 'log').mockImplementation(() => undefined)
    note('x', { why: 'a\nforged line' })
    expect(String(log.mock.lastCall)).not.toContain('\n')
    log.mockRestore()
  })
})
