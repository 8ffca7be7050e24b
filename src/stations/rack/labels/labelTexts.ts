import { shortCode } from '@/core/vessel/shortCode'
import { bottlesById } from '@/db/bottles/read'
import { studioFacts } from '@/db/people/studio'
import type { Tx } from '@/db/base/withStudio'
import { day } from '@/ui/tables/dates'
import { recipeText } from '../recipeText'
import type { LabelText } from './layout'

/** What stands on the labels of bottles, in the order they were asked for; those that are not there are left out. */
export async function labelTexts(tx: Tx, ids: readonly string[], origin: string): Promise<LabelText[]> {
  const { zone } = await studioFacts(tx)
  const found = new Map((await bottlesById(tx, ids)).map((b) => [b.id, b]))
  return ids.flatMap((id) => {
    const b = found.get(id)
    if (!b) return []
    return [
      {
        name: b.label,
        role: `${b.isJar ? 'run-off' : b.role}${b.hasAdditive ? ', holds an additive' : ''}`,
        code: shortCode(b.code),
        mixedOn: day(b.mixedAt, zone),
        keepsUntil: b.keepUntil ? day(b.keepUntil, zone) : '',
        recipe: recipeText(b.recipe),
        hex: b.hex,
        url: `${origin}/rack/${b.id}`,
      },
    ]
  })
}
