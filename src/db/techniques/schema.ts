import { array, boolean, number, object, string, tuple, type InferType } from 'yup'
import { COAT_ROLES } from '@/core/plan/uses'
import { CAUTIONS, CUP_KINDS, WANTS, type Caution } from '@/core/technique/technique'

const words = (what: string, most: number) =>
  string().trim().max(most, `${what} is longer than ${most} characters. Shorten it.`)
const seconds = () =>
  number().typeError('Type seconds as numbers, like 1.5.').min(0).max(60, 'A minute is the most.').required()

/** A technique by its key: one that ships, or the studio's own. That it is there is seen when it is written. */
export const techniqueKey = () => string().matches(/^[a-z0-9-]{2,60}$/, 'Choose a technique.')

/** A technique of the studio's own. */
export const techniqueSchema = object({
  key: string()
    .matches(/^own-[0-9a-f-]{36}$/, 'Only techniques of your own can be changed. Copy this one first.')
    .required(),
  name: words('The name', 80).required('Give the technique a name.'),
  levelTimeS: tuple([seconds(), seconds()])
    .required()
    .test('rising', 'The first number of seconds is the smaller one.', (band) => !band || band[0] < band[1]),
  cups: array(string().oneOf(CUP_KINDS).required())
    .min(1, 'Choose at least one kind of cup.')
    .max(CUP_KINDS.length)
    .required(),
  needs: array(string().oneOf(COAT_ROLES).required()).max(COAT_ROLES.length).required(),
  forbids: array(string().oneOf(COAT_ROLES).required())
    .max(COAT_ROLES.length)
    .required()
    .test('apart', 'A coat cannot be needed and forbidden at once.', function (list) {
      const { needs } = this.parent as { needs?: readonly string[] }
      return !list?.some((role) => needs?.includes(role))
    }),
  silicone: string().oneOf(WANTS).required(),
  heat: string().oneOf(WANTS).required(),
  tools: array(words('A tool', 80).required()).max(20, 'Twenty tools are the most.').required(),
  waits: array(
    object({
      what: words('A wait', 120).required('Say what is waited for.'),
      minutes: number().typeError('Type minutes as a number.').min(0).max(10_000).required(),
    }).noUnknown(),
  )
    .max(20)
    .required(),
  cells: boolean().required(),
  runOffShare: number()
    .typeError('Type the run-off in percent.')
    .min(0)
    .max(0.95, 'Something has to stay on the surface.')
    .required(),
  cautions: array(
    string()
      .oneOf(Object.keys(CAUTIONS) as Caution[])
      .required(),
  )
    .max(Object.keys(CAUTIONS).length)
    .required(),
  gives: words('What it gives', 400).default(''),
}).noUnknown()
export type TechniqueInput = InferType<typeof techniqueSchema>
