import { words } from '../../../../tests/support/words'
import { PigmentTable } from './PigmentTable'

describe('the pigment table', () => {
  it('says what the reference says, where it is from, and what is not in it', () => {
    const said = words(<PigmentTable names={['PB28', 'PX9']} />)
    expect(said).toContain('cobalt blue')
    expect(said).toContain('Cobalt compound: can sensitise')
    expect(said).toContain('not in the reference')
    expect(said).toContain('from memory')
  })
})
