import { words } from '../../../../tests/support/words'
import { teal, violet, white, yellow } from '../../../../tests/support/deskPaints'
import { PaletteCheck } from './PaletteCheck'

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }))

describe('the palette', () => {
  const check = (words2: Parameters<typeof PaletteCheck>[0]['words']) =>
    words(
      <PaletteCheck
        paints={[violet, yellow, white, teal]}
        words={words2}
        bottles={[]}
        start={['Plum', 'Marigold', 'Teal']}
      />,
    )
  it('keeps mud apart, and lets the maker’s word stand before it', () => {
    expect(check([])).toMatch(/Plum and Marigold turn to mud/)
    const said = check([{ aId: 'Plum', bId: 'Marigold', verdict: 'surprising', note: 'it sang' }])
    expect(said).toContain('surprising together, it sang')
    expect(said).not.toMatch(/Plum and Marigold turn to mud/)
  })
  it('tells of light and dark, and of what is transparent', () => {
    expect(check([])).toContain('A light stands among darks')
    expect(check([])).toContain('Transparent to opaque')
  })
  it('takes bottles too, and says how sure its least sure patch is', () => {
    const bottles = [{ id: 'b', label: 'Night teal', hex: '#1d4464', sheen: 'satin' as const }]
    const said = words(
      <PaletteCheck paints={[violet, yellow]} bottles={bottles} words={[]} start={['Plum', 'Marigold', 'b']} />,
    )
    expect(said).toContain('Night teal')
    expect(said).toMatch(/the least sure patch is an estimate, ±.\d/)
    expect(said).toContain('10 % tint')
  })
  it('asks for two paints', () => {
    expect(words(<PaletteCheck paints={[violet]} words={[]} bottles={[]} start={['Plum']} />)).toContain(
      'Two paints or more',
    )
  })
})
