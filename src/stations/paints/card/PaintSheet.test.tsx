import { RATIO_BY_BODY } from '@/core/mix/schools'
import { drawerPaint } from '../../../../tests/support/paints'
import { words } from '../../../../tests/support/words'
import { alike } from '@/core/colour/likeness'
import { PaintSheet } from './PaintSheet'
import type { DrawerPaint } from '@/db/materials/drawer'

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
        ratio={{ ...RATIO_BY_BODY[p.body], from: 'by body' }}
        optics={undefined}
      />,
    )
  }
  it('tells one pigment from many, and asks for a tint where there is none', () => {
    expect(sheet(drawerPaint())).toContain('2 pigments')
    expect(sheet(drawerPaint({ pigments: ['PG7'] }))).toContain('One pigment')
    expect(sheet(drawerPaint())).toContain('Add a tint in white')
    const painted = sheet(drawerPaint({ tintHex: '#6aaab6', tintWhiteShare: 0.9, wetHex: '#187584' }))
    expect(painted).toContain('tint, 90 % white')
    expect(painted).toContain('wet, plainly lighter')
    expect(painted).not.toContain('Add a tint in white')
  })
  it('costs the mixed paint at the house ratio: (8.25 + 2 × 1.5) ÷ 3 = 3.75 ct', () => {
    expect(sheet(drawerPaint())).toContain('€0.038 a ml at 2 : 1')
    expect(sheet(drawerPaint(), [], null)).not.toContain('at 2 : 1')
    // Ready to pour needs no medium: it costs what it costs.
    expect(sheet(drawerPaint({ body: 'ready' }), [], null)).toContain('€0.083 a ml at 0 : 1')
  })
  it('names what could replace it, and the formula that stands in once it is discontinued', () => {
    const same = drawerPaint({
      id: 's',
      name: 'Weir Teal',
      maker: 'Torvald Works',
      pigments: ['PG7', 'PB15:3'],
      swatchHex: '#176e7c',
    })
    const said = sheet(drawerPaint({ discontinued: true, standIn: [{ paintId: 's', parts: 2 }], substitutes: ['s'] }), [
      same,
    ])
    expect(said).toContain('What stands in for it is listed below')
    expect(said).toContain('Can be replaced by Weir Teal .')
    expect(said).toMatch(
      /Weir Teal Torvald Works side by side only ΔE00 \d\.\d the same PB15:3|Weir Teal Torvald Works (cannot tell|side by side only) ΔE00 \d\.\d the same/,
    )
    expect(sheet(drawerPaint())).toContain('Nothing in the drawer shares its pigments')
  })
  it('shows the caution where a pigment is harmful as dust', () => {
    expect(sheet(drawerPaint({ pigments: ['PR108'] }))).toContain('follow the label, local codes and licensed practice')
    expect(sheet(drawerPaint({ pigments: ['PY74'] }))).not.toContain('licensed practice')
  })
})
