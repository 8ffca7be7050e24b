import { renderToStaticMarkup } from 'react-dom/server'
import { BottleGlyph } from '@/ui/pictures/BottleGlyph'
import { Mound } from '@/ui/pictures/Mound'
import { lookOf } from './looks'

jest.mock('./Live', () => ({ Live: () => null }))

const DAY = 86_400_000

describe('a bottle as it is drawn', () => {
  const now = 100 * DAY
  const bottle = {
    hex: '#136a78',
    sheen: 'satin',
    ul: 120_000,
    capacityUl: 240_000,
    mixedAt: now - 6 * 3_600_000,
    restUntil: now + 6 * 3_600_000,
    keepUntil: now + 200 * DAY,
    levelTimeS: null,
    isReference: false,
    hasAdditive: false,
    isJar: false,
  }
  const look = (more: Partial<typeof bottle> & { levelTimeS?: number | null } = {}) =>
    lookOf({ ...bottle, ...more }, now)
  const draw = (more: Parameters<typeof look>[0] = {}) => renderToStaticMarkup(<BottleGlyph id="x" look={look(more)} />)
  it('has its level, and the ring of its rest as far as it is still to come', () => {
    expect(look()).toMatchObject({ level: 0.5, restLeft: 0.5, empty: false, keep: undefined })
    expect(draw()).toContain(`stroke-dasharray="${(Math.PI * 9).toFixed(1)} `)
    expect(draw({ restUntil: now - 1 })).not.toContain('stroke-dasharray')
    expect(look({ restUntil: now + 90 * DAY }).restLeft).toBeLessThanOrEqual(1)
  })
  it('has a folded corner when its date is near, a full one when it is past', () => {
    expect([
      look({ keepUntil: now + 13 * DAY }).keep,
      look({ keepUntil: now - 1 }).keep,
      look({ keepUntil: null as unknown as number }).keep,
    ]).toEqual(['near', 'past', undefined])
    expect(draw()).not.toContain('data-mark="keep')
    expect(draw({ keepUntil: now + 13 * DAY })).toContain('data-mark="keep near"')
    expect(draw({ keepUntil: now - 1 })).toContain('data-mark="keep past"')
  })
  it('has a mound as steep as it pours thick, and a bar under the reference', () => {
    const mound = (s: number | null) => draw({ levelTimeS: s as unknown as null })
    expect(mound(null)).not.toContain('rx="4"')
    expect(mound(6)).not.toBe(mound(0.5))
    expect(draw({ isReference: true })).toContain('data-mark="reference"')
    expect(draw({ isJar: true })).not.toBe(draw())
    expect(draw({ ul: 0 })).not.toContain('clip-path="url(#b-x)"')
  })
  it('shows a mound of its own in lists', () => {
    expect(renderToStaticMarkup(<Mound levelTimeS={4} label="sits" />)).toContain('aria-label="sits"')
    expect(renderToStaticMarkup(<Mound levelTimeS={0.4} />)).toContain('aria-hidden="true"')
  })
})
