import { renderToStaticMarkup } from 'react-dom/server'
import { Alerts } from './Alerts'
import type { Alert } from './find'

jest.mock('./Live', () => ({ Live: () => null }))

const text = (html: string) => html.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ')

describe('what to do', () => {
  const alert = (label: string, kind: Alert['need']['kind'], due: number | null = null): Alert => ({
    id: label,
    label,
    hex: '#136a78',
    sheen: 'satin',
    need: { kind, short: '', todo: `Do something about ${label}.`, due },
  })
  it('is sorted into now, by date, before the next pour, and when there is time; each with a way to do it', () => {
    const html = renderToStaticMarkup(
      <Alerts
        zone="Europe/Berlin"
        looks={[{ pieceId: 'p', title: 'Copper moon', moment: 'dry', dueAt: '2026-05-04T10:00:00Z', isDue: false }]}
        alerts={[
          alert('a', 'evaporated'),
          alert('b', 'resting', 5),
          alert('c', 'keep', 6),
          alert('d', 'shake'),
          alert('e', 'check'),
          alert('f', 'low'),
          alert('g', 'thickened'),
        ]}
      />,
    )
    const words = text(html)
    expect(words.indexOf('Now 2')).toBeLessThan(words.indexOf('With a date 2'))
    expect(words.indexOf('With a date 2')).toBeLessThan(words.indexOf('Before the next pour 2'))
    expect(words.indexOf('Before the next pour 2')).toBeLessThan(words.indexOf('When there is time 1'))
    for (const href of [
      '/plan/new?bottles=c',
      '/bench/consistency?bottle=e',
      '/bench?like=f',
      '/bench/consistency?bottle=g',
      '/rack/alerts/calendar',
      '/wall/p/look/dry',
    ])
      expect(html).toContain(`href="${href}"`)
  })
  it('is nothing where every bottle is ready', () => {
    expect(text(renderToStaticMarkup(<Alerts alerts={[]} looks={[]} zone="Europe/Berlin" />))).toContain(
      'Every bottle is ready to pour.',
    )
  })
})
