import { object, string } from 'yup'

/** A material as others in a catalogue file refer to it: files hold no ids. */
export const refSchema = object({
  kind: string().default('paint'),
  maker: string().defined(),
  line: string().defined(),
  name: string().required(),
})
export interface Ref {
  readonly kind: string
  readonly maker: string
  readonly line: string
  readonly name: string
}
