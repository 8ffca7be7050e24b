import { schemaOf } from '@/db/materials/schema'
import { cupSchema, placeSchema } from '@/db/room/schema'
import { surfaceSchema } from '@/db/surfaces/schema'
import { v7 as uuidv7 } from 'uuid'
import { starterList } from './starterList'

describe.each(['metric', 'us'] as const)('what every room has (%s)', (units) => {
  const items = starterList(units)
  it('is of no maker, and each thing goes through the schema of its kind', () => {
    for (const item of items) {
      const id = uuidv7()
      if (item.what === 'material') {
        expect(item.material.maker).toBe('')
        expect(schemaOf(item.material.kind).isValidSync(item.material)).toBe(true)
      } else if (item.what === 'cup') expect(cupSchema.isValidSync({ id, ...item.cup })).toBe(true)
      else if (item.what === 'place') expect(placeSchema.isValidSync({ id, ...item.place })).toBe(true)
      else expect(surfaceSchema.isValidSync({ id, ...item.surface })).toBe(true)
    }
  })
  it('has keys of their own, and enough ticked to plan with', () => {
    expect(new Set(items.map((i) => i.key)).size).toBe(items.length)
    const ticked = new Set(items.filter((i) => i.usual).map((i) => i.what))
    expect([...ticked].sort()).toEqual(['cup', 'material', 'place', 'surface'])
  })
  it('has cups in the units people use', () => {
    const cups = items.flatMap((i) => (i.what === 'cup' ? [i.cup.sizeUl] : []))
    // 7 US fl oz are 207.0147 ml (NIST Handbook 44).
    expect(cups).toContain(units === 'us' ? 207_015 : 200_000)
  })
})
