import type { Metadata } from 'next'
import { isId } from '@/db/base/withStudio'
import { studioFacts } from '@/db/people/studio'
import { searchWall, wallChoices } from '@/db/pieces/wall'
import { techniqueBook } from '@/db/techniques/read'
import { inStudio } from '@/session/current'
import { Wall } from '@/stations/wall/Wall'
import { readWallFilter, searchOf, showsMore } from '@/stations/wall/wallFilter'

export const metadata: Metadata = { title: 'Wall' }

export default async function WallPage({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | undefined>>
}) {
  const filter = readWallFilter(await searchParams)
  const props = await inStudio(async (tx) => {
    const techniques = await techniqueBook(tx)
    return {
      page: await searchWall(tx, searchOf(filter, isId)),
      choices: {
        ...(showsMore(filter) ? await wallChoices(tx) : { bottles: [], paints: [] }),
        techniques: techniques.all.map((t) => ({ key: t.key, name: t.name })),
      },
      techniques,
      zone: (await studioFacts(tx)).zone,
    }
  })
  return <Wall {...props} filter={filter} />
}
