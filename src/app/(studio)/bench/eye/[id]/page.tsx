import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { bottlesInUse, portionsOf } from '@/db/bottles/read'
import { listMixable } from '@/db/materials/mixable'
import { findMixing } from '@/db/mixings/mixings'
import { studioFacts } from '@/db/people/studio'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { EyeScreen } from '@/stations/bench/eye/EyeScreen'
import { pourables } from '@/stations/bench/eye/pourables'
import type { EyeMixing } from '@/db/mixings/write'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Pour first, read after' }

export default async function EyeMixPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const { mixing, materials, bottles, studio } = await inStudio(async (tx) => {
    const inUse = await bottlesInUse(tx)
    return {
      mixing: (await findMixing(tx, id)) as unknown as EyeMixing,
      materials: await listMixable(tx),
      bottles: pourables(
        inUse,
        await portionsOf(
          tx,
          inUse.map((b) => b.id),
        ),
      ),
      studio: await studioFacts(tx),
    }
  }).catch(orNotFound)
  if (mixing.kind !== 'by eye') notFound()
  return (
    <EyeScreen start={mixing} materials={materials} bottles={bottles} units={studio.units} waterRule={studio.water} />
  )
}
