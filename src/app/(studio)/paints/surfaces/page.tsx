import type { Metadata } from 'next'
import { studioFacts } from '@/db/people/studio'
import { listSurfaces } from '@/db/surfaces/read'
import { inStudio } from '@/session/current'
import { PaintsNav } from '@/stations/paints/PaintsNav'
import { SurfaceStock } from '@/stations/paints/surfaces/SurfaceStock'

export const metadata: Metadata = { title: 'Surfaces' }

export default async function Surfaces() {
  const { surfaces, studio } = await inStudio(async (tx) => ({
    surfaces: await listSurfaces(tx),
    studio: await studioFacts(tx),
  }))
  const count = surfaces.reduce((sum, s) => sum + s.onHand, 0)
  return (
    <>
      <div className="head">
        <h1>
          Surfaces <span className="sub">{count} on the shelf</span>
        </h1>
      </div>
      <PaintsNav here="/paints/surfaces" />
      <SurfaceStock surfaces={surfaces} currency={studio.currency} units={studio.units} />
    </>
  )
}
