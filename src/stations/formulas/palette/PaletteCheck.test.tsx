import { App } from 'antd'
import type { ReactNode } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import type { Material } from '@/db/materials/mixable'
import { mixable } from '../../../../tests/support/mixable'
import { PaletteCheck } from './PaletteCheck'

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }))

const html = (node: ReactNode) => renderToStaticMarkup(<App>{node}</App>)

const words = (node: ReactNode) =>
  html(node)
    .replace(/<style[^>]*>.*?<\/style>/gs, '')
    .replace(/<[^>]+>/g, ' ')
    .replace(/&#x27;/g, '’')
    .replace(/\s+/g, ' ')

const paint = (id: string, hex: string, more: Partial<Material> = {}) =>
  mixable(id, {
    hex,
    sigma: 0.05,
    known: 'tint and shade',
    pigments: ['PB29'],
    priceMinor: 600,
    onHandUl: 60_000,
    ...more,
  })

const violet = paint('Plum', '#4a2a78')

const yellow = paint('Marigold', '#f2b814')

const white = paint('Chalk', '#f5f3ec')

const teal = paint('Teal', '#136a78')

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
