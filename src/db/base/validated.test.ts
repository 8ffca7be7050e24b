import { array, number, object, string } from 'yup'
import { validated } from './validated'

const schema = object({
  name: string().trim().required('Type a name.'),
  tags: array(string().trim().required()).default([]),
  parts: number().integer().min(0).default(0),
})

describe('what comes in', () => {
  it('is trimmed, stripped and typed; any letters a person writes are kept', () => {
    expect(validated(schema, { name: ' Teal 🎨 日本 ', tags: ['a '], more: 1 })).toEqual({
      name: 'Teal 🎨 日本',
      tags: ['a'],
      parts: 0,
    })
  })
  it.each([
    ['a list where a text is wanted', { name: ['Teal'] }],
    ['an object where a text is wanted', { name: { a: 1 } }],
    ['a list within a list of texts', { name: 'Teal', tags: [['x']] }],
    ['NUL', { name: 'Te\u0000al' }],
    ['half a character', { name: 'Teal', tags: ['\ud83c'] }],
    ['the other half first', { name: '\udfa8\ud83c' }],
    ['NUL where the schema does not look', { name: 'Teal', more: { deep: ['\u0000'] } }],
    ['nesting without end', { name: 'Teal', more: Array.from({ length: 500 }).reduce((inner) => [inner], 'x') }],
    ['nothing', null],
    ['a number too large to be whole', { name: 'Teal', parts: 1.5 }],
  ])('%s is refused with a sentence', (_, input) => {
    expect(() => validated(schema, input)).toThrow(/^\S.{8,}$/)
    try {
      validated(schema, input)
    } catch (error) {
      expect((error as Error).name).toBe('ValidationError')
    }
  })
  it('cannot change what every object has', () => {
    const sent: unknown = JSON.parse('{"name":"Teal","__proto__":{"parts":7},"constructor":{"prototype":{"parts":7}}}')
    expect(() => validated(schema, sent)).toThrow('not what the form holds')
    expect(({} as { parts?: number }).parts).toBeUndefined()
  })
})
