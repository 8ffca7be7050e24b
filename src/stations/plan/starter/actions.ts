'use server'

import { array, object, string } from 'yup'
import { Conflict } from '@/core/errors'
import { derivedId } from '@/db/base/derivedId'
import type { Tx } from '@/db/base/withStudio'
import { saveMaterial } from '@/db/materials/write'
import { studioFacts } from '@/db/people/studio'
import { saveCup, savePlace } from '@/db/room/write'
import { saveSurface } from '@/db/surfaces/write'
import { change } from '@/server/change'
import { starterList, type StarterItem } from './starterList'

const schema = object({
  keys: array(string().max(80).required()).min(1, 'Tick at least one thing to bring in.').max(60).required(),
})

/** Brings in what was ticked; what is here already stays as it is, and a second time brings nothing twice. */
export const bringInAction = async (input: unknown) =>
  change(schema, input, async (tx, { keys }) => {
    const { units } = await studioFacts(tx)
    for (const item of starterList(units)) if (keys.includes(item.key)) await bringIn(tx, item)
  })

async function bringIn(tx: Tx, item: StarterItem): Promise<void> {
  const id = derivedId(tx.studioId, `starter ${item.key}`)
  switch (item.what) {
    case 'material':
      // One of that name may be here by hand.
      return saveMaterial(tx, id, 0, item.material).catch((error: unknown) => {
        if (!(error instanceof Conflict)) throw error
      })
    case 'cup':
      return void (await saveCup(tx, { id, ...item.cup }))
    case 'surface':
      return saveSurface(tx, { id, ...item.surface })
    case 'place':
      return void (await savePlace(tx, { id, ...item.place }))
  }
}
