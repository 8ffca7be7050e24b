import { array, boolean, number, object, string, type InferType } from 'yup'
import { idSchema } from '@/db/base/idSchema'
import { revisionSchema } from '@/db/base/revisionSchema'

const volume = (empty: string) =>
  number().integer().min(1, empty).max(3e8, 'That is more than any batch here. Check the unit.').required(empty)
const readingSchema = object({
  hex: string()
    .matches(/^#[0-9a-f]{6}$/)
    .required(),
  reflectance: array(number().required()).length(36).nullable().default(null),
})

/** A large batch as it stands: what was planned, what is ticked off, and what was read of each container. */
export const stateSchema = object({
  /** Paint in all containers together, without medium and water, µl. */
  paintUl: volume('Say how much paint the batch is, like 1.2 l.'),
  containers: number()
    .integer()
    .min(1, 'A batch stands in one container at least.')
    .max(12, 'Twelve containers are the most.')
    .required('Say how many containers.'),
  /** Each container's size, µl. */
  sizeUl: volume('Say how large a container is, like 1 l.'),
  /** Sample that is split over the containers: its paint and what already carries it, µl. */
  samplePaintUl: number().integer().min(0).max(3e8).default(0),
  sampleMediumUl: number().integer().min(0).max(3e8).default(0),
  /** medium : paint and water : paint, by volume. */
  medium: number()
    .min(0, 'Medium cannot be below nothing.')
    .max(20, 'More than 20 parts of medium to one of paint leave no colour.')
    .default(2),
  water: number()
    .min(0, 'Water cannot be below nothing.')
    .max(3, 'That much water leaves no film. Use medium instead.')
    .default(0.1),
  /** The kept swatch. */
  keptHex: string()
    .matches(/^#[0-9a-f]{6}$/, 'A colour is six digits, like #1f7a8c.')
    .required('Choose the colour that is to be hit.'),
  done: array(string().max(80).required()).max(200).default([]),
  readings: array(readingSchema.nullable()).max(12).default([]),
  boxed: number().integer().min(0).max(40).default(0),
})
export type BatchState = InferType<typeof stateSchema>

export const saveBatchSchema = object({
  id: idSchema,
  /** Revision it was opened with; 0 for a new one. */
  revision: revisionSchema(0).required(),
  title: string()
    .trim()
    .max(120, 'The title is longer than 120 characters. Shorten it.')
    .required('Give the batch a title.'),
  formulaId: idSchema,
  formulaVersion: revisionSchema(1).required(),
  state: stateSchema.required(),
  finished: boolean().default(false),
})
