import type { Metadata } from 'next'
import { Link } from '@/ui/frame/Link'
import { perMl } from '@/core/purchase/cost'
import { onHand } from '@/db/materials/onHand'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { BlendDesk } from '@/stations/paints/mediums/BlendDesk'
import { MediumCards } from '@/stations/paints/mediums/MediumCards'
import { PaintsNav } from '@/stations/paints/PaintsNav'
import { allMaterials, effectsOf } from '@/db/materials/read'

export const metadata: Metadata = { title: 'Mediums' }

export default async function Mediums() {
  const { rows, held, currency } = await inStudio(async (tx) => ({
    rows: (await allMaterials(tx)).flatMap((m) => (m.kind === 'paint' || m.archived ? [] : [m])),
    held: await onHand(tx),
    currency: (await studioFacts(tx)).currency,
  }))
  const mediums = rows.flatMap((m) => (m.kind === 'water' ? [] : [m]))
  return (
    <>
      <div className="head">
        <h1>
          Mediums{' '}
          <span className="sub">
            {mediums.length} {mediums.length === 1 ? 'medium' : 'mediums'}, {rows.length - mediums.length} thinners
          </span>
        </h1>
        <Link className="go second" href="/paints/new?kind=water">
          Add a thinner
        </Link>
        <Link className="go" href="/paints/new?kind=medium" data-key="n">
          Add a medium
        </Link>
      </div>
      <PaintsNav here="/paints/mediums" />
      <MediumCards rows={rows} held={held} currency={currency} />
      {mediums.length ? (
        <div className="below">
          <BlendDesk
            currency={currency}
            mediums={mediums.map((m) => ({
              id: m.id,
              name: m.name,
              effects: effectsOf(m),
              densityGPerMl: m.densityGPerMl,
              solids: m.solids,
              perMl: m.priceMinor !== null && m.containerUl ? perMl(m.priceMinor, m.containerUl) : null,
            }))}
          />
        </div>
      ) : null}
    </>
  )
}
