import { string } from 'yup'

/** A day of the calendar as `2026-05-31`. */
export const daySchema = string()
  .matches(/^\d{4}-\d{2}-\d{2}$/, 'Type days like 2026-05-31.')
  .test('there', 'There is no such day. Type it like 2026-05-31.', (day) => {
    if (!day) return true
    const at = new Date(`${day}T00:00:00Z`)
    return !Number.isNaN(at.getTime()) && at.toISOString().startsWith(day) && day >= '1900' && day < '2200'
  })
