import type { AnyObjectSchema, InferType } from 'yup'
import type { Answer } from '@/core/answer'
import { withStudio, type Tx } from '@/db/base/withStudio'
import { Forbidden } from '@/core/errors'
import { LOOKS_ON } from '@/core/people/roles'
import type { Session } from '@/db/people/sessions'
import { requireSession } from '@/session/current'
import { answer, checked } from './answer'

/** What was sent, where it is read only once it is known who sends it. */
export type Later = () => Promise<unknown>

/** @throws Forbidden for a visitor; where it is left out, the database refuses what they write all the same */
export function worksHere(who: Pick<Session, 'role'>): void {
  if (who.role === 'visitor') throw new Forbidden(LOOKS_ON)
}

/**
 * The way of every request that needs no transaction: session → schema → answer. Typed values, a form with files and
 * the body of a route come alike.
 */
export function ask<S extends AnyObjectSchema, T>(
  schema: S,
  input: unknown,
  work: (input: InferType<S>, who: Session) => Promise<T> | T,
): Promise<Answer<T>> {
  return answer(async () => {
    const who = await requireSession()
    const sent = typeof input === 'function' ? await (input as Later)() : input
    return work(await checked(schema, sent), who)
  })
}

/**
 * The way of every request that reads or writes: session → schema → one transaction in the session's studio → answer.
 * What was typed stays with the form that sent it.
 */
export function perform<S extends AnyObjectSchema, T>(
  schema: S,
  input: unknown,
  work: (tx: Tx, input: InferType<S>, who: Session) => Promise<T>,
): Promise<Answer<T>> {
  return ask(schema, input, (good, who) => withStudio(who, (tx) => work(tx, good, who)))
}

/**
 * The same, where something long is done to what was sent (a photo encoded, a list read) before a connection to the
 * database is held for it.
 */
export function performPrepared<S extends AnyObjectSchema, P, T>(
  schema: S,
  input: unknown,
  prepare: (input: InferType<S>) => Promise<P>,
  work: (tx: Tx, prepared: P, input: InferType<S>) => Promise<T>,
): Promise<Answer<T>> {
  return ask(schema, input, async (good, who) => {
    worksHere(who)
    const prepared = await prepare(good)
    return withStudio(who, (tx) => work(tx, prepared, good))
  })
}
