import { createHash } from 'node:crypto'
import { fold } from '@/core/paint/fold'
import type { Tx } from '../base/withStudio'

const headerKey = (headings: readonly string[]) =>
  createHash('sha256').update(headings.map(fold).join('\u0000')).digest('hex')

/** Which column each folded heading of a list was read as the last time; undefined where it never was. */
export async function keptMapping(
  tx: Tx,
  headings: readonly string[],
): Promise<Readonly<Record<string, string>> | undefined> {
  const [kept] = await tx.q<{ mapping: Record<string, string> }>(
    'select mapping from import_mapping where studio_id = $1 and header_key = $2',
    [tx.studioId, headerKey(headings)],
  )
  return kept?.mapping
}

/** Keeps a mapping for the next list with the same headings. */
export async function keepMapping(
  tx: Tx,
  headings: readonly string[],
  mapping: Readonly<Record<string, string>>,
): Promise<void> {
  const kept = Object.fromEntries(headings.map((h) => [fold(h), mapping[h] ?? '']))
  await tx.q(
    `insert into import_mapping (studio_id, header_key, mapping) values ($1, $2, $3)
     on conflict (studio_id, header_key) do update set mapping = excluded.mapping`,
    [tx.studioId, headerKey(headings), JSON.stringify(kept)],
  )
}
