import type { JournalEntry, MonthPoured } from '@/db/ledger'
import type { Dropper } from '@/db/people/droppers'
import type { StudioFacts } from '@/db/people/studio'
import { undoAction } from '@/server/undoAction'
import { JournalTable } from '@/ui/tables/JournalTable'
import { EmptyState } from '@/ui/frame/Notice'
import { Droppers } from './Droppers'
import { HouseRules } from './HouseRules'
import { PouredByMonth } from './PouredByMonth'

/** The notebook: how much is poured, what moved, and the house rules. */
export function Notebook({
  entries,
  months,
  studio,
  droppers,
}: {
  entries: JournalEntry[]
  months: MonthPoured[]
  studio: StudioFacts
  droppers: Dropper[]
}) {
  return (
    <>
      <div className="head">
        <h1>
          Notebook <span className="sub">what moved, and by which rules</span>
        </h1>
      </div>
      <div className="wide-left">
        <div className="grid">
          {months.length ? (
            <section className="panel">
              <h2>How much is poured and how much thrown away, month by month?</h2>
              <PouredByMonth months={months} />
            </section>
          ) : null}
          <section className="panel">
            <h2>Journal</h2>
            {entries.length ? (
              <JournalTable entries={entries} zone={studio.zone} undo={undoAction} signed={false} />
            ) : (
              <EmptyState title="Nothing has moved yet">Book a container or a mix, and it is written here.</EmptyState>
            )}
          </section>
        </div>
        <div className="grid">
          <HouseRules studio={studio} />
          <Droppers droppers={droppers} units={studio.units} />
        </div>
      </div>
    </>
  )
}
