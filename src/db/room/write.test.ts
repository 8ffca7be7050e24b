import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../../tests/support/studio'
import { endPool } from '@/db/base/pool'
import { cupSizes, dryingPlaces, roomFacts } from './read'
import { cupSchema, placeSchema, roomSchema } from './schema'
import { removeFromRoom, saveCup, savePlace, saveRoom } from './write'

afterAll(endPool)

const cup = (sizeUl: number, more: object = {}) => ({ id: uuidv7(), name: `${sizeUl} µl`, sizeUl, ...more })

describe('the room', () => {
  it('keeps cups, smallest first, and places, largest first; the same id changes one', async () => {
    const studio = await makeStudio()
    const seven = cup(207_015)
    for (const c of [seven, cup(88_721)]) await studio.run((tx) => saveCup(tx, c))
    await studio.run((tx) => saveCup(tx, { ...seven, name: 'seven' }))
    expect((await studio.run(cupSizes)).map((c) => c.name)).toEqual(['88721 µl', 'seven'])
    const table = { id: uuidv7(), name: 'Table', lengthMm: 900, widthMm: 600, spots: 2 }
    const rack = { id: uuidv7(), name: 'Rack', lengthMm: 300, widthMm: 400, spots: 6 }
    for (const p of [rack, table]) await studio.run((tx) => savePlace(tx, p))
    expect((await studio.run(dryingPlaces)).map((p) => p.name)).toEqual(['Table', 'Rack'])
    await studio.run((tx) => removeFromRoom(tx, 'cup', seven.id))
    await studio.run((tx) => removeFromRoom(tx, 'place', rack.id))
    expect(await studio.run(cupSizes)).toHaveLength(1)
    expect(await studio.run(dryingPlaces)).toEqual([table])
    await expect(studio.run((tx) => removeFromRoom(tx, 'cup', rack.id))).rejects.toMatchObject({ code: 'NotFound' })
  })
  it('is as most rooms are until somebody says otherwise', async () => {
    const studio = await makeStudio()
    expect(await studio.run(roomFacts)).toEqual({ closedWeekdays: [], celsius: 20, humidity: 0.5 })
    await studio.run((tx) => saveRoom(tx, { closedWeekdays: [7, 1, 7], celsius: 17.5, humidity: 0.62 }))
    const { closedWeekdays, celsius, humidity } = await studio.run(roomFacts)
    expect([closedWeekdays, celsius]).toEqual([[1, 7], 17.5])
    expect(humidity).toBeCloseTo(0.62, 6)
  })
  it.each([
    [cupSchema, cup(0), 'A cup holds at least a millilitre.'],
    [cupSchema, cup(5_000, { name: ' ' }), 'Give the cup a name.'],
    [placeSchema, { id: uuidv7(), name: 'x', lengthMm: 0, widthMm: 5, spots: 1 }, 'The length must be above zero.'],
    [placeSchema, { id: uuidv7(), name: 'x', lengthMm: 5, widthMm: 5, spots: 0 }, 'A place holds at least one piece.'],
    [roomSchema, { closedWeekdays: [1, 2, 3, 4, 5, 6, 7], celsius: 20, humidity: 0.5 }, 'Leave a day open.'],
    [roomSchema, { closedWeekdays: [], celsius: 200, humidity: 0.5 }, 'Above 60 °C nobody pours.'],
    [roomSchema, { closedWeekdays: [], celsius: 20, humidity: 50 }, 'between 0 and 100 %'],
  ])('refuses %#', (schema, input, sentence) => expect(() => schema.validateSync(input)).toThrow(sentence))
})
