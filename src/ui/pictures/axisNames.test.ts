import { twoLines } from './axisNames'

describe('names beside an axis', () => {
  it('stay in one line where they fit it', () => {
    expect(twoLines('Canal Teal, 120 ml', 20)).toEqual(['Canal Teal, 120 ml'])
    expect(twoLines('', 20)).toEqual([''])
  })
  it('break between words, and say where something was cut', () => {
    expect(twoLines('Loch & Mill Winter Barge, 250 ml', 20)).toEqual(['Loch & Mill Winter', 'Barge, 250 ml'])
    expect(twoLines('Loch & Mill Winter Barge, 250 ml · offer of the week', 20)).toEqual([
      'Loch & Mill Winter',
      'Barge, 250 ml · off…',
    ])
    expect(twoLines('Quinacridonemagentadeep, 60 ml', 12)).toEqual(['Quinacridon…', '60 ml'])
    expect(twoLines('Quinacridonemagentadeep', 12)).toEqual(['Quinacridon…'])
  })
})
