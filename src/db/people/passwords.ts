import { randomBytes } from 'node:crypto'
import { hash, verify } from '@node-rs/argon2'
import { dictionary } from '@zxcvbn-ts/language-common'
import pLimit from 'p-limit'
import { string } from 'yup'

/** The commonest passwords there are, as the package ships them; read once. */
let common: ReadonlySet<string> | undefined
const isCommon = (password: string) =>
  (common ??= new Set(dictionary['passwords-common'] as string[])).has(password.toLowerCase())

const CONTROL = /[\u0000-\u001f\u007f]/
/** Letters that differ in it: one letter twelve times over is no password. */
const LEAST_LETTERS = 4

/** A password to be chosen. OWASP ASVS 4.0.3, 2.1.1 (ours asks for ten at least), 2.1.4, 2.1.7, 2.1.9. */
export const newPasswordSchema = string()
  .required('Choose a password.')
  .min(10, 'Choose a password of at least 10 characters; a few words are good.')
  .max(200, 'Choose a password of at most 200 characters.')
  .test(
    'printable',
    'Leave line breaks and other control characters out of the password.',
    (p) => !CONTROL.test(p ?? ''),
  )
  .test(
    'varied',
    'That is too easy to guess. Choose a few words that do not belong together.',
    (p) => new Set((p ?? '').replace(/\s/g, '')).size >= LEAST_LETTERS && !isCommon((p ?? '').trim()),
  )

/** Hashing takes a core and 19 MB each: two at a time, the others wait their turn. */
const inTurn = pLimit(2)

export const hashPassword = (password: string): Promise<string> => inTurn(() => hash(password))

/** Hash of nothing anybody typed: spends the same time where there is no password as where there is one. */
let decoy: Promise<string> | undefined

/** Whether a password is the one that was hashed; takes as long where there is none. */
export async function isPassword(known: string | null | undefined, password: string): Promise<boolean> {
  decoy ??= hashPassword(randomBytes(16).toString('hex'))
  const against = known ?? (await decoy)
  return (await inTurn(() => verify(against, password))) && known !== null && known !== undefined
}
