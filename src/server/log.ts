import { createHash } from 'node:crypto'

/** What is written down of the door and of refusals: who asked, from where, and how it ended; never what was typed. */
export function note(event: string, details: Readonly<Record<string, string | number>> = {}): void {
  console.log(JSON.stringify({ at: new Date().toISOString(), event, ...details }))
}

/** A person in the log: the same for the same address, and not readable back. */
export const personMark = (email: string) =>
  createHash('sha256').update(`log ${email.trim().toLowerCase()}`).digest('hex').slice(0, 12)
