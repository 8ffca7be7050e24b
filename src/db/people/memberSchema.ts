import { boolean, number, object, string } from 'yup'
import { ROLES } from '@/core/people/roles'
import { idSchema } from '../base/idSchema'

const role = string().oneOf(ROLES, 'Choose owner, maker or visitor.').required('Choose what they may do.')
const forWhom = string().trim().max(120, 'That is longer than 120 characters. Shorten it.').default('')

export const invitationSchema = object({ id: idSchema, role, forWhom })
export const memberRoleSchema = object({ accountId: idSchema, role })
export const memberSchema = object({ accountId: idSchema })
export const byIdSchema = object({ id: idSchema })
/** A studio to open, of those one is in. */
export const openStudioSchema = object({ studioId: idSchema })
export const foundStudioSchema = object({
  id: idSchema,
  name: string()
    .trim()
    .max(120, 'The name is longer than 120 characters. Shorten it.')
    .required('Give the studio a name.'),
})
export const workLinkSchema = object({
  id: idSchema,
  workId: idSchema,
  forWhom,
  days: number().oneOf([7, 14, 30, 90], 'Choose for how long the link holds.').required(),
})
export const leaveSchema = object({
  sure: boolean().oneOf([true], 'Say that you are sure.').required(),
})
