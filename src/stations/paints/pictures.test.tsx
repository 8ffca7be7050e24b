import { renderToStaticMarkup } from 'react-dom/server'
import { hexToLab } from '@/core/colour/lab'
import { EFFECTS, EFFECTS_BY_KIND } from '@/core/mix/mediumEffects'
import { alike } from '@/core/colour/likeness'
import { DEFAULTS_BY_BODY } from '@/core/paint/properties'
import { PaintSheet } from './card/PaintSheet'
import { PigmentTable } from './card/PigmentTable'
import { SideBySide } from './compare/SideBySide'
import type { DrawerPaint } from '@/db/materials/drawer'
import { PaintCard } from './drawer/PaintCard'
import { EffectChart } from './mediums/EffectChart'
import { MediumCards } from './mediums/MediumCards'
import { MediumSheet } from './mediums/MediumSheet'
import type { MediumRow, PaintRow, WaterRow } from '@/db/materials/read'
import { RunningOut } from './stock/RunningOut'
import type { PricedPaint } from '@/db/materials/prices'

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

describe('a paint’s page', () => {
  const sheet = (p: DrawerPaint, others: DrawerPaint[] = [], mediumPerMl: number | null = 1.5) => {
    const all = [p, ...others]
    const byId = new Map(all.map((o) => [o.id, o]))
    const comparable = (o: DrawerPaint) => ({
      id: o.id,
      swatchHex: o.swatchHex,
      pigments: o.pigments,
      body: o.body,
      perMl: o.perMl,
    })
    const near = alike(comparable(p), all.map(comparable)).map((a) => ({ ...a, paint: byId.get(a.id)! }))
    return words(
      <PaintSheet
        paint={p}
        onHandUl={80_000}
        mediumPerMl={mediumPerMl}
        alike={near}
        byId={byId}
        currency="EUR"
        optics={undefined}
      />,
    )
  }
  it('tells one pigment from many, and asks for a tint where there is none', () => {
    expect(sheet(paint())).toContain('2 pigments')
    expect(sheet(paint({ pigments: ['PG7'] }))).toContain('One pigment')
    expect(sheet(paint())).toContain('Add a tint in white')
    const painted = sheet(paint({ tintHex: '#6aaab6', tintWhiteShare: 0.9, wetHex: '#187584' }))
    expect(painted).toContain('tint, 90 % white')
    expect(painted).toContain('wet, plainly lighter')
    expect(painted).not.toContain('Add a tint in white')
  })
  it('costs the mixed paint at the house ratio: (8.25 + 2 × 1.5) ÷ 3 = 3.75 ct', () => {
    expect(sheet(paint())).toContain('€0.038 a ml at 2 : 1')
    expect(sheet(paint(), [], null)).not.toContain('at 2 : 1')
    // Ready to pour needs no medium: it costs what it costs.
    expect(sheet(paint({ body: 'ready' }), [], null)).toContain('€0.083 a ml at 0 : 1')
  })
  it('names what could replace it, and the formula that stands in once it is discontinued', () => {
    const same = paint({
      id: 's',
      name: 'Weir Teal',
      maker: 'Torvald Works',
      pigments: ['PG7', 'PB15:3'],
      swatchHex: '#176e7c',
    })
    const said = sheet(paint({ discontinued: true, standIn: [{ paintId: 's', parts: 2 }], substitutes: ['s'] }), [same])
    expect(said).toContain('What stands in for it is listed below')
    expect(said).toContain('Can be replaced by Weir Teal .')
    expect(said).toMatch(
      /Weir Teal Torvald Works side by side only ΔE00 \d\.\d the same PB15:3|Weir Teal Torvald Works (cannot tell|side by side only) ΔE00 \d\.\d the same/,
    )
    expect(sheet(paint())).toContain('Nothing in the drawer shares its pigments')
  })
  it('shows the caution where a pigment is harmful as dust', () => {
    expect(sheet(paint({ pigments: ['PR108'] }))).toContain('follow the label, local codes and licensed practice')
    expect(sheet(paint({ pigments: ['PY74'] }))).not.toContain('licensed practice')
  })
})

