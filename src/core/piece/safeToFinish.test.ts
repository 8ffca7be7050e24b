import { dryingHours, USUAL_CLIMATE } from '../schedule/drying'
import { safeToFinish, type FinishFacts } from './safeToFinish'

const HOUR = 3_600_000
const facts = (more: Partial<FinishFacts> = {}): FinishFacts => ({
  pouredAt: 0,
  wetMm: 1.2,
  solids: 0.35,
  climate: USUAL_CLIMATE,
  seenDryAt: null,
  hasSilicone: false,
  coats: [],
  ...more,
})

describe('when a finish is safe', () => {
  const { most, through } = dryingHours(1.2, 0.35, USUAL_CLIMATE)
  it('counts the longest drying as long as nobody has looked, then the wait of the finish', () => {
    expect(safeToFinish('varnish', facts()).from / HOUR).toBeCloseTo(most + 72, 6)
    expect(safeToFinish('resin', facts()).from / HOUR).toBeCloseTo(most + 336, 6)
    expect(safeToFinish('varnish', facts()).reasons[0]).toMatch('nobody has looked yet')
  })
  it('counts from when it was found dry, but never before the film usually is', () => {
    const late = safeToFinish('varnish', facts({ seenDryAt: 200 * HOUR }))
    expect(late.from / HOUR).toBeCloseTo(272, 6)
    const early = safeToFinish('varnish', facts({ seenDryAt: 20 * HOUR }))
    expect(early.from / HOUR).toBeCloseTo(through + 72, 6)
    expect(early.reasons[0]).toMatch('found it dry')
  })
  it('waits longer for a thick film and in damp air', () => {
    const usual = safeToFinish('varnish', facts()).from
    expect(safeToFinish('varnish', facts({ wetMm: 2.4 })).from).toBeGreaterThan(usual + 48 * HOUR)
    expect(safeToFinish('varnish', facts({ climate: { celsius: 12, humidity: 0.85 } })).from).toBeGreaterThan(usual)
  })
  it('asks for silicone to be cleaned off until that was done', () => {
    expect(safeToFinish('varnish', facts({ hasSilicone: true }))).toMatchObject({ needsCleaning: true })
    const cleaned = facts({ hasSilicone: true, coats: [{ kind: 'varnish', at: 0, cleanedSilicone: true }] })
    expect(safeToFinish('varnish', cleaned).needsCleaning).toBe(false)
    expect(safeToFinish('resin', facts()).needsCleaning).toBe(false)
  })
  it('keeps the window between coats, and longer between two kinds', () => {
    const on = (kind: 'varnish' | 'resin') => facts({ coats: [{ kind, at: 1000 * HOUR, cleanedSilicone: false }] })
    expect(safeToFinish('varnish', on('varnish')).from / HOUR).toBe(1024)
    expect(safeToFinish('resin', on('varnish')).from / HOUR).toBe(1000 + 24 + 72)
    expect(safeToFinish('varnish', on('resin')).from / HOUR).toBe(1000 + 72 + 72)
    expect(safeToFinish('resin', on('varnish')).reasons.at(-1)).toMatch('data sheet')
    // A coat long ago holds nothing up.
    const old = facts({ coats: [{ kind: 'varnish', at: -100 * HOUR, cleanedSilicone: false }] })
    expect(safeToFinish('varnish', old).from).toBe(safeToFinish('varnish', facts()).from)
  })
  it('refuses what is no time', () =>
    expect(() => safeToFinish('varnish', facts({ pouredAt: NaN }))).toThrow('must be a number'))
})
