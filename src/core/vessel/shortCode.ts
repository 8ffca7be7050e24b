/** Digits and letters that are not mistaken for one another (Crockford's base 32). */
const ALPHABET = '0123456789ABCDEFGHJKMNPQRSTVWXYZ'

/** A letter that catches a mistyped or swapped one: weights 1, 3, 5, … modulo 31. */
const checkOf = (body: string) =>
  ALPHABET[[...body].reduce((s, c, i) => s + (2 * i + 1) * ALPHABET.indexOf(c), 0) % 31]!

/**
 * The short code of a bottle, as it stands on the label: a body and its check letter, `7KQ4-D`.
 * @param body four or more of Crockford's letters
 */
export const shortCode = (body: string) => `${body}-${checkOf(body)}`

/**
 * Reads a code as somebody types it: small letters, no dash, O for 0, I and L for 1.
 * @returns its body; undefined where it is none, or its check letter says it was mistyped
 */
export function readShortCode(text: string): string | undefined {
  const plain = text.trim().toUpperCase().replace(/[\s-]/g, '').replace(/O/g, '0').replace(/[IL]/g, '1')
  if (plain.length < 5 || [...plain].some((c) => !ALPHABET.includes(c))) return undefined
  const body = plain.slice(0, -1)
  return checkOf(body) === plain.at(-1) ? body : undefined
}
