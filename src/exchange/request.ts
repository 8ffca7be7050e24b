import { boolean, mixed, number, object } from 'yup'
import { COLUMNS, type Column, type Mapping } from './fields'

/** Our columns by the headings of a list, as the page sends it beside the file: JSON of texts. */
function readMapping(text: unknown): Mapping | undefined {
  if (typeof text !== 'string') return undefined
  try {
    const parsed: unknown = JSON.parse(text)
    if (typeof parsed !== 'object' || parsed === null || Array.isArray(parsed)) return undefined
    return Object.fromEntries(
      Object.entries(parsed).map(([h, c]) => [h, (COLUMNS as readonly unknown[]).includes(c) ? (c as Column) : '']),
    )
  } catch {
    return undefined
  }
}

const file = mixed<File>((v): v is File => v instanceof File)
  .typeError('Choose a file first.')
  .required('Choose a file first.')

/** A file with nothing said about it. */
export const openSchema = object({ file })

/** A file with its columns chosen, and the first row wanted of its preview. */
export const listSchema = object({
  file,
  mapping: mixed<Mapping>((v): v is Mapping => typeof v === 'object')
    .transform((_, sent) => readMapping(sent))
    .typeError('Choose the columns again.')
    .required('Choose the columns again.'),
  from: number().integer().min(0).max(1e6).default(0),
})

/** A file to be brought in. */
export const importSchema = listSchema.shape({ update: boolean().default(true) })
