const LETTERS: Readonly<Record<string, string>> = { ø: 'o', ß: 'ss', æ: 'ae', œ: 'oe', đ: 'd', ł: 'l', þ: 'th', ð: 'd' }

/**
 * A text as it is searched: lower case, accents off, runs of white space as one. `Bláfjall  Grün` reads `blafjall grun`.
 */
export const fold = (text: string) =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}+/gu, '')
    .replace(/[øßæœđłþð]/g, (c) => LETTERS[c]!)
    .replace(/\s+/g, ' ')
    .trim()

/** What typed search looks through of a material: everything it is called by, folded. */
export const searchText = (m: {
  readonly maker: string
  readonly line: string
  readonly name: string
  readonly pigments?: readonly string[]
  readonly tags: readonly string[]
  readonly barcode: string
}) => fold([m.maker, m.line, m.name, ...(m.pigments ?? []), ...m.tags, m.barcode].join(' '))
