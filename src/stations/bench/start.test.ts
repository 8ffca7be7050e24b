import type { BottleFull } from '@/db/bottles/read'
import type { Material } from '@/db/materials/mixable'
import { colourless, mixable } from '../../../tests/support/mixable'
import { benchStart, PLAIN } from './start'

const material = (id: string, kind: Material['kind']) => (kind === 'paint' ? mixable(id) : colourless(id, { kind }))
const materials = [
  material('teal', 'paint'),
  material('white', 'paint'),
  material('flow', 'medium'),
  material('tap', 'water'),
  material('distilled', 'water'),
]
const bottle = {
  id: 'b1',
  label: 'Night teal',
  role: 'swipe',
  recipe: {
    paintParts: 1,
    paints: [
      { materialId: 'teal', name: 'teal', parts: 3 },
      { materialId: 'white', name: 'white', parts: 1 / 3 },
    ],
    mediums: [{ materialId: 'flow', name: 'flow', parts: 2 }],
    water: { materialId: 'distilled', name: 'distilled', parts: 0.2 },
  },
} as unknown as BottleFull
const none = { paints: [], parts: [], us: false }

describe('what lies on the bench when it is opened', () => {
  it('is a bottle to mix more of, its drops too', () => {
    const oiled = { ...bottle, recipe: { ...bottle.recipe, drops: [{ materialId: 'oil', name: 'oil', parts: 2 }] } }
    expect(benchStart(materials, { ...none, like: oiled }).draft.drops).toEqual([{ id: 'oil', parts: '2' }])
    expect(benchStart(materials, { ...none, like: bottle }).draft.drops).toEqual([])
  })
  it('is a bottle’s recipe with the amount that is short, to go into that bottle', () => {
    const start = benchStart(materials, { ...none, like: bottle, totalUl: 113_615 })
    expect(start).toEqual({
      draft: {
        paints: [
          { id: 'teal', parts: '3' },
          { id: 'white', parts: '0.333' },
        ],
        mediums: [{ id: 'flow', parts: '2' }],
        ratio: '2 : 1',
        waterId: 'distilled',
        waterParts: '0.2',
        ...PLAIN,
        total: '113.615 ml',
      },
      label: 'Night teal',
      role: 'swipe',
      topUp: { id: 'b1', label: 'Night teal' },
    })
  })
  it('is the tray’s paints with their parts; what is not in the studio is left out', () => {
    const { draft, label, topUp } = benchStart(materials, {
      ...none,
      paints: ['white', 'gone', 'teal'],
      parts: ['2', '9', 'x'],
    })
    expect(draft.paints).toEqual([
      { id: 'white', parts: '2' },
      { id: 'teal', parts: '1' },
    ])
    expect([label, topUp]).toEqual(['', undefined])
    expect(benchStart(materials, { ...none, paints: ['teal'] }).label).toBe('teal')
  })
  it('is the first medium and water, and a usual total in the studio’s units', () => {
    expect(benchStart(materials, none).draft).toMatchObject({
      paints: [],
      mediums: [{ id: 'flow', parts: '1' }],
      waterId: 'tap',
      total: '240 ml',
    })
    expect(benchStart(materials, { ...none, us: true }).draft.total).toBe('8 fl oz')
    expect(benchStart([], none).draft).toMatchObject({ mediums: [], waterId: '' })
  })
})