describe('the pigment table', () => {
  it('says what the reference says, where it is from, and what is not in it', () => {
    const said = words(<PigmentTable names={['PB28', 'PX9']} />)
    expect(said).toContain('cobalt blue')
    expect(said).toContain('Cobalt compound: can sensitise')
    expect(said).toContain('not in the reference')
    expect(said).toContain('from memory')
  })
})

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

describe('mediums', () => {
  const flow: MediumRow = {
    ...common,
    id: 'f',
    kind: 'medium',
    name: 'Kvarnby Flow',
    mediumKind: 'conditioner',
    effects: null,
    waterShare: 0.4,
    containerUl: 1_000_000,
    priceMinor: 2000,
  }
  const water: WaterRow = { ...common, id: 'w', kind: 'water', name: 'Tap', thinner: 'tap', waterShare: 1 }
  it('have their effects drawn: a bar as long as each is strong', () => {
    const markup = renderToStaticMarkup(<EffectChart effects={EFFECTS_BY_KIND.conditioner} label="Flow" />)
    const widths = [...markup.matchAll(/<rect x="128" y="3" width="([\d.]+)"/g)].map((m) => Number(m[1]))
    expect(widths).toEqual(EFFECTS_BY_KIND.conditioner.map((v) => v * 32))
    expect(markup).toContain('aria-label="Flow: cells 2, tiny cells 3')
    for (const name of EFFECTS) expect(markup).toContain(`>${name}<`)
    const over = renderToStaticMarkup(
      <EffectChart effects={[0, 0, 0, 0, 0, 0, 0, 0, 0, 0]} over={EFFECTS_BY_KIND.glue} label="x" />,
    )
    expect([...over.matchAll(/fill="none"/g)]).toHaveLength(10)
  })
  it('stand as cards with price and stock, thinners with how long a mix keeps', () => {
    const said = words(<MediumCards rows={[flow, water]} held={new Map([['f', 0]])} currency="EUR" />)
    expect(said).toContain('€0.020 a ml used up')
    expect(said).toContain('a few days')
    expect(words(<MediumCards rows={[]} held={new Map()} currency="EUR" />)).toContain('No mediums yet')
  })
  it('have a page: effects for a medium, keeping for a thinner', () => {
    expect(words(<MediumSheet medium={flow} onHandUl={500_000} currency="EUR" />)).toContain(
      'The usual profile of its kind',
    )
    expect(
      words(<MediumSheet medium={{ ...flow, effects: [...EFFECTS_BY_KIND.glue] }} onHandUl={null} currency="EUR" />),
    ).not.toContain('usual profile')
    expect(words(<MediumSheet medium={water} onHandUl={null} currency="EUR" />)).toContain('keeps a few days')
  })
})

describe('what runs out and what stands idle', () => {
  const now = new Date('2026-05-01T00:00:00Z')
  const priced = (more: Partial<PricedPaint>): PricedPaint => ({
    id: 'p',
    name: 'Teal',
    maker: '',
    hex: '#136a78',
    sheen: 'satin',
    body: 'soft',
    sizeUl: 120_000,
    priceMinor: 990,
    lowUl: null,
    discontinued: false,
    onHandUl: null,
    pacedUl: 0,
    lastUsedAt: null,
    idle: false,
    ...more,
  })
  it('says how much is left, how long it lasts, and since when nothing was mixed', () => {
    const said = words(
      <RunningOut
        paints={[
          priced({ onHandUl: 20_000, lowUl: 50_000, pacedUl: 90_000 }),
          priced({ id: 'q', name: 'Gold', onHandUl: 60_000, idle: true, lastUsedAt: '2025-11-01T00:00:00Z' }),
        ]}
        now={now}
      />,
    )
    // 90 ml in 180 days is half a ml a day: 20 ml last 40 days.
    expect(said).toContain('Teal 20 ml left, low below 50 ml , lasts about 40 days at the pace of late')
    expect(said).toContain('Gold 60 ml on hand , last mixed 6 months ago')
  })
  it('says so where there is nothing to do', () => {
    const said = words(<RunningOut paints={[priced({ onHandUl: 90_000, lowUl: 50_000 })]} now={now} />)
    expect(said).toContain('Nothing is below its low line.')
    expect(said).toContain('Everything you own has been used of late.')
  })
})
