import type { Metadata } from 'next'
import { Link } from '@/ui/frame/Link'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { listBatches } from '@/db/formulas/batches'
import { FormulasNav } from '@/stations/formulas/FormulasNav'
import { formatMl } from '@/core/quantity/format'
import { day } from '@/ui/tables/dates'
import { Chip } from '@/ui/pictures/Drawdown'
import { EmptyState } from '@/ui/frame/Notice'

export const metadata: Metadata = { title: 'Large batches' }

export default async function Batches() {
  const { batches, zone } = await inStudio(async (tx) => ({
    batches: await listBatches(tx),
    zone: (await studioFacts(tx)).zone,
  }))
  return (
    <>
      <div className="head">
        <h1>
          Large batch <span className="sub">one colour, several containers, all alike</span>
        </h1>
        <Link className="go" href="/formulas/batch/new" data-key="n">
          New batch
        </Link>
      </div>
      <FormulasNav here="/formulas/batch" />
      {batches.length === 0 ? (
        <EmptyState title="No large batch yet">
          Mix a kept colour by the litre: the sample split over the containers, boxed until they are alike.
          <br />
          <Link className="go" href="/formulas/batch/new">
            Plan a batch
          </Link>
        </EmptyState>
      ) : (
        <ul className="plain-cards">
          {batches.map((b) => (
            <li key={b.id}>
              <Link href={`/formulas/batch/${b.id}`} className="chipline">
                <Chip hex={b.state.keptHex} size={36} />
                <span>
                  <b>{b.title}</b>
                  <small className="muted">
                    {formatMl(b.state.paintUl)} of paint, {b.state.containers} containers,{' '}
                    {b.doneAt ? `done ${day(b.doneAt, zone)}` : `begun ${day(b.createdAt, zone)}`}
                  </small>
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </>
  )
}
