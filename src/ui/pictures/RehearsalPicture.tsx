/* eslint-disable @next/next/no-img-element -- encoded when it was taken in, served by the app itself */
import type { KeptRehearsal } from '@/db/rehearsals/read'

/** The board at the end of a rehearsal that was kept. */
export function RehearsalPicture({ rehearsal: r, className }: { rehearsal: KeptRehearsal; className?: string }) {
  return (
    <img
      className={className}
      src={`/plan/rehearsal/${r.id}`}
      width={r.width}
      height={r.height}
      alt="The board at the end of a rehearsal"
    />
  )
}
