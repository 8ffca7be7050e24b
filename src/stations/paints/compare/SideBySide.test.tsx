import { renderToStaticMarkup } from 'react-dom/server'
import { hexToLab } from '@/core/colour/lab'
import { DEFAULTS_BY_BODY } from '@/core/paint/properties'
import { SideBySide } from './SideBySide'
import type { DrawerPaint } from '@/db/materials/drawer'
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

describe('paints side by side', () => {
  const violet = paint({ id: 'v', name: 'Violet', swatchHex: '#6a2c91', opacity: 'transparent', strength: 'normal' })
  const yellow = paint({
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
})
