import { coat, cup, design, layer } from '../../../tests/support/design'
import { sentRehearsal } from '../../../tests/support/tilt'
import { planAmounts } from '../plan/amounts'
import { volumesOf } from './start'
import { weighedRehearsal, type PouredAsRehearsed } from './weighed'

const plan = design({
  cups: [cup('one', [layer('teal'), layer('gold')])],
  coats: [coat('base coat', 'white', { ul: 30_000 })],
})
const planned = plan.surfaces[0]!
const told = (nus: Readonly<Record<string, number | undefined>>): PouredAsRehearsed['told'] => ({
  ...sentRehearsal('teal').told,
  colours: Object.entries(nus).map(([id, nu]) => ({
    of: { kind: 'bottle', id },
    hex: '#136a78',
    label: id,
    nu,
    kept: 0.7,
    seen: 0.3,
  })),
})
const ul = (planAmounts(plan).pourUl + 30_000) / planned.surface.count
const poured: PouredAsRehearsed = {
  design: plan,
  surfaceId: planned.id,
  path: [{ t: 0, x: 0, y: 0 }],
  told: told({ teal: 150, gold: 300, white: 500 }),
  surface: planned.surface,
  pouredUl: ul,
  leftUl: 0.6 * ul,
}

describe('a weighed piece beside its rehearsal', () => {
  it('gives the start anew, with the viscosities that were rehearsed, and the share that stayed', () => {
    const { task, share, path } = weighedRehearsal(poured)!
    expect(share).toBeCloseTo(0.6, 9)
    expect(path).toBe(poured.path)
    expect(task.colours.map((c) => c.nu)).toEqual([500, 150, 300])
    expect(volumesOf(task).reduce((a, b) => a + b, 0)).toBeCloseTo(ul, -1)
  })
  it('says nothing where something else was poured than was rehearsed', () => {
    const none: Partial<PouredAsRehearsed>[] = [
      { surfaceId: 'gone' },
      { surface: { shape: 'rectangle', lengthMm: 90, widthMm: 90, edgeMm: 0, count: 1 } },
      { surface: { shape: 'round', diameterMm: 120, edgeMm: 0, count: 1 } },
      { pouredUl: 1.3 * ul },
      { pouredUl: 0.7 * ul },
      { pouredUl: 0 },
      { told: told({ teal: 150, gold: 300 }) },
      { told: told({ teal: 150, gold: undefined, white: 500 }) },
    ]
    for (const more of none) expect(weighedRehearsal({ ...poured, ...more })).toBeUndefined()
    expect(weighedRehearsal({ ...poured, pouredUl: 1.15 * ul })).toBeDefined()
  })
})
