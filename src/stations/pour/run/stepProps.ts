import type { RunEvent } from '@/core/run/events'
import type { RunPiece, RunPlan } from '@/core/run/runPlan'
import type { RunState } from '@/core/run/runState'
import type { useScale } from '@/ui/hooks/useScale'
import type { RunDesk, TableBottle } from './desk'

/** What every step of the day is given. */
export interface RunStepProps {
  readonly desk: RunDesk
  readonly plan: RunPlan
  readonly state: RunState
  readonly scale: ReturnType<typeof useScale>
  /** Whether it fits what stands; where it does not, why is said. */
  readonly send: (event: RunEvent) => boolean
  readonly say: (trouble: string | undefined) => void
  /** To the next step. */
  readonly next: () => void
  /** The piece that is looked at, where there are several. */
  readonly piece: RunPiece
  readonly setPiece: (id: string) => void
  readonly bottleOf: (id: string) => TableBottle | undefined
}
