import { number } from 'yup'

/** What is told of the bottle a mix goes into: its size, its empty weight, and how long it rests. */
export const bottleFields = {
  capacityUl: number().integer().min(1).max(3e9).nullable().default(null),
  tareMg: number()
    .integer()
    .min(0)
    .max(1e8, 'That is too heavy for an empty bottle. Check the tare.')
    .nullable()
    .default(null),
  restHours: number()
    .typeError('Type the rest in hours, like 12.')
    .min(0, 'Rest cannot be below zero hours.')
    .max(24 * 14, 'Two weeks of rest are the most. Type hours.')
    .required('Type the rest in hours, like 12.'),
}
