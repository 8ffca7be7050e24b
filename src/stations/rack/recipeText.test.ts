import { recipeText } from './recipeText'

it('says the recipe in one line', () => {
  const part = (name: string, parts: number) => ({ materialId: name, name, parts })
  const water = part('Distilled water', 0.25)
  expect(recipeText({ paintParts: 1, paints: [part('Teal', 1)], mediums: [part('Flow', 2)], water })).toBe(
    'Teal; paint 1 : 2 Flow : 0.25 Distilled water',
  )
  expect(recipeText({ paintParts: 1, paints: [part('Teal', 3), part('White', 1)], mediums: [], water: null })).toBe(
    'Teal 3 : White 1',
  )
  expect(recipeText({ paintParts: 0, paints: [], mediums: [part('Flow', 1)], water: null })).toBe('1 Flow')
})
