import type { Metadata } from 'next'
import { sessionOrDoor } from '@/session/current'
import { COLUMNS } from '@/stations/paints/csv'
import { ImportCsv } from '@/stations/paints/ImportCsv'

export const metadata: Metadata = { title: 'Import paints' }

export default async function Import() {
  await sessionOrDoor()
  return (
    <>
      <div className="head">
        <h1>Import paints</h1>
      </div>
      <ImportCsv columns={COLUMNS} />
    </>
  )
}
