import type { Work } from '@/db/works/read'
import { day } from '@/ui/tables/dates'

/** What a sketch promises and what it does not, and what was agreed on. */
export function SketchNotCopy({ work, zone }: { work: Work; zone: string }) {
  return (
    <>
      <p>
        <b>A sketch, not a copy.</b> What is poured follows the style and the colours of the sketch agreed on; paint
        finds its own way, and no two pours are alike.
      </p>
      <p>
        {work.agreedText || 'Nothing is written down yet.'}{' '}
        {work.agreedOn ? <b>Agreed on {day(`${work.agreedOn}T12:00:00Z`, zone)}.</b> : <b>Not agreed on yet.</b>}
      </p>
    </>
  )
}
