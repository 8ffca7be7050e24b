import { renderToStaticMarkup } from 'react-dom/server'
import { PigmentTable } from './PigmentTable'

/** Words of a picture, as they are read. */
const words = (node: React.ReactElement) =>
  renderToStaticMarkup(node)
    .replace(/<(style|title)[^>]*>.*?<\/\1>/g, '')
    .replace(/<[^>]+>/g, ' ')
    .replace(/&#x27;/g, '’')
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ')

describe('the pigment table', () => {
  it('says what the reference says, where it is from, and what is not in it', () => {
    const said = words(<PigmentTable names={['PB28', 'PX9']} />)
    expect(said).toContain('cobalt blue')
    expect(said).toContain('Cobalt compound: can sensitise')
    expect(said).toContain('not in the reference')
    expect(said).toContain('from memory')
  })
})
