import { renderToStaticMarkup } from 'react-dom/server'
import { FluidOunceTrap } from './FluidOunceTrap'

jest.mock('@/db/bottles/consistency', () => ({}))

const text = (html: string) => html.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ')

describe('fluid ounces', () => {
  it('are warned of where they were typed and the paint is no water', () => {
    const trap = (typed: string, density: number) =>
      text(renderToStaticMarkup(<FluidOunceTrap typed={typed} densityGPerMl={density} />))
    expect(trap('4 oz', 1.25)).toContain('you are 20 % short')
    expect(trap('4 fl oz', 0.8)).toContain('you are 25 % over')
    expect([trap('4 fl oz', 1.01), trap('60 ml', 1.25), trap('64 g', 1.25), trap('', 1.25)]).toEqual(['', '', '', ''])
  })
})
