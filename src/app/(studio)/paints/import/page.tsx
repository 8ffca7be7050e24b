import type { Metadata } from 'next'
import { sessionOrDoor } from '@/session/current'
import { ImportFile } from '@/stations/paints/exchange/ImportFile'
import { PaintsNav } from '@/stations/paints/PaintsNav'

export const metadata: Metadata = { title: 'Bring in' }

export default async function Import() {
  await sessionOrDoor()
  return (
    <>
      <div className="head">
        <h1>Bring in a list</h1>
      </div>
      <PaintsNav here="/paints/import" />
      <ImportFile />
    </>
  )
}
