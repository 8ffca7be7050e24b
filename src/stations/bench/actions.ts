'use server'

import type { Answer } from '@/core/answer'
import { Invalid } from '@/core/errors'
import { findFormula } from '@/db/formulas/formulas'
import { mixBottle, topUpBottle } from '@/db/mixes'
import type { Tx } from '@/db/base/withStudio'
import { perform } from '@/server/perform'
import { bookSchema, type BookInput } from '@/db/mixings/bookSchema'
import { snapshot, sourcesOf } from '@/db/mixings/sources'

/** Books what was mixed: a new bottle, or more of the same into one that stands on the rack. */
export async function bookMixAction(input: unknown): Promise<Answer<{ id: string }>> {
  return perform(bookSchema, input, async (tx, typed) => {
    const mix = { ...typed, poured: await sourcesOf(tx, typed.poured) }
    if (mix.into === 'top-up') await topUpBottle(tx, mix)
    else {
      if (!mix.label) throw new Invalid('Give the bottle a name, so that it is found again.', 'label')
      await mixBottle(tx, { ...mix, recipe: await snapshot(tx, mix), formula: await known(tx, mix.formula) })
    }
    return { id: mix.vesselId }
  })
}

/** The formula a mix names, while there is one. */
async function known(tx: Tx, formula: BookInput['formula']) {
  if (!formula) return null
  const { versions } = await findFormula(tx, formula.id)
  return versions.some((v) => v.version === formula.version) ? formula : null
}
