import { planAmounts } from '@/core/plan/amounts'
import type { PlanBottle } from '@/core/plan/bottle'
import { jobOf } from '@/core/plan/job'
import type { Job } from '@/core/schedule/backwards'
import type { Technique } from '@/core/technique/technique'
import type { PlanInput } from '@/db/plans/schema'
import type { Room } from '@/db/room/read'
import type { Work } from '@/db/works/read'
import { DUE_AT, POURED_AT, timeOn } from '@/ui/tables/dates'

/** What plans are dated among. */
export interface DatedRoom {
  readonly bottles: ReadonlyMap<string, PlanBottle>
  readonly works: readonly Work[]
  readonly room: Room
  readonly zone: string
  /** Brims of the studio's cups, µl. */
  readonly sizes: readonly number[]
}

/** A plan as a job for the schedule: due with its work, pinned where its day is fixed. @throws FikaError for an impossible design */
export function planJob(
  plan: Pick<PlanInput, 'id' | 'design' | 'workId' | 'kind' | 'pourOn'>,
  technique: Technique,
  { bottles, works, room, zone, sizes }: DatedRoom,
): Job {
  const work = works.find((w) => w.id === plan.workId)
  return jobOf({
    id: plan.id,
    design: plan.design,
    amounts: planAmounts(plan.design, sizes),
    technique,
    bottles,
    climate: room,
    due: work?.dueOn ? timeOn(work.dueOn, DUE_AT, zone) : null,
    pourAt: plan.pourOn ? timeOn(plan.pourOn, POURED_AT, zone) : null,
    delivered: work !== undefined && work.kind !== 'practice' && plan.kind === 'final',
    buys: false,
  })
}
