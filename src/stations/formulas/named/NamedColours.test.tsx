import { words } from '../../../../tests/support/words'
import { NamedColours, type ColourCard } from './NamedColours'

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }))

describe('the shelf of colours', () => {
  const card: ColourCard = {
    id: 'f',
    name: 'Harbour',
    hex: '#4f8f8a',
    body: 'soft',
    opacity: 'opaque',
    sheen: 'satin',
    text: 'Teal 2 : Chalk 1',
    versions: 3,
    miss: null,
    standsInFor: null,
  }
  it('says whether a colour was painted out, and how that came out', () => {
    const of = (miss: number | null) => words(<NamedColours colours={[{ ...card, miss }]} bottled={[]} />)
    expect(of(null)).toContain('not painted out yet')
    expect(of(0.4)).toContain('painted out, as computed')
    expect(of(2)).toContain('a hair off (ΔE00 2.0)')
    expect(of(7.3)).toContain('off by ΔE00 7.3')
    expect(of(null)).toContain('version 3')
  })
  it('names the paint it stands in for, and leads on where it is empty', () => {
    const lost = { id: 'w', name: 'Winter Barge', hex: '#4f8f8a' }
    expect(words(<NamedColours colours={[{ ...card, standsInFor: lost }]} bottled={[]} />)).toContain(
      'for Winter Barge, ΔE00 0.0',
    )
    const empty = words(
      <NamedColours colours={[]} bottled={[{ bottleId: 'b', label: 'Reed', hex: null, text: 'Reed 3', href: '/x' }]} />,
    )
    expect(empty).toContain('No colour is kept yet')
    expect(empty).toContain('In bottles, without a name')
    expect(empty).toContain('Reed 3')
  })
})
