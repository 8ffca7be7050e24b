import { string } from 'yup'

/** An id made by the client or the server: UUIDv7, which yup's own check does not know. */
export const idSchema = string()
  .lowercase()
  .matches(
    /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
    'That link is not one of Fika’s. Go back and choose again.',
  )
  .required('That link is not one of Fika’s. Go back and choose again.')
