import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { usualWater } from '@/core/mix/thinners'
import { usualMedium } from '@/core/mix/usualMedium'
import { bottleLabels } from '@/db/bottles/read'
import { listMixable } from '@/db/materials/mixable'
import { batchBottles } from '@/db/mixings/batch'
import { findFormula } from '@/db/formulas/formulas'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { BatchDesk } from '@/stations/formulas/batch/BatchDesk'
import { batchPaints } from '@/stations/formulas/batch/batchPaints'
import { findBatch } from '@/db/formulas/batches'
import { FormulasNav } from '@/stations/formulas/FormulasNav'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Large batch' }

export default async function BatchPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  if (!isId(id)) notFound()
  const { batch, paints, supply } = await inStudio(async (tx) => {
    const batch = await findBatch(tx, id)
    const { versions } = await findFormula(tx, batch.formulaId)
    const materials = await listMixable(tx)
    const byId = new Map(materials.map((m) => [m.id, m]))
    const waters = materials.filter((m) => m.kind === 'water')
    return {
      batch,
      paints: batchPaints(versions.find((v) => v.version === batch.formulaVersion)!.parts, byId),
      supply: {
        mediums: materials.filter((m) => m.kind === 'medium').map(({ id, name }) => ({ id, name })),
        waters: waters.map(({ id, name }) => ({ id, name })),
        bottles: await bottleLabels(tx),
        booked: await batchBottles(tx, id),
        usual: {
          mediumId: usualMedium(materials)?.id,
          waterId: usualWater(waters)?.id,
        },
      },
    }
  }).catch(orNotFound)
  return (
    <>
      <div className="head">
        <h1>
          {batch.title} {batch.doneAt ? <span className="sub">done</span> : null}
        </h1>
      </div>
      <FormulasNav here="/formulas/batch" />
      <BatchDesk key={batch.doneAt} batch={{ ...batch, done: batch.doneAt !== null }} paints={paints} supply={supply} />
    </>
  )
}
