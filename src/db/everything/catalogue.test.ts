import { makeStudio } from '../../../tests/support/studio'
import { endPool } from '../base/pool'
import { inOrder, studioTables, type TableShape } from './catalogue'

afterAll(endPool)

const shape = (name: string, ...names: [table: string, ...mayBeEmpty: string[]][]): TableShape => ({
  name,
  columns: [],
  pictures: [],
  people: [],
  key: [],
  names: names.map(([table, ...mayBeEmpty]) => ({ table, mayBeEmpty })),
})

describe('the order tables are written in', () => {
  it('puts each after what its rows name', () => {
    const steps = inOrder([shape('c', ['b']), shape('b', ['a']), shape('a')])
    expect(steps.map((s) => s.table.name)).toEqual(['a', 'b', 'c'])
    expect(steps.flatMap((s) => s.later)).toEqual([])
  })
  it('leaves open for later what may be empty, where two name each other, and nothing else', () => {
    const steps = inOrder([shape('plan', ['work'], ['piece', 'from_piece']), shape('work'), shape('piece', ['plan'])])
    expect(steps.map((s) => [s.table.name, s.later])).toEqual([
      ['work', []],
      ['plan', ['from_piece']],
      ['piece', []],
    ])
  })
  it('does not guess where neither may be empty', () => {
    expect(() => inOrder([shape('a', ['b']), shape('b', ['a'])])).toThrow('no order for a, b')
  })
  it('holds for every table there is, and what is taken out is said by the database itself', async () => {
    const studio = await makeStudio()
    const tables = await studio.run(studioTables)
    const names = tables.map((t) => t.name)
    expect(names).toEqual(
      expect.arrayContaining(['studio', 'movement_line', 'vessel_content', 'piece_photo', 'trial_word']),
    )
    expect(names).not.toEqual(expect.arrayContaining(['account_studio']))
    expect(names).not.toContain('work_link')
    expect(tables.find((t) => t.name === 'piece_photo')!.pictures).toEqual(['image', 'flat'])
    expect(tables.find((t) => t.name === 'movement')!.people).toEqual(['by'])
    expect(tables.find((t) => t.name === 'studio')!.columns).not.toContain('demo')
    const steps = inOrder(tables)
    expect(steps).toHaveLength(tables.length)
    const before = new Set<string>()
    for (const { table, later } of steps) {
      for (const n of table.names)
        if (!before.has(n.table))
          expect([table.name, n.mayBeEmpty.every((c) => later.includes(c))]).toEqual([table.name, true])
      before.add(table.name)
    }
  })
})
