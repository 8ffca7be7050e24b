import { hashPassword, isPassword, newPasswordSchema } from './passwords'

const why = (password: string) =>
  newPasswordSchema.validate(password).then(
    () => 'taken',
    (e: Error) => e.message,
  )

describe('a password to be chosen', () => {
  it.each(['birch lantern ferry', 'Ünïcode is fine ✓', '  blanks around it  ', 'x7#kPq!02zLm'])(
    '%j is taken',
    async (p) => {
      expect(await why(p)).toBe('taken')
    },
  )
  it.each([
    ['', 'Choose a password'],
    ['short one', 'at least 10'],
    ['a'.repeat(201), 'at most 200'],
    ['birch\u0000lantern ferry', 'control characters'],
    ['birch\nlantern ferry', 'control characters'],
    ['            ', 'easy to guess'],
    ['aaaaaaaaaaaa', 'easy to guess'],
    ['aaaaaabbbbbbb', 'easy to guess'],
    // Of the commonest ten thousand, as published lists have them.
    ['1234567890', 'easy to guess'],
    ['QWERTYUIOP', 'easy to guess'],
    ['password123', 'easy to guess'],
    [' password123 ', 'easy to guess'],
  ])('%j is refused with a sentence', async (p, sentence) => {
    expect(await why(p)).toContain(sentence)
  })
})

describe('hashing', () => {
  it('knows the password again, and nothing where there is none', async () => {
    const known = await hashPassword('birch lantern ferry')
    expect(await isPassword(known, 'birch lantern ferry')).toBe(true)
    expect(await isPassword(known, 'birch lantern ferrY')).toBe(false)
    expect(await isPassword(null, 'birch lantern ferry')).toBe(false)
    expect(await isPassword(undefined, '')).toBe(false)
  })
})
