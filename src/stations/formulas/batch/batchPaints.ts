import { pulls } from '@/core/colour/predict'
import { opticsOf } from '@/core/colour/packOptics'
import type { FormulaPart } from '@/db/formulas/formulas'
import type { Paints } from '../shown'
import type { BatchPaint } from './BatchDesk'

/** The paints of a formula as a batch needs them; those put away are left out. */
export function batchPaints(parts: readonly FormulaPart[], paints: Paints): BatchPaint[] {
  const list = parts.flatMap((p) => {
    const material = paints.get(p.paintId)
    return material ? [{ material, parts: Number(p.parts) }] : []
  })
  if (list.length === 0) return []
  const pull = pulls(
    list.map((l) => opticsOf(l.material)),
    list.map((l) => l.parts),
  )
  return list.map((l, i) => ({
    id: l.material.id,
    name: l.material.name,
    hex: l.material.hex!,
    parts: l.parts,
    pull: pull[i]!,
  }))
}
