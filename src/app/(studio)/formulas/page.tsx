import type { Metadata } from 'next'
import { Link } from '@/ui/frame/Link'
import { redirect } from 'next/navigation'
import { deltaE00 } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { inStudio } from '@/session/current'
import { FormulasNav } from '@/stations/formulas/FormulasNav'
import { deskData } from '@/stations/formulas/queries'
import { NamedColours } from '@/stations/formulas/named/NamedColours'
import { hexOfParts, lookOfParts, textOfParts } from '@/stations/formulas/shown'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Formulas' }

export default async function Formulas({ searchParams }: { searchParams: Search }) {
  const { paints: chosen, parts } = firstValues(await searchParams)
  if (chosen) redirect(`/formulas/new?paints=${encodeURIComponent(chosen)}&parts=${encodeURIComponent(parts ?? '')}`)
  const { formulas, byId, bottles } = await inStudio(deskData)
  const named = new Set(formulas.map((f) => f.name.toLowerCase()))
  return (
    <>
      <div className="head">
        <h1>
          Formulas{' '}
          <span className="sub">
            {formulas.length} {formulas.length === 1 ? 'colour' : 'colours'} of your own
          </span>
        </h1>
        <Link className="go" href="/formulas/new" data-key="n">
          New formula
        </Link>
      </div>
      <FormulasNav here="/formulas" />
      <NamedColours
        colours={formulas.map((f) => {
          const last = f.versions[0]!
          const hex = hexOfParts(last.parts, byId)
          const lost = f.standsInFor ? byId.get(f.standsInFor) : undefined
          return {
            id: f.id,
            name: f.name,
            hex: last.dryHex ?? hex,
            ...lookOfParts(last.parts, byId),
            text: textOfParts(last.parts, byId),
            versions: last.version,
            miss: last.dryHex && last.mediumShare === 0 ? deltaE00(hexToLab(last.dryHex), hexToLab(hex)) : null,
            standsInFor: lost ? { id: lost.id, name: lost.name, hex: lost.hex! } : null,
          }
        })}
        bottled={bottles
          .filter((b) => b.recipe.paints.length > 1 && !named.has(b.label.toLowerCase()))
          .slice(0, 24)
          .map((b) => ({
            bottleId: b.id,
            label: b.label,
            hex: b.hex,
            text: textOfParts(
              b.recipe.paints.map((p) => ({ paintId: p.materialId, parts: p.parts })),
              byId,
            ),
            href: `/formulas/new?paints=${b.recipe.paints.map((p) => p.materialId).join(',')}&parts=${b.recipe.paints.map((p) => p.parts).join(',')}`,
          }))}
      />
    </>
  )
}
