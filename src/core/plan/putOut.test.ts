import { coat, cup, design, layer, surface } from '../../../tests/support/design'
import { SHIPPED } from '../technique/techniques'
import { planAmounts } from './amounts'
import { cautionsOf, putOut } from './putOut'

const vase = surface('vase', {
  surface: {
    shape: 'profile',
    points: [
      { heightMm: 0, radiusMm: 50 },
      { heightMm: 200, radiusMm: 60 },
    ],
    edgeMm: 0,
    count: 2,
  },
})
const plan = design({
  surfaces: [surface('panel'), vase],
  school: { kind: 'own', ul: 60_000 },
  cups: [cup('c', [layer('teal'), layer('f', { of: { kind: 'formula', id: 'f' } })], { sizeUl: 100_000 })],
  coats: [coat('base coat', 'teal', { ul: 20_000 })],
})
const lines = (technique: string) =>
  putOut(plan, planAmounts(plan), SHIPPED.of(technique), (id) => (id === 'teal' ? 'Teal 3' : undefined))
const said = (technique: string, group: string) =>
  lines(technique)
    .filter((l) => l.group === group)
    .map((l) => `${l.what}: ${l.how}`)

describe('what to put out for the day', () => {
  it('surfaces with feet under all that stand on none, cups by size, bottles once with all their uses', () => {
    expect(said('straight', 'Surface')).toEqual([
      '1 × panel: 40 × 50 cm · 15.7 × 19.7 in',
      '2 × vase: 12 × 12 cm · 4.7 × 4.7 in',
      '4 pins or feet: 4 under each, level checked',
      'Tape: for the backs',
    ])
    expect(said('straight', 'Cups')[0]).toMatch(/^3 × cup of 100\sml: 60\sml in each, poured out$/)
    expect(said('straight', 'Bottles').map((b) => b.replace(/\s/g, ' '))).toEqual([
      'Teal 3: 110 ml, cup, base coat',
      'formula still to be mixed: 90 ml, cup',
    ])
  })
  it('tools of the technique, a flame only where it may be', () => {
    expect(said('swipe', 'Tools').join()).toContain('palette knife')
    expect(said('swipe', 'Tools').join()).toContain('torch')
    expect(said('ring', 'Tools').join()).not.toContain('torch')
    expect(cautionsOf(SHIPPED.of('strainer')).join(' ')).toMatch(/nothing where food or lips touch.*/)
  })
})
