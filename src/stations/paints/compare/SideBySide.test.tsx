import { drawerPaint } from '../../../../tests/support/paints'
import { words } from '../../../../tests/support/words'
import { SideBySide } from './SideBySide'

describe('paints side by side', () => {
  const violet = drawerPaint({
    id: 'v',
    name: 'Violet',
    swatchHex: '#6a2c91',
    opacity: 'transparent',
    strength: 'normal',
  })
  const yellow = drawerPaint({
    id: 'y',
    name: 'Yellow',
    swatchHex: '#f4dc3a',
    opacity: 'opaque',
    pigments: ['PY74', 'PG7'],
    strength: 'normal',
  })
  const table = (verdict?: 'together' | 'never' | 'surprising') =>
    words(
      <SideBySide
        paints={[violet, yellow]}
        notes={verdict ? [{ aId: 'v', bId: 'y', verdict, note: 'it sang' }] : []}
        currency="EUR"
        optics={[]}
      />,
    )
  it('warn of mud, unless the maker has found otherwise', () => {
    expect(table()).toContain('mud: keep apart')
    expect(table('never')).toMatch(/never: it sang.*mud: keep apart/)
    expect(table('surprising')).toContain('surprisingly good: it sang')
    expect(table('surprising')).not.toContain('mud')
  })
  it('show what they share and how transparent they are', () => {
    expect(table()).toContain('PG7 in Violet, Yellow')
    expect(table()).toMatch(/semi-opaque none/)
  })
  it('say how many ml of a weak one colour as deep as the strongest, and leave flakes out', () => {
    const read = (
      id: string,
      hex: string,
      strength: 'weak' | 'very strong',
      sheen: 'satin' | 'metallic' = 'satin',
    ) => ({
      id,
      hex,
      strength,
      sheen,
      body: 'soft' as const,
      opacity: 'opaque' as const,
      contrastRatio: null,
      optics: null,
      sigma: null,
      known: null,
      mixes: 0,
      fit: null,
    })
    const blue = drawerPaint({ id: 'b', name: 'Blue', swatchHex: '#1d3f8a' })
    const side = (list: ReturnType<typeof read>[]) =>
      words(<SideBySide paints={[violet, blue]} notes={[]} currency="EUR" optics={list} />)
    const both = side([read('v', '#6a2c91', 'weak'), read('b', '#1d3f8a', 'very strong')])
    expect(Number(/As deep as 1 ml of Blue in white Violet ([\d.]+) ml/.exec(both)![1])).toBeGreaterThan(4)
    expect(side([read('v', '#6a2c91', 'weak'), read('b', '#1d3f8a', 'very strong', 'metallic')])).not.toContain(
      'As deep',
    )
  })
})
