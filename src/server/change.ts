import { revalidatePath } from 'next/cache'
import type { AnyObjectSchema, InferType } from 'yup'
import type { Answer } from '@/core/answer'
import type { Tx } from '@/db/base/withStudio'
import { perform } from '@/server/perform'

/** A change with nothing to answer: done, then every screen below a path that shows it is read anew. */
export async function change<S extends AnyObjectSchema>(
  below: string,
  schema: S,
  input: unknown,
  work: (tx: Tx, input: InferType<S>) => Promise<unknown>,
): Promise<Answer<null>> {
  const result = await perform(schema, input, async (tx, good) => {
    await work(tx, good)
    return null
  })
  if (result.ok) revalidatePath(below, 'layout')
  return result
}
