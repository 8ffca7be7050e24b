import { flowMedium, tapWater } from '../../../../tests/support/paints'
import { words } from '../../../../tests/support/words'
import { renderToStaticMarkup } from 'react-dom/server'
import { EFFECTS, EFFECTS_BY_KIND } from '@/core/mix/mediumEffects'
import { EffectChart } from './EffectChart'
import { MediumCards } from './MediumCards'
import { MediumSheet } from './MediumSheet'

describe('mediums', () => {
  const flow = flowMedium()
  const water = tapWater()
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
