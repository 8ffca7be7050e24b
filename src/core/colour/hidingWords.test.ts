import { colourless, mixable } from '../../../tests/support/mixable'
import { hidingWords } from './hidingWords'

const violet = mixable('violet', { hex: '#6a4a9a', strength: 'weak', opacity: 'semi-transparent' })
const flow = colourless('flow', { kind: 'medium', solids: 0.25 })
const mix = (paintUl: number, mediumUl: number) =>
  hidingWords([
    { material: violet, ul: paintUl },
    { material: flow, ul: mediumUl },
  ])?.replaceAll('\u00a0', ' ')

describe('what medium does to hiding, in words', () => {
  it('says how it covers, and what more paint would bring', () => {
    expect(mix(100_000, 20_000)).toBe('In a usual pour it hides all that lies beneath.')
    expect(mix(100_000, 300_000)).toMatch(/^In a usual pour it covers 0\.[89]\d, where 1 hides all\.$/)
    const thin = mix(10_000, 110_000)!
    expect(thin).toMatch(
      /^In a usual pour it covers 0\.[3456]\d, where 1 hides all: washed out by the medium\. [\d.]+ ml more/,
    )
    const more = Number(/([\d.]+) ml more/.exec(thin)![1])
    expect(mix(10_000 + 1000 * (more + 0.2), 110_000)).toMatch(/covers 0\.7\d, where 1 hides all\.$/)
  })
  it('of a clear paint says so, and of flakes and of medium alone nothing', () => {
    const clear = { ...violet, opacity: 'transparent' as const, body: 'ink' as const, contrastRatio: 0.02 }
    expect(
      hidingWords([
        { material: clear, ul: 10 },
        { material: flow, ul: 70 },
      ]),
    ).toMatch('changes little')
    expect(hidingWords([{ material: flow, ul: 70 }])).toBeUndefined()
    expect(hidingWords([{ material: { ...violet, sheen: 'metallic' }, ul: 10 }])).toBeUndefined()
  })
})
