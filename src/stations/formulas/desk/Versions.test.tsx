import { words } from '../../../../tests/support/words'
import { UsedInBottles, Versions, type ShownVersion } from './Versions'

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }))

describe('a version beside the others', () => {
  const version = (n: number, hex: string, dryHex: string | null): ShownVersion => ({
    version: n,
    at: '2026-01-05T09:00:00Z',
    by: n === 1 ? 'Ilse Marrow' : null,
    note: '',
    targetHex: null,
    dryHex,
    wetHex: null,
    read: false,
    mediumKind: null,
    mediumShare: 0,
    parts: [],
    hex,
    text: `Teal ${n}`,
  })
  it('tells how far they are apart, by what was painted out where it was', () => {
    const said = words(
      <Versions
        formulaId="f"
        shown={2}
        zone="UTC"
        versions={[version(2, '#136a78', null), version(1, '#ffffff', '#146b79')]}
      />,
    )
    expect(said).toContain('2 versions')
    expect(said).toContain('on the desk')
    expect(said).toContain('cannot tell, ΔE00 0.')
    expect(said).toContain('5 Jan 2026, Ilse Marrow')
    expect(said).toContain('not yet')
  })
  it('lists the bottles mixed by it', () => {
    const bottle = {
      bottleId: 'b',
      label: 'Night teal',
      hex: '#136a78',
      mixedAt: '2026-01-06T09:00:00Z',
      version: 2,
      empty: true,
    }
    expect(words(<UsedInBottles bottles={[bottle]} zone="UTC" />)).toContain('version 2, 6 Jan 2026, empty')
    expect(words(<UsedInBottles bottles={[]} zone="UTC" />)).toContain('No bottle yet')
  })
})
