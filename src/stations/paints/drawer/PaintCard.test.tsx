import { drawerPaint } from '../../../../tests/support/paints'
import { words } from '../../../../tests/support/words'
import { PaintCard } from './PaintCard'

describe('a paint’s card in the drawer', () => {
  const card = (more: object) =>
    words(<PaintCard m={{ ...drawerPaint(), onHandUl: null, low: false, ...more }} currency="EUR" />)
  it('says its price until it is counted, then what is left and whether it is low', () => {
    expect(card({})).toContain('120 ml · €9.90')
    expect(card({ priceMinor: null })).toContain('no price yet')
    expect(card({ onHandUl: 30_000 })).toContain('30 ml in containers')
    expect(card({ onHandUl: 30_000, low: true })).toContain('30 ml in containers , low')
  })
  it('carries the maker’s own flags and that it is made no more', () => {
    const flags = [
      { role: 'top', rule: 'avoid', reason: 'dull' },
      { role: 'swipe', rule: 'avoid', reason: '' },
      { role: 'slip coat', rule: 'only', reason: '' },
    ]
    const said = card({ flags, discontinued: true })
    expect(said).toContain('Avoid as top, swipe')
    expect(said).toContain('Good only as slip coat')
    expect(said).toContain('Discontinued')
  })
})
