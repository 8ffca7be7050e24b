import { number } from 'yup'

/** The largest whole number the database keeps in a column of 32 bits. */
const MOST = 2_147_483_647

/** Which state of a thing was looked at, counted from 1; 0, where it is allowed, says that it is new. */
export const revisionSchema = (least: 0 | 1) => number().integer().min(least).max(MOST)
