import type { Metadata } from 'next'
import { sessionOrDoor } from '@/session/current'
import { FORMATS } from '@/exchange/formats'
import { PaintsNav } from '@/stations/paints/PaintsNav'

export const metadata: Metadata = { title: 'Take out' }

export default async function Export() {
  await sessionOrDoor()
  return (
    <>
      <div className="head">
        <h1>Take the drawer out</h1>
      </div>
      <PaintsNav here="/paints/export" />
      <div className="panel page760">
        <table className="sheet">
          <tbody>
            {FORMATS.map(({ key, name, what }) => (
              <tr key={key} style={{ height: 68 }}>
                <td className="w240">
                  <a className="go second" href={`/paints/export/${key}`} download>
                    {name}
                  </a>
                </td>
                <td>{what}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="muted after">
          CSV, XLSX and JSON come back unchanged under Bring in. No cell begins like a formula, so a spreadsheet runs
          nothing.
        </p>
      </div>
    </>
  )
}
