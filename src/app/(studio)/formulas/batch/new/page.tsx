import type { Metadata } from 'next'
import { inStudio } from '@/session/current'
import { batchPaints } from '@/stations/formulas/batch/batchPaints'
import { NewBatch } from '@/stations/formulas/batch/NewBatch'
import { FormulasNav } from '@/stations/formulas/FormulasNav'
import { deskData } from '@/stations/formulas/queries'
import { hexOfParts } from '@/stations/formulas/shown'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'New batch' }

export default async function NewBatchPage({ searchParams }: { searchParams: Search }) {
  const { of } = firstValues(await searchParams)
  const { formulas, byId, facts } = await inStudio(deskData)
  return (
    <>
      <div className="head">
        <h1>
          New batch <span className="sub">sample first, then the litre</span>
        </h1>
      </div>
      <FormulasNav here="/formulas/batch" />
      <NewBatch
        start={of}
        units={facts.units}
        formulas={formulas.flatMap((f) => {
          const last = f.versions[0]!
          const paints = batchPaints(last.parts, byId)
          return paints.length === last.parts.length
            ? [
                {
                  id: f.id,
                  version: last.version,
                  name: f.name,
                  hex: last.dryHex ?? hexOfParts(last.parts, byId),
                  paints,
                },
              ]
            : []
        })}
      />
    </>
  )
}
