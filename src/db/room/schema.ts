import { array, number, object, string, type InferType } from 'yup'
import { idSchema } from '@/db/base/idSchema'

const name = (what: string) =>
  string()
    .trim()
    .max(60, `The name of ${what} is longer than 60 characters. Shorten it.`)
    .required(`Give ${what} a name.`)
const side = (what: string) =>
  number()
    .typeError(`Type ${what} as a size, like 60 x 90 cm.`)
    .moreThan(0, `${what} must be above zero.`)
    .max(20_000, `${what} is more than 20 m. Check the unit.`)
    .required()

export const cupSchema = object({
  id: idSchema,
  name: name('the cup'),
  sizeUl: number()
    .typeError('Type what the cup holds, like 210 ml or 7 oz.')
    .integer()
    .min(1000, 'A cup holds at least a millilitre.')
    .max(20_000_000, 'That is more than a bucket. Check the unit.')
    .required('Type what the cup holds, like 210 ml or 7 oz.'),
})
export const placeSchema = object({
  id: idSchema,
  name: name('the place'),
  lengthMm: side('The length'),
  widthMm: side('The width'),
  spots: number()
    .typeError('Type how many pieces lie there, like 4.')
    .integer('Type a whole number of pieces.')
    .min(1, 'A place holds at least one piece.')
    .max(500, 'Five hundred are the most.')
    .required(),
})
export const roomSchema = object({
  closedWeekdays: array(number().integer().min(1).max(7).required())
    .max(6, 'A studio that is closed all week pours nothing. Leave a day open.')
    .required(),
  celsius: number()
    .typeError('Type the warmth as a number, like 20.')
    .min(-20)
    .max(60, 'Above 60 °C nobody pours. Check the unit.')
    .required(),
  humidity: number()
    .typeError('Type the humidity in percent, like 50.')
    .min(0)
    .max(1, 'Humidity lies between 0 and 100 %.')
    .required(),
})
export type CupInput = InferType<typeof cupSchema>
export type PlaceInput = InferType<typeof placeSchema>
export type RoomInput = InferType<typeof roomSchema>
