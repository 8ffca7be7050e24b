'use server'

import { revalidatePath } from 'next/cache'
import type { Answer } from '@/core/answer'
import { Invalid, NotFound } from '@/core/errors'
import { materialNames } from '@/db/catalogue'
import { mixBottle, topUpBottle, type RecipeSnapshot } from '@/db/ledger'
import type { Tx } from '@/db/withStudio'
import { perform } from '@/session/perform'
import { bookSchema, type BookInput } from './schema'

/** Books what was mixed: a new bottle, or more of the same into one that stands on the rack. */
export async function bookMixAction(input: unknown): Promise<Answer<{ id: string }>> {
  const result = await perform(bookSchema, input, async (tx, mix) => {
    if (mix.into === 'top-up') await topUpBottle(tx, mix)
    else {
      if (!mix.label) throw new Invalid('Give the bottle a name, so that it is found again.', 'label')
      await mixBottle(tx, { ...mix, recipe: await snapshot(tx, mix) })
    }
    return { id: mix.vesselId }
  })
  if (result.ok) revalidatePath('/', 'layout')
  return result
}

/** The recipe as mixed, with the names of today. @throws NotFound for a material of another studio */
async function snapshot(tx: Tx, mix: BookInput): Promise<RecipeSnapshot> {
  const all = [...mix.paints, ...mix.mediums, ...(mix.water ? [mix.water] : [])]
  const names = await materialNames(
    tx,
    all.map((x) => x.materialId),
  )
  const named = (x: { materialId: string; parts: number }) => {
    const name = names.get(x.materialId)
    if (!name) throw new NotFound('paint or medium')
    return { materialId: x.materialId, name, parts: x.parts }
  }
  return {
    paintParts: mix.paintParts,
    paints: mix.paints.map(named),
    mediums: mix.mediums.map(named),
    water: mix.water ? named(mix.water) : null,
  }
}
