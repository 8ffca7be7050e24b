import type { Band } from '@/core/consistency/levelTime'
import type { guideState, GuideEvent } from '@/core/mix/guide'
import type { UnitSystem } from '@/core/quantity/parse'
import type { useScale } from '@/ui/hooks/useScale'
import type { KeptPlan } from '@/db/mixings/plan'

/** What every step of a guided mix is given. */
export interface StepProps {
  readonly plan: KeptPlan
  readonly state: ReturnType<typeof guideState>
  readonly scale: ReturnType<typeof useScale>
  readonly send: (event: GuideEvent) => void
  /** For what was typed: waits its turn, and says whether it was kept. */
  readonly sendTyped: (event: GuideEvent) => Promise<boolean>
  readonly units: UnitSystem
  readonly bands: readonly Band[]
  readonly sending: boolean
  readonly say: (trouble: string | undefined) => void
}
