import type { Metadata } from 'next'
import { openMixings } from '@/db/mixings/mixings'
import { inStudio } from '@/session/current'
import { BeginByEye } from '@/stations/bench/eye/BeginByEye'

export const metadata: Metadata = { title: 'Pour first, read after' }

export default async function EyePage() {
  const open = await inStudio((tx) => openMixings<{ label: string }, unknown>(tx))
  return (
    <BeginByEye
      open={open
        .filter((m) => m.kind === 'by eye')
        .map((m) => ({ id: m.id, kind: m.kind, label: m.plan.label, createdAt: m.createdAt, steps: m.revision }))}
    />
  )
}
