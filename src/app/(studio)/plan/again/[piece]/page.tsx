import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { v7 as uuidv7 } from 'uuid'
import { asLoaded } from '@/core/plan/scaleUp'
import { ofBottle, simpleDesign } from '@/core/plan/simpleDesign'
import { isId } from '@/db/base/withStudio'
import { isDryMoment } from '@/core/piece/looks'
import { findPiece, loadedOf } from '@/db/pieces/read'
import { findPlan } from '@/db/plans/read'
import { inStudio } from '@/session/current'
import { Again } from '@/stations/plan/again/Again'
import { deskFacts } from '@/stations/plan/queries'
import { orNotFound } from '@/ui/frame/orNotFound'

export const metadata: Metadata = { title: 'Pour again' }

export default async function AgainPage({ params }: { params: Promise<{ piece: string }> }) {
  const { piece: id } = await params
  if (!isId(id)) notFound()
  const { piece, plan, loaded, facts } = await inStudio(async (tx) => {
    const piece = await findPiece(tx, id)
    return {
      piece,
      plan: piece.planId === null ? undefined : await findPlan(tx, piece.planId),
      loaded: await loadedOf(tx, id),
      facts: await deskFacts(tx, null),
    }
  }).catch(orNotFound)
  // What nobody planned is one cup of what went in, as much as it was.
  const design = plan
    ? asLoaded(plan.design, loaded, uuidv7)
    : simpleDesign(
        {
          surface: { ...piece.surface, count: 1 },
          school: { kind: 'own', ul: loaded.reduce((sum, l) => sum + l.ul, 0) },
          cup: loaded.map((l) => ({ of: ofBottle(l.bottle), share: l.ul })),
        },
        uuidv7,
      )
  const from = {
    title: piece.title,
    technique: piece.technique,
    workId: null,
    kind: 'final' as const,
    pourOn: null,
    notes: '',
    carriedNote: piece.nextTime,
    afterPlanId: plan?.id ?? null,
    afterPieceId: piece.id,
    design: { ...design, done: [] },
  }
  return (
    <Again
      from={from}
      said="poured again, changed: from what was really loaded"
      photo={piece.photos.findLast((p) => isDryMoment(p.moment)) ?? piece.photos.at(-1)}
      facts={facts}
    />
  )
}
