import { renderToStaticMarkup } from 'react-dom/server'
import { hexToLab } from '@/core/colour/lab'
import { DEFAULTS_BY_BODY } from '@/core/paint/properties'
import type { DrawerPaint } from '@/db/materials/drawer'
import { PaintCard } from './PaintCard'
import type { PaintRow } from '@/db/materials/read'

const common = {
  maker: 'Kvarnby Colour',
  line: 'Studio',
  containerUl: 120_000,
  priceMinor: 990,
  lowUl: null,
  supplier: '',
  barcode: '',
  tags: [],
  notes: '',
  discontinued: false,
  archived: false,
  revision: 1,
  ...DEFAULTS_BY_BODY.soft,
}

const teal: PaintRow = {
  ...common,
  id: 'm',
  kind: 'paint',
  name: 'Canal Teal',
  body: 'soft',
  opacity: 'semi-opaque',
  contrastRatio: null,
  sheen: 'satin',
  sheenStrength: 2,
  strength: 'strong',
  lightfastness: '',
  pigments: ['PB15:3', 'PG7'],
  swatchHex: '#136a78',
  tintHex: null,
  tintWhiteShare: null,
  shadeHex: null,
  shadeBlackShare: null,
  readings: { masstone: null, tint: null, shade: null },
  wetHex: null,
  flags: [],
  substitutes: [],
  standIn: [],
}

const paint = (more: Partial<DrawerPaint> = {}): DrawerPaint => {
  const m = { ...teal, ...more }
  return { ...m, lab: hexToLab(m.swatchHex), hueOrder: 0, perMl: 8.25, ...more }
}

/** Words of a picture, as they are read. */
const words = (node: React.ReactElement) =>
  renderToStaticMarkup(node)
    .replace(/<(style|title)[^>]*>.*?<\/\1>/g, '')
    .replace(/<[^>]+>/g, ' ')
    .replace(/&#x27;/g, '’')
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ')

describe('a paint’s card in the drawer', () => {
  const card = (more: object) =>
    words(<PaintCard m={{ ...paint(), onHandUl: null, low: false, ...more }} currency="EUR" />)
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
