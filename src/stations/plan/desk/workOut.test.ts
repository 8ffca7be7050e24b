import { coat, cup, design, layer, surface } from '../../../../tests/support/design'
import { emptyDesk } from '../../../../tests/support/deskFacts'
import { planBottle } from '../../../../tests/support/planBottle'
import { SHIPPED } from '@/core/technique/techniques'
import type { DeskFacts } from '../deskFacts'
import { planJob } from '../planJob'
import { deskColours, workOut } from './workOut'

const NOW = Date.UTC(2026, 10, 28)
const bottles = [
  planBottle('teal', { ul: 100_000, costPerMl: 5, paints: [{ id: 'p teal', share: 1 }] }),
  planBottle('white', { hex: '#f5f3ec', ul: 900_000, costPerMl: 2, paints: [{ id: 'p white', share: 1 }] }),
]
const facts = (more: Partial<DeskFacts> = {}): DeskFacts => ({
  ...emptyDesk(NOW),
  bottles,
  formulas: [{ id: 'f', name: 'Dusk', hex: '#4b2a86' }],
  cups: [{ id: 'c', name: 'half litre', sizeUl: 500_000 }],
  ...more,
})
const plan = design({
  cups: [cup('one', [layer('teal'), layer('white')])],
  coats: [coat('base coat', 'white', { ul: 50_000 })],
})
const draft = { workId: null, kind: 'final' as const, pourOn: '' }
const out = (d = plan, more: Partial<DeskFacts> = {}, with_: Partial<typeof draft> = {}) => {
  const all = facts(more)
  const on = { ...draft, ...with_ }
  const pourAt = on.pourOn ? Date.parse(`${on.pourOn}T09:00:00Z`) : NOW
  return {
    ...workOut(d, on, SHIPPED.of('straight'), all, deskColours(all), pourAt),
    job: planJob({ ...on, id: 'p', design: d, pourOn: on.pourOn || null }, SHIPPED.of('straight'), {
      ...all,
      bottles: new Map(all.bottles.map((b) => [b.id, b])),
      zone: 'UTC',
      sizes: all.cups.map((c) => c.sizeUl),
    }),
  }
}

describe('what the desk makes of a plan', () => {
  it('says of each bottle what it gives, what it lacks, and for what it is used', () => {
    // 327.422 ml in halves.
    expect(out().states.map((s) => [s.label, s.needUl, s.shortUl, s.uses])).toEqual([
      ['teal', 163_711, 63_711, ['cup']],
      ['white', 213_711, 0, ['cup', 'base coat']],
    ])
  })
  it('counts other open plans of the day and before, and those without a day', () => {
    const take = (pourOn: string | null) => ({ planId: 'other', vesselId: 'white', ul: 800_000, pourOn })
    const short = (pourOn: string | null, ours = '2026-12-05') =>
      out(plan, { takes: [take(pourOn)] }, { pourOn: ours }).states[1]!.shortUl
    expect(short('2026-12-05')).toBe(113_711)
    expect(short(null)).toBe(113_711)
    expect(short('2026-12-06')).toBe(0)
  })
  it('what is not mixed yet stands in its formula’s colour and is short of all', () => {
    const d = { ...plan, cups: [cup('one', [layer('f', { of: { kind: 'formula', id: 'f' } })])] }
    const [state] = out(d).states
    expect(state).toMatchObject({ label: 'Dusk (formula, not mixed)', hex: '#4b2a86', shortUl: 327_422 })
  })
  it('a bottle emptied since is still in its place', () => {
    const [state] = out({ ...plan, cups: [cup('one', [layer('gone')])] }).states
    expect(state).toMatchObject({ label: 'emptied since', haveUl: 0 })
  })
  it('judges joints by what lies on what, and the maker’s word by the paints in them', () => {
    expect(
      out()
        .joints.get('one')!
        .map((j) => j!.word),
    ).toEqual(['clean'])
    const pairs = [{ aId: 'p teal', bId: 'p white', verdict: 'never' as const, note: '' }]
    expect(out(plan, { word: { paints: {}, pairs } }).joints.get('one')![0]!.word).toBe('never')
    const twice = { ...plan, cups: [cup('one', [layer('teal', { id: '1' }), layer('teal', { id: '2' })])] }
    expect(out(twice).joints.get('one')![0]!.word).toBe('same')
    const open = { ...plan, cups: [cup('one', [layer('teal'), layer('', { id: '2', of: null })])] }
    expect(out(open).joints.get('one')).toEqual([null])
  })
  it('cups alike stand round their place, each turned on, and lie on the surface they are for', () => {
    const two = design({
      surfaces: [surface('a'), surface('b')],
      cups: [cup('five', [layer('teal')], { copies: 5, on: 'b' })],
    })
    const [a, b] = out(two).onSurfaces
    expect(a!.marks).toEqual([])
    expect(b!.marks).toHaveLength(5)
    const xs = b!.marks.map((m) => (m.kind === 'disc' ? m.at : [NaN, NaN]))
    expect(xs.reduce((s, p) => s + p[0]!, 0)).toBeCloseTo(0, 6)
    expect(new Set(xs.map((p) => Math.hypot(p[0]!, p[1]!).toFixed(3))).size).toBe(1)
  })
  it('counts money against the price of its work only where it is final', () => {
    const works = [
      {
        id: 'w',
        revision: 1,
        kind: 'commission' as const,
        title: 'x',
        dueOn: null,
        forWhom: '',
        agreedOn: null,
        agreedText: '',
        priceMinor: 10_000,
        notes: '',
      },
    ]
    const paint = Math.round(163.711 * 5 + 213.711 * 2)
    expect(out(plan, { works }, { workId: 'w' as never }).money).toMatchObject({ paint, left: 10_000 - paint })
    expect(out(plan, { works }, { workId: 'w' as never, kind: 'sketch' as never }).money.left).toBeNull()
  })
  it('is due when its work is, and delivered where it goes to somebody', () => {
    const works = [
      {
        id: 'w',
        revision: 1,
        kind: 'gift' as const,
        title: 'x',
        dueOn: '2026-12-24',
        forWhom: '',
        agreedOn: null,
        agreedText: '',
        priceMinor: null,
        notes: '',
      },
    ]
    const { job, gaps } = out(plan, { works }, { workId: 'w' as never })
    expect(job.due).toBe(Date.UTC(2026, 11, 24, 18))
    expect(job.steps.at(-1)!.key).toBe('deliver')
    expect(job.fixed).toBeUndefined()
    expect(out(plan, {}, { pourOn: '2026-12-05' }).job.fixed).toEqual({ step: 'pour', start: Date.UTC(2026, 11, 5, 9) })
    expect(gaps.map((g) => g.what)).not.toContain('No due date')
  })
})
