import { HALF } from '@/db/base/validated'

/** A spreadsheet runs cells that begin like a formula: they are written behind an apostrophe, and read back without. */
const FORMULA = /^[=+\-@\t\r']/
const GUARDED = /^'[=+\-@\t\r']/

/** Characters no XML may hold (XML 1.0, 2.2), and halves of characters: left out of whatever is written. */
const UNWRITABLE = new RegExp(`[\\u0000-\\u0008\\u000b\\u000c\\u000e-\\u001f\\ufffe\\uffff]|${HALF}`, 'g')

export const writable = (text: string): string => text.replace(UNWRITABLE, '')
export const guard = (cell: string): string => (FORMULA.test(cell) ? `'${cell}` : cell)
export const unguard = (cell: string): string => (GUARDED.test(cell) ? cell.slice(1) : cell)
