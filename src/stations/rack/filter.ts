import { object, string, type InferType } from 'yup'
import { GROUPINGS } from '@/core/vessel/shelves'

export const rackFilterSchema = object({
  q: string().trim().max(120).default(''),
  role: string().max(20).default(''),
  show: string().max(10).default(''),
  sort: string().max(10).default('newest'),
  by: string().oneOf(GROUPINGS).default('none'),
  need: string().max(12).default(''),
  palette: string().max(80).default(''),
})
export type RackFilterInput = InferType<typeof rackFilterSchema>

/** Reads a filter from the address; what cannot be read is the usual one. */
export function readRackFilter(params: Record<string, string | undefined>): RackFilterInput {
  const wanted: unknown = rackFilterSchema.cast(params, { stripUnknown: true, assert: false })
  return rackFilterSchema.isValidSync(wanted) ? wanted : rackFilterSchema.getDefault()
}

/** Where further bottles of a view come from. */
export function rackAddress(filter: RackFilterInput): string {
  const defaults = rackFilterSchema.getDefault()
  const params = new URLSearchParams()
  for (const [k, v] of Object.entries(filter)) if (v && v !== defaults[k as keyof RackFilterInput]) params.set(k, v)
  return `/rack/rows${params.size ? `?${params}` : ''}`
}
