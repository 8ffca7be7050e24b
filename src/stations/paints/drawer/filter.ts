import { number, object, string, type InferType } from 'yup'

/** Facets of the drawer in the order they are offered: the address's key and the heading. */
export const FACETS = [
  ['maker', 'Maker'],
  ['line', 'Line'],
  ['hue', 'Colour family'],
  ['body', 'Body'],
  ['opacity', 'Opacity'],
  ['sheen', 'Sheen'],
  ['pigment', 'Pigment'],
  ['stock', 'Stock'],
  ['price', 'Price per ml'],
  ['light', 'Lightfastness'],
  ['pours', 'How it pours'],
  ['used', 'Used in'],
  ['tag', 'Tag'],
] as const
export type FacetKey = (typeof FACETS)[number][0]

export const SORTS = {
  name: 'by maker and name',
  hue: 'round the colours',
  light: 'light to dark',
  used: 'used last first',
  amount: 'most on hand first',
  price: 'cheapest per ml first',
} as const
export type SortKey = keyof typeof SORTS

const facet = () => string().max(2000).default('')

/** The whole view of the drawer as it stands in the address bar. Values of a facet are joined by `|`. */
export const filterSchema = object({
  q: string().trim().max(120).default(''),
  sort: string()
    .oneOf(Object.keys(SORTS) as SortKey[])
    .default('name'),
  view: string()
    .oneOf(['cards', 'table'] as const)
    .default('cards'),
  archived: string()
    .oneOf(['', 'yes'] as const)
    .default(''),
  from: number().integer().min(0).max(1e6).default(0),
  maker: facet(),
  line: facet(),
  hue: facet(),
  body: facet(),
  opacity: facet(),
  sheen: facet(),
  pigment: facet(),
  stock: facet(),
  price: facet(),
  light: facet(),
  pours: facet(),
  used: facet(),
  tag: facet(),
})
export type PaintFilter = InferType<typeof filterSchema>

/** Reads a view from the address; what is not one is left out. */
export function readFilter(params: Readonly<Record<string, string>>): PaintFilter {
  const wanted = filterSchema.cast(params, { stripUnknown: true, assert: false })
  return filterSchema.isValidSync(wanted) ? wanted : filterSchema.getDefault()
}

export const picksOf = (filter: PaintFilter, key: FacetKey): string[] => (filter[key] ? filter[key].split('|') : [])

/** The address of a view: only what differs from the default. */
export function addressOf(filter: Partial<PaintFilter>): URLSearchParams {
  const defaults = filterSchema.getDefault()
  const out = new URLSearchParams()
  for (const k of Object.keys(filterSchema.fields) as (keyof PaintFilter)[]) {
    const v = filter[k]
    if (v && v !== defaults[k]) out.set(k, String(v))
  }
  return out
}

/** Where further rows of a view come from. */
export const rowsAddress = (filter: PaintFilter) => {
  const view = addressOf({ ...filter, from: 0 }).toString()
  return `/paints/rows${view ? `?${view}` : ''}`
}
