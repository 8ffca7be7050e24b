import { isPigmentName, parsePigments } from './properties'

describe('pigment names', () => {
  it('reads lists as people write them', () => {
    expect(parsePigments('pb15:3, PW6;pbk7 / pbr7')).toEqual(['PB15:3', 'PW6', 'PBk7', 'PBr7'])
    expect(parsePigments('  ')).toEqual([])
  })
  it('knows a Colour Index name', () => {
    expect(['PB15:3', 'PBk7', 'PY74', 'PBr101'].every(isPigmentName)).toBe(true)
    expect(['B15', 'PB', 'PX3', 'blue', 'PB15:'].some(isPigmentName)).toBe(false)
  })
})
