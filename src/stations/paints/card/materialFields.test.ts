import fc from 'fast-check'
import { aMaterial } from '../../../../tests/support/materials'
import { read, start, usualOf } from './materialFields'

const kindOf = (kind: string) => (kind === 'additive' ? 'medium' : kind) as 'paint' | 'medium' | 'water'

describe('the form of a material', () => {
  it('opened and saved unchanged sends what was there', () => {
    fc.assert(
      fc.property(aMaterial, (material) => {
        expect(read(kindOf(material.kind), start(material), 'metric')).toEqual(material)
      }),
    )
  })
  it('fills what is left empty by body or kind, and takes decimal commas and units', () => {
    const paint = read(
      'paint',
      {
        ...start(undefined),
        name: 'X',
        body: 'heavy',
        densityGPerMl: '',
        solids: '0,4',
        containerUl: '2 fl oz',
        lowUl: '30',
      },
      'us',
    )
    expect(paint).toMatchObject({ densityGPerMl: 1.28, solids: 0.4, containerUl: 59_147, lowUl: 887_206 })
    expect(read('water', { ...start(undefined), thinner: 'thinning mix' }, 'metric')).toMatchObject({
      waterShare: 0.9,
      solids: 0.025,
    })
    expect(usualOf('medium', { mediumKind: 'glue' })).toMatchObject({ solids: 0.45, waterShare: 0 })
  })
  it('says what it cannot read', () => {
    expect(() => read('paint', { ...start(undefined), contrastRatio: 'good' }, 'metric')).toThrow(
      '“good” is not a number for the contrast ratio',
    )
    expect(() => read('paint', { ...start(undefined), priceMinor: 'dear' }, 'metric')).toThrow('is not a price')
  })
  it('keeps a stand-in formula only while the paint is discontinued', () => {
    const fields = { ...start(undefined), standIn: [{ paintId: 'a', parts: '1,5' }] }
    expect(read('paint', { ...fields, discontinued: true }, 'metric')).toMatchObject({
      standIn: [{ paintId: 'a', parts: 1.5 }],
    })
    expect(read('paint', fields, 'metric')).toMatchObject({ standIn: [] })
  })
})
