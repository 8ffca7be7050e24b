import { words } from '../../../../tests/support/words'
import { RunningOut } from './RunningOut'
import type { PricedPaint } from '@/db/materials/prices'

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
