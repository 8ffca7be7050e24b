import type { Technique } from '@/core/technique/technique'
import { TechniqueBook } from '@/core/technique/techniques'
import type { Tx } from '../base/withStudio'

/** Techniques of the studio's own, by name. */
export async function ownTechniques(tx: Tx): Promise<Technique[]> {
  const rows = await tx.q<{ body: Technique }>(
    `select body from technique_own where studio_id = $1 and archived_at is null order by lower(body ->> 'name') limit 200`,
    [tx.studioId],
  )
  return rows.map((r) => r.body)
}

/** All techniques of the studio. */
export const techniqueBook = async (tx: Tx): Promise<TechniqueBook> => new TechniqueBook(await ownTechniques(tx))
