import type { Metadata } from 'next'
import { bottlesInUse } from '@/db/bottles/read'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { LabelDesk } from '@/stations/rack/labels/LabelDesk'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Labels' }

export default async function LabelsPage({ searchParams }: { searchParams: Search }) {
  const { ids = '' } = firstValues(await searchParams)
  const bottles = await inStudio(bottlesInUse)
  return (
    <LabelDesk
      bottles={bottles.map(({ id, label, hex, sheen, code, palette }) => ({ id, label, hex, sheen, code, palette }))}
      first={ids.split(',').filter(isId)}
    />
  )
}
