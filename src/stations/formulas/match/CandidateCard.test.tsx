import { html, words } from '../../../../tests/support/words'
import { teal, violet, white, yellow } from '../../../../tests/support/deskPaints'
import type { Candidate } from '@/core/colour/match/rank'
import { CandidateCard } from './CandidateCard'

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }))

describe('a candidate', () => {
  const candidate: Candidate = {
    set: [3, 2],
    parts: [2, 1],
    deltaE: 0.4,
    perMl: 10,
    contrastRatio: 0.99,
    pigments: ['PB29'],
    sheen: 'satin',
    promise: true,
    score: 1,
  }
  const pool = [violet, yellow, white, teal]
  const target = { label: 'picked', hex: '#4f8f8a', reflectance: null, sheen: null }
  it('shows parts, nearness, how sure, cost and hiding, and goes to the bench with the volume', () => {
    const node = <CandidateCard candidate={candidate} pool={pool} target={target} volumeUl={240_000} currency="EUR" />
    const said = words(node)
    expect(said).toMatch(/cannot tell ΔE00 0\.4, calibrated, ±.\d/)
    expect(said).toMatch(/2 Teal 1 Chalk/)
    expect(said).toContain('hides (0.99)')
    expect(said).toContain('1 pigment')
    expect(html(node)).toContain('/bench?paints=Teal,Chalk&amp;parts=2,1&amp;ul=240000')
    expect(html(node)).toContain('target=4f8f8a')
  })
  it('warns where it matches by day only', () => {
    const flat = new Array<number>(36).fill(0).map((_, i) => (i % 6 < 3 ? 0.35 : 0.12))
    const read = { ...target, reflectance: flat }
    expect(
      words(<CandidateCard candidate={candidate} pool={pool} target={read} volumeUl={undefined} currency="EUR" />),
    ).toContain('in lamp light it differs')
  })
})
