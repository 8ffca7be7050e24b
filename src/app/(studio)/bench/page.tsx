import type { Metadata } from 'next'
import { findBottle } from '@/db/bottles'
import { listMixable } from '@/db/catalogue'
import { studioFacts } from '@/db/studio'
import { isId } from '@/db/withStudio'
import { inStudio } from '@/session/current'
import { Bench } from '@/stations/bench/Bench'
import { benchStart } from '@/stations/bench/start'
import { firstValues, type Search } from '@/ui/search'

export const metadata: Metadata = { title: 'Bench' }

export default async function BenchPage({ searchParams }: { searchParams: Search }) {
  const { paints = '', parts = '', like, ul } = firstValues(await searchParams)
  const { materials, studio, bottle } = await inStudio(async (tx) => ({
    materials: await listMixable(tx),
    studio: await studioFacts(tx),
    bottle: isId(like) ? await findBottle(tx, like).catch(() => undefined) : undefined,
  }))
  const totalUl = ul && /^\d{1,10}$/.test(ul) ? Number(ul) : undefined
  const start = benchStart(materials, {
    like: bottle,
    paints: paints.split(','),
    parts: parts.split(','),
    totalUl,
    us: studio.units === 'us',
  })
  return (
    <Bench
      materials={materials}
      start={start}
      units={studio.units}
      school={studio.waterSchool}
      currency={studio.currency}
    />
  )
}
