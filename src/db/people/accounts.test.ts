import { v7 as uuidv7 } from 'uuid'
import { findSession, openSession, revokeSession, signIn, signUp, TRIES } from './accounts'
import { endPool, pool } from '@/db/base/pool'
import { withStudio } from '@/db/base/withStudio'

afterAll(endPool)

const person = () => ({
  name: 'Runa',
  email: `runa-${uuidv7()}@example.org`,
  password: 'a long pass phrase',
  studioName: 'Upper lock',
})

describe('accounts', () => {
  it('makes an account with a studio of its own, and lets it in by address and password', async () => {
    const input = person()
    const up = await signUp(input)
    const found = await findSession(up.token)
    expect(found).toEqual({ accountId: up.accountId, accountName: 'Runa', studioId: up.studioId })
    const sinks = await withStudio(up, (tx) =>
      tx.q<{ kind: string }>('select kind from vessel where studio_id = $1 order by kind', [tx.studioId]),
    )
    expect(sinks.map((s) => s.kind)).toEqual(['air', 'out', 'waste'])
    const again = await signIn(` ${input.email.toUpperCase()} `, input.password, '127.0.0.1')
    expect(again.studioId).toBe(up.studioId)
    expect(again.token).not.toBe(up.token)
  })
  it('refuses a second account for the same address and leaves no studio behind', async () => {
    const input = person()
    await signUp(input)
    await expect(signUp({ ...input, email: input.email.toUpperCase() })).rejects.toThrow('has an account already')
  })
  it('keeps neither password nor token', async () => {
    const input = person()
    const up = await signUp(input)
    const { rows } = await pool().query('select password_hash from account where id = $1', [up.accountId])
    expect(rows[0].password_hash).toMatch(/^\$argon2id\$/)
    const tokens = await pool().query('select token_hash from session where account_id = $1', [up.accountId])
    expect(tokens.rows[0].token_hash).not.toBe(up.token)
  })
  it('revokes one session, or all of an account', async () => {
    const up = await signUp(person())
    const second = await openSession(up.accountId, up.studioId)
    await revokeSession(up.token)
    expect(await findSession(up.token)).toBeUndefined()
    expect(await findSession(second.token)).toBeDefined()
    const third = await openSession(up.accountId, up.studioId)
    await revokeSession(third.token, true)
    expect(await findSession(second.token)).toBeUndefined()
  })
  it('cannot open a session in a studio the account does not work in', async () => {
    const [one, two] = [await signUp(person()), await signUp(person())]
    await expect(openSession(one.accountId, two.studioId)).rejects.toMatchObject({ code: '23503' })
  })
  it('stops a guesser after a number of tries', async () => {
    const input = person()
    await signUp(input)
    for (let i = 0; i < TRIES.email; i++)
      await expect(signIn(input.email, 'wrong', `10.0.0.${uuidv7()}`)).rejects.toThrow('do not match')
    await expect(signIn(input.email, input.password, 'elsewhere')).rejects.toMatchObject({ code: 'TooOften' })
  })
  it('stops a place that tries many addresses, and not the people who share it before that', async () => {
    const input = person()
    await signUp(input)
    const place = `10.1.0.${uuidv7()}`
    const tryAs = (name: string) => signIn(`${name}-${uuidv7()}@example.org`, 'wrong', place)
    for (let i = 0; i < TRIES.from - 1; i++) await expect(tryAs('guess')).rejects.toMatchObject({ code: 'Invalid' })
    expect((await signIn(input.email, input.password, place)).studioId).toBeDefined()
    await expect(tryAs('last')).rejects.toMatchObject({ code: 'Invalid' })
    await expect(signIn(input.email, input.password, place)).rejects.toMatchObject({ code: 'TooOften' })
  })
})
