import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../../../tests/support/studio'
import { SHIPPED, TECHNIQUES } from '@/core/technique/techniques'
import { endPool } from '@/db/base/pool'
import { techniqueBook } from './read'
import { techniqueSchema } from './schema'
import { removeTechnique, saveTechnique } from './write'

afterAll(endPool)

const own = (more: object = {}) =>
  techniqueSchema.validateSync({ ...SHIPPED.of('ring'), key: `own-${uuidv7()}`, name: 'Canal ring', ...more })

describe('techniques of the studio’s own', () => {
  it('every one that ships can be copied as it is', () => {
    for (const t of TECHNIQUES) {
      const copy = { ...t, key: `own-${uuidv7()}` }
      expect(techniqueSchema.validateSync(copy)).toEqual(copy)
    }
  })
  it('are kept, changed and taken off; another studio has none of them', async () => {
    const [studio, other] = [await makeStudio(), await makeStudio()]
    const ring = own()
    await studio.run((tx) => saveTechnique(tx, ring))
    await studio.run((tx) => saveTechnique(tx, { ...ring, levelTimeS: [2, 3] }))
    expect((await studio.run(techniqueBook)).of(ring.key)).toMatchObject({ name: 'Canal ring', levelTimeS: [2, 3] })
    expect((await other.run(techniqueBook)).find(ring.key)).toBeUndefined()
    await studio.run((tx) => removeTechnique(tx, ring.key))
    expect((await studio.run(techniqueBook)).find(ring.key)).toBeUndefined()
    await expect(studio.run((tx) => removeTechnique(tx, 'ring'))).rejects.toMatchObject({ code: 'NotFound' })
  })
  it('have names of their own, beside those that ship too', async () => {
    const studio = await makeStudio()
    await studio.run((tx) => saveTechnique(tx, own()))
    for (const name of [' canal RING', 'Flip cup'])
      await expect(studio.run((tx) => saveTechnique(tx, own({ name })))).rejects.toThrow('There is a technique called')
  })
  it.each([
    [{ key: 'ring' }, 'Only techniques of your own can be changed.'],
    [{ name: '' }, 'Give the technique a name.'],
    [{ levelTimeS: [3, 2] }, 'The first number of seconds is the smaller one.'],
    [{ cups: [] }, 'Choose at least one kind of cup.'],
    [{ needs: ['base coat'], forbids: ['base coat'] }, 'A coat cannot be needed and forbidden at once.'],
    [{ runOffShare: 1 }, 'Something has to stay on the surface.'],
  ])('refuses %j', (more, sentence) => expect(() => own(more)).toThrow(sentence))
})
