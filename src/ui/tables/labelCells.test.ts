/** @jest-environment jsdom */
import { labelCells } from './labelCells'

const page = (html: string) => {
  document.body.innerHTML = html
  labelCells(document.body)
  return document.body
}
const labels = (root: ParentNode) => [...root.querySelectorAll('td')].map((c) => c.dataset.label ?? null)

describe('a list as cards', () => {
  it('each cell bears the heading of its column, but where that is not seen', () => {
    const root =
      page(`<table class="sheet"><thead><tr><th>When</th><th>Amount</th><th><span class="visually-hidden">Undo</span></th></tr></thead>
      <tbody><tr><td>today</td><td>2 ml</td><td><button>Undo</button></td></tr></tbody></table>`)
    expect(labels(root)).toEqual(['When', 'Amount', null])
  })
  it('counts columns over cells that span several, and headings that do', () => {
    const root =
      page(`<table class="sheet"><thead><tr><th>Paint</th><th colspan="2">Ratio</th><th>Note</th></tr></thead>
      <tbody><tr><td>a</td><td>2</td><td>1</td><td>x</td></tr><tr><td colspan="3">nothing</td><td>y</td></tr></tbody></table>`)
    expect(labels(root)).toEqual(['Paint', 'Ratio', 'Ratio', 'Note', null, 'Note'])
  })
  it('is still a table to whoever hears it, and what stands elsewhere is left alone', () => {
    const root =
      page(`<table class="sheet"><thead><tr><th>A</th></tr></thead><tbody><tr><th>r</th><td>1</td></tr></tbody></table>
      <table><tbody><tr><td>not one of ours</td></tr></tbody></table>`)
    const [ours, other] = [...root.querySelectorAll('table')]
    expect(ours!.getAttribute('role')).toBe('table')
    expect([...ours!.querySelectorAll('tr, th, td')].map((e) => e.getAttribute('role'))).toEqual([
      'row',
      'columnheader',
      'row',
      'rowheader',
      'cell',
    ])
    expect(other!.outerHTML).not.toContain('role=')
  })
  it('follows what changes: another heading is another label', () => {
    const root = page(
      '<table class="sheet"><thead><tr><th>A</th></tr></thead><tbody><tr><td>1</td></tr></tbody></table>',
    )
    root.querySelector('th')!.textContent = 'B'
    labelCells(root)
    expect(labels(root)).toEqual(['B'])
    root.querySelector('thead')!.remove()
    labelCells(root)
    expect(labels(root)).toEqual([null])
  })
})
