import { v7 as uuidv7 } from 'uuid'
import { unpackOptics } from '@/core/colour/packOptics'
import { makeStudio } from '../../../tests/support/studio'
import { endPool } from '@/db/base/pool'
import { readOptics } from './optics'
import { findMaterial, inputOf } from './read'
import type { PaintInput } from './schema'
import { insertMaterial, writeMaterials } from './write'

afterAll(endPool)

const look = { densityGPerMl: 1.2, solids: 0.38, body: 'soft', opacity: 'opaque', sheen: 'satin' } as const

it('a tint leans on the white it is said to be made with, also when that white becomes another', async () => {
  const studio = await makeStudio()
  const [white, blue] = [uuidv7(), uuidv7()]
  await studio.run((tx) =>
    insertMaterial(tx, white, { kind: 'paint', name: 'White', swatchHex: '#f5f3ec', strength: 'weak', ...look }),
  )
  await studio.run((tx) =>
    insertMaterial(tx, blue, { kind: 'paint', name: 'Blue', swatchHex: '#1d4e9e', tintHex: '#8fa5cf', ...look }),
  )
  const known = async () => {
    const [row] = await studio.run((tx) => readOptics(tx, [blue]))
    return { sigma: row!.sigma!, known: row!.known, k: unpackOptics(row!.optics!).k[20]! }
  }
  const change = async (id: string, more: Partial<PaintInput>) => {
    const row = await studio.run((tx) => findMaterial(tx, id))
    const before = inputOf(row)
    const after = { ...before, ...more } as PaintInput
    await studio.run((tx) => writeMaterials(tx, [{ id, revision: row.revision, before, after }]))
  }
  const assumed = await known()
  expect(assumed.known).toBe('tint')
  await change(blue, { paintedWith: { whiteId: white, blackId: null } })
  const named = await known()
  // A weak white needs less blue to look like that, and it is surer.
  expect(named.k).toBeLessThan(0.7 * assumed.k)
  expect(named.sigma).toBeLessThan(assumed.sigma)
  await change(white, { strength: 'normal' })
  expect((await known()).k).toBeCloseTo(assumed.k, 1)
})
