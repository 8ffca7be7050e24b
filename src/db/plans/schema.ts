import { object, string, type ObjectSchema } from 'yup'
import { PLAN_KINDS, type Design, type PlanKind } from '@/core/plan/design'
import { daySchema } from '@/db/base/daySchema'
import { idSchema } from '@/db/base/idSchema'
import { revisionSchema } from '@/db/base/revisionSchema'
import { techniqueKey } from '@/db/techniques/schema'
import { designSchema } from './designSchema'

/** What of a plan its maker decides, as it is sent, whole. */
export interface PlanInput {
  readonly id: string
  /** As it was when it was opened; null: it is new. */
  readonly revision: number | null
  readonly title: string
  readonly technique: string
  readonly workId: string | null
  readonly kind: PlanKind
  /** Day it is poured, where the maker has fixed it: `2026-12-05`. */
  readonly pourOn: string | null
  /** What it was scaled up from, or poured again after. */
  readonly afterPlanId: string | null
  readonly afterPieceId: string | null
  /** The "next time" of the piece it comes after. */
  readonly carriedNote: string
  readonly notes: string
  readonly design: Design
}

/** Shapes that hang on a kind are checked by it, which yup's types cannot say. */
export const planSchema = object({
  id: idSchema,
  revision: revisionSchema(1).nullable().defined(),
  title: string()
    .trim()
    .max(120, 'The title is longer than 120 characters. Shorten it.')
    .required('Give the plan a title.'),
  technique: techniqueKey().required('Choose a technique.'),
  workId: idSchema.nullable().default(null),
  kind: string().oneOf(PLAN_KINDS).default('final'),
  pourOn: daySchema.nullable().default(null),
  afterPlanId: idSchema.nullable().default(null),
  afterPieceId: idSchema.nullable().default(null),
  carriedNote: string().max(4000).default(''),
  notes: string().max(4000, 'The notes are longer than 4,000 characters. Shorten them.').default(''),
  design: designSchema,
}) as unknown as ObjectSchema<PlanInput>
