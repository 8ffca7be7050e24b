import { html } from '../../../../tests/support/words'
import { teal, violet, white, yellow } from '../../../../tests/support/deskPaints'
import { formulaView } from './deskDraft'
import { hidingWords, MixPicture } from './MixPicture'

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }))

const byId = new Map([violet, yellow, white, teal].map((p) => [p.id, p]))

describe('the mix', () => {
  const rows = [
    { id: 'Teal', amount: '2' },
    { id: 'Chalk', amount: '1' },
  ]
  const { used, prediction } = formulaView(rows, 'parts', 90_000, byId)
  it('is drawn dry beside wet, in cups, over the card and against the target', () => {
    const target = { label: 'picked', hex: prediction!.hex, reflectance: null, sheen: null }
    const drawn = html(<MixPicture used={used} prediction={prediction} wetHex="#2b8894" target={target} />)
    expect(drawn).toContain(`The mix dries to about ${prediction!.hex}`)
    expect(drawn).toContain('#2b8894')
    expect(drawn.match(/226l10 98h/g)).toHaveLength(2)
    expect(drawn).toContain('cannot tell')
    const far = html(
      <MixPicture used={used} prediction={prediction} wetHex="#2b8894" target={{ ...target, hex: '#f2b814' }} />,
    )
    expect(far).toContain('plain')
  })
  it('shows what lies beneath, and is an outline before anything is chosen', () => {
    const over = { label: 'Plum', ground: '#4a2a78', hex: '#15606d' }
    expect(
      html(<MixPicture used={used} prediction={prediction} wetHex="#2b8894" target={undefined} over={over} />),
    ).toContain('over Plum, dry')
    expect(html(<MixPicture used={[]} prediction={undefined} wetHex={undefined} target={undefined} />)).toContain(
      'No mix yet',
    )
  })
  it('puts hiding into words by the classes of ISO 6504-3', () => {
    expect([0.985, 0.93, 0.6].map(hidingWords)).toEqual([
      'hides (0.98)',
      'nearly hides (0.93)',
      'shows what lies beneath (0.60)',
    ])
  })
})
