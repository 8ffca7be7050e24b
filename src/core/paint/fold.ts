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
