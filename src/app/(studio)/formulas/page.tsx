import type { Metadata } from 'next'
import { bottlesInUse } from '@/db/bottles'
import { listMixable } from '@/db/catalogue'
import { inStudio } from '@/session/current'
import { FormulaDesk } from '@/stations/formulas/FormulaDesk'
import { firstValues, type Search } from '@/ui/search'

export const metadata: Metadata = { title: 'Formulas' }

export default async function Formulas({ searchParams }: { searchParams: Search }) {
  const { paints: ids = '', parts = '' } = firstValues(await searchParams)
  const amounts = parts.split(',')
  const chosen = ids
    .split(',')
    .map((id, i) => ({ id, parts: /^\d+(\.\d+)?$/.test(amounts[i] ?? '') ? amounts[i]! : '1' }))
  const { paints, bottles } = await inStudio(async (tx) => ({
    paints: (await listMixable(tx)).filter((m) => m.kind === 'paint'),
    bottles: await bottlesInUse(tx),
  }))
  const bottled = bottles
    .filter((b) => b.recipe.paints.length > 1)
    .slice(0, 30)
    .map((b) => ({ bottleId: b.id, label: b.label, hex: b.hex, paints: b.recipe.paints }))
  return (
    <FormulaDesk paints={paints} chosen={chosen.filter((c) => paints.some((p) => p.id === c.id))} bottled={bottled} />
  )
}
