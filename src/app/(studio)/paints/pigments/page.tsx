import type { Metadata } from 'next'
import { inStudio } from '@/session/current'
import { PigmentReference } from '@/stations/paints/card/PigmentReference'
import { drawerOf } from '@/db/materials/drawer'
import { PaintsNav } from '@/stations/paints/PaintsNav'

export const metadata: Metadata = { title: 'Pigments' }

export default async function Pigments() {
  const { rows } = await inStudio((tx) => drawerOf(tx, false))
  const owned: Record<string, number> = {}
  for (const p of rows.flatMap((r) => r.pigments)) owned[p] = (owned[p] ?? 0) + 1
  return (
    <>
      <div className="head">
        <h1>Pigments</h1>
      </div>
      <PaintsNav here="/paints/pigments" />
      <PigmentReference owned={owned} />
    </>
  )
}
