import { v7 as uuidv7 } from 'uuid'
import { FikaError } from '@/core/errors'
import { makeStudio } from '../../../tests/support/studio'
import { endPool } from './pool'
import { withStudio } from './withStudio'

afterAll(endPool)

describe('a transaction', () => {
  it('has done what waits for its end only where it is committed', async () => {
    const { who } = await makeStudio()
    const done: string[] = []
    await withStudio(who, async (tx) => {
      tx.afterCommit(() => done.push('kept'))
      expect(done).toEqual([])
    })
    const lost = withStudio(who, async (tx) => {
      tx.afterCommit(() => done.push('lost'))
      throw new FikaError('Invalid', 'no')
    })
    await expect(lost).rejects.toThrow('no')
    expect(done).toEqual(['kept'])
  })
  it('says by the constraint what is taken, keeps the database’s own word as the cause, and logs it', async () => {
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined)
    const studio = await makeStudio()
    const material = (id: string) =>
      studio.run((tx) =>
        tx.q(
          `insert into material (studio_id, id, kind, name, density_g_per_ml, solids) values ($1, $2, 'medium', 'Flow', 1, 0.3)`,
          [tx.studioId, id],
        ),
      )
    await material(uuidv7())
    const same = material(uuidv7())
    await expect(same).rejects.toThrow('in the drawer already')
    await expect(same).rejects.toMatchObject({ code: 'Conflict', cause: { code: '23505' } })
    const id = uuidv7()
    const twice = studio.run(async (tx) => {
      for (let i = 0; i < 2; i++)
        await tx.q(`insert into vessel (studio_id, id, kind, label) values ($1, $2, 'bottle', 'A')`, [tx.studioId, id])
    })
    // A key nobody types is no matter of names.
    await expect(twice).rejects.toThrow('written already')
    expect(log).toHaveBeenCalledTimes(2)
    log.mockRestore()
  })
})
