import type { AnyObjectSchema, InferType } from 'yup'
import type { Answer } from '@/core/answer'
import type { Tx } from '@/db/base/withStudio'
import { perform, worksHere } from '@/server/perform'

/** A change with nothing to answer. The page that sent it reads itself anew. */
export const change = <S extends AnyObjectSchema>(
  schema: S,
  input: unknown,
  work: (tx: Tx, input: InferType<S>) => Promise<unknown>,
): Promise<Answer<null>> =>
  perform(schema, input, async (tx, good, who) => {
    worksHere(who)
    await work(tx, good)
    return null
  })
