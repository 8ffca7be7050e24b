import { renderToStaticMarkup } from 'react-dom/server'
import { START_BANDS } from '@/core/consistency/levelTime'
import { BandScale } from './BandScale'

jest.mock('@/db/bottles/consistency', () => ({}))

const text = (html: string) => html.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ')

describe('the bands', () => {
  it('say where a mix is and where it should be', () => {
    const html = renderToStaticMarkup(<BandScale bands={START_BANDS} wantedS={[1, 1.5]} nowS={2.5} />)
    expect(html.match(/<li/g)).toHaveLength(6)
    expect(text(html)).toContain('sinks 2–4 s now')
    expect(text(html)).toContain('melts 1–2 s wanted')
    expect(text(html)).toContain('stands over 8 s')
    expect(text(html)).toContain('vanishes under 0.3 s')
    expect(html.match(/data-wanted/g)).toHaveLength(1)
  })
  it('mark every band that is wanted, and none where nothing is known', () => {
    expect(
      renderToStaticMarkup(<BandScale bands={START_BANDS} wantedS={[0.5, 2.5]} />).match(/data-wanted/g),
    ).toHaveLength(3)
    expect(renderToStaticMarkup(<BandScale bands={START_BANDS} />)).not.toMatch(/data-here|data-wanted/)
  })
})
