import { startTask } from '../../../tests/support/tilt'
import { toldOf } from './kept'
import { Rehearsal } from './rehearsal'

it('keeps of the readings what the day is shown, in whole microlitres and shares up to one', () => {
  const r = new Rehearsal(startTask(), 5)
  r.keep([0, 0], 20)
  const named = ['white', 'teal', 'gold'].map((label, i) => ({
    of: { kind: 'bottle' as const, id: label },
    hex: startTask().colours[i]!.hex,
    label,
  }))
  const told = toldOf({ ...r.readings(), covered: 1.0000001 }, named)
  expect(told).toMatchObject({ leftUl: 42_000, offUl: 0, covered: 1, keepers: [1] })
  expect(told.colours.map((c) => [c.label, Math.round(1000 * c.kept)])).toEqual([
    ['white', 1000],
    ['teal', 1000],
    ['gold', 1000],
  ])
})
