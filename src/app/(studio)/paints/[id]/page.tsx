import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { studioFacts } from '@/db/studio'
import { isId } from '@/db/withStudio'
import { inStudio } from '@/session/current'
import { ContainerPanel } from '@/stations/paints/ContainerPanel'
import { MaterialForm } from '@/stations/paints/MaterialForm'
import { choices, containersOf, findMaterial } from '@/stations/paints/queries'
import { orNotFound } from '@/ui/orNotFound'

export const metadata: Metadata = { title: 'Paint' }

export default async function Paint({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const found = await inStudio(async (tx) => ({
    material: await findMaterial(tx, id),
    containers: await containersOf(tx, id),
    studio: await studioFacts(tx),
    makers: (await choices(tx)).makers,
  })).catch(orNotFound)
  const { material, containers, studio, makers } = found
  return (
    <>
      <div className="head">
        <h1>
          {material.name} <span className="sub">{[material.maker, material.line].filter(Boolean).join(' · ')}</span>
        </h1>
        {material.archived ? <b>Put away</b> : null}
      </div>
      <div className="grid">
        {material.kind === 'water' ? null : (
          <MaterialForm
            key={material.revision}
            kind={material.kind === 'paint' ? 'paint' : 'medium'}
            material={material}
            units={studio.units}
            makers={makers}
          />
        )}
        <div style={{ maxWidth: 720 }}>
          <ContainerPanel
            material={material}
            containers={containers}
            currency={studio.currency}
            zone={studio.zone}
            units={studio.units}
          />
        </div>
      </div>
    </>
  )
}
