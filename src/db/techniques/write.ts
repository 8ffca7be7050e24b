import { Conflict, NotFound } from '@/core/errors'
import type { Tx } from '../base/withStudio'
import { techniqueBook } from './read'
import type { TechniqueInput } from './schema'

/** Keeps a technique of the studio's own; the same key again changes it. @throws Conflict where another has its name */
export async function saveTechnique(tx: Tx, technique: TechniqueInput): Promise<void> {
  const fold = (name: string) => name.trim().toLowerCase()
  const book = await techniqueBook(tx)
  if (book.all.some((t) => t.key !== technique.key && fold(t.name) === fold(technique.name)))
    throw new Conflict(`There is a technique called “${technique.name}” already. Give this one another name.`)
  await tx.q(
    `insert into technique_own (studio_id, key, body) values ($1, $2, $3)
     on conflict (studio_id, key) do update set body = excluded.body, archived_at = null`,
    [tx.studioId, technique.key, JSON.stringify(technique)],
  )
}

/** Takes a technique off the list; plans and pieces that used it keep its key. @throws NotFound */
export async function removeTechnique(tx: Tx, key: string): Promise<void> {
  const done = await tx.q(
    'update technique_own set archived_at = now() where studio_id = $1 and key = $2 returning 1',
    [tx.studioId, key],
  )
  if (done.length === 0) throw new NotFound('technique')
}
