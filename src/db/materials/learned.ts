import type { InferType } from 'yup'
import { Invalid } from '@/core/errors'
import { EFFECTS, EFFECTS_BY_KIND } from '@/core/mix/mediumEffects'
import type { Tx } from '../base/withStudio'
import type { effectBackSchema, pouringBackSchema } from '../trials/schema'
import { findMaterial, inputOf } from './read'
import { updateMaterial } from './write'

/** Writes what a medium was seen to do into its profile. @throws NotFound, Invalid for what is no medium */
export async function noteEffect(
  tx: Tx,
  { mediumId, effect, value }: InferType<typeof effectBackSchema>,
): Promise<void> {
  const row = await findMaterial(tx, mediumId)
  const input = inputOf(row)
  if (input.kind !== 'medium') throw new Invalid('Only a medium has effects. Choose a medium.')
  const effects = [...(input.effects ?? EFFECTS_BY_KIND[input.mediumKind])]
  effects[EFFECTS.indexOf(effect)] = value
  await updateMaterial(tx, row.id, row.revision, { ...input, effects })
}

/** Writes how a paint was seen to pour onto its card. @throws NotFound, Invalid for what is no paint */
export async function notePouring(
  tx: Tx,
  { paintId, what, value }: InferType<typeof pouringBackSchema>,
): Promise<void> {
  const row = await findMaterial(tx, paintId)
  const input = inputOf(row)
  if (input.kind !== 'paint') throw new Invalid('Only a paint has this on its card. Choose a paint.')
  await updateMaterial(tx, row.id, row.revision, { ...input, [what]: value })
}
