import { v7 as uuidv7 } from 'uuid'
import { ofBottle, simpleDesign, type Simple } from '@/core/plan/simpleDesign'
import type { PlanInput } from '@/db/plans/schema'

const square = { shape: 'rectangle', lengthMm: 100, widthMm: 100, edgeMm: 0, count: 1 } as const

/** A plan as it is sent: a square of 10 cm, one share of each bottle in one cup, straight, where nothing else is said. */
export function planInput(
  bottles: readonly string[],
  { design, ...more }: Partial<Omit<PlanInput, 'design'>> & { design?: Partial<Simple> } = {},
): PlanInput {
  return {
    id: uuidv7(),
    revision: null,
    title: 'Small square',
    technique: 'straight',
    workId: null,
    kind: 'final',
    pourOn: null,
    afterPlanId: null,
    afterPieceId: null,
    carriedNote: '',
    notes: '',
    design: simpleDesign(
      { surface: square, cup: bottles.map((id) => ({ of: ofBottle(id), share: 1 })), ...design },
      uuidv7,
    ),
    ...more,
  }
}
