import { renderToStaticMarkup } from 'react-dom/server'
import { SHEENS } from '@/core/paint/properties'
import { SheenDefs, sheenFill } from './SheenDefs'

describe('sheen', () => {
  it('has a pattern for every kind', () => {
    const defs = renderToStaticMarkup(<SheenDefs />)
    for (const sheen of SHEENS) {
      const id = /url\(#(.+)\)/.exec(sheenFill(sheen))![1]
      expect([sheen, defs.includes(`id="${id}"`)]).toEqual([sheen, true])
    }
  })
})
