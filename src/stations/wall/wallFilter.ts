import { number, object, string, type InferType } from 'yup'
import type { WallSearch } from '@/db/pieces/wall'

export const wallFilterSchema = object({
  q: string().trim().max(120).default(''),
  technique: string().max(60).default(''),
  fault: string().max(30).default(''),
  fate: string().max(20).default(''),
  rating: string()
    .matches(/^[1-5]?$/)
    .default(''),
  size: string().max(10).default(''),
  /** Six digits, without the sign that would end an address. */
  colour: string()
    .matches(/^([0-9a-f]{6})?$/i)
    .default(''),
  bottle: string().max(40).default(''),
  paint: string().max(40).default(''),
  /** The rarer filters are shown. */
  more: string().max(1).default(''),
  from: number().integer().min(0).max(1e6).default(0),
})
export type WallFilter = InferType<typeof wallFilterSchema>

/** Reads a filter from the address; what cannot be read is the usual one. */
export function readWallFilter(params: Record<string, string | undefined>): WallFilter {
  const wanted: unknown = wallFilterSchema.cast(params, { stripUnknown: true, assert: false })
  return wallFilterSchema.isValidSync(wanted) ? wanted : wallFilterSchema.getDefault()
}

/** Sizes of a face by its long side, mm. Start values of Fika. */
export const WALL_SIZES: Readonly<
  Record<string, { readonly words: string; readonly fromMm?: number; readonly toMm?: number }>
> = {
  small: { words: 'small, up to 20 cm', toMm: 200 },
  middle: { words: 'middling, 20 to 50 cm', fromMm: 200, toMm: 500 },
  large: { words: 'large, from 50 cm', fromMm: 500 },
}

/** Whether the rarer filters are shown: they were asked for, or one of them is set. */
export const showsMore = (f: WallFilter) => Boolean(f.more || f.bottle || f.paint || f.fault || f.rating || f.size)

/** What the wall is asked for. @param isId whether a text is an id of this house */
export function searchOf(f: WallFilter, isId: (text: string) => boolean): WallSearch {
  const size = WALL_SIZES[f.size]
  return {
    words: f.q || undefined,
    technique: f.technique || undefined,
    fault: f.fault || undefined,
    fate: f.fate || undefined,
    rating: f.rating ? Number(f.rating) : undefined,
    bottle: isId(f.bottle) ? f.bottle : undefined,
    paint: isId(f.paint) ? f.paint : undefined,
    colour: f.colour ? `#${f.colour.toLowerCase()}` : undefined,
    fromMm: size?.fromMm,
    toMm: size?.toMm,
    after: f.from,
  }
}

/** The address of a filter. */
export function wallAddress(filter: WallFilter): string {
  const defaults = wallFilterSchema.getDefault()
  const params = new URLSearchParams()
  for (const [k, v] of Object.entries(filter)) if (v && v !== defaults[k as keyof WallFilter]) params.set(k, String(v))
  return `/wall${params.size ? `?${params}` : ''}`
}
