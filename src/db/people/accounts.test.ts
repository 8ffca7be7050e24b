import { v7 as uuidv7 } from 'uuid'
import { endPool, pool } from '@/db/base/pool'
import { withStudio } from '@/db/base/withStudio'
import { person, signUp } from '../../../tests/support/accounts'
import { changePassword, makeAccount, signIn } from './accounts'
import { FREE_TRIES } from './doorTries'
import { findSession, openSession } from './sessions'

afterAll(endPool)

/** A place nobody else of these tests stands at. */
const place = () => `place ${uuidv7()}`

describe('accounts', () => {
  it('makes an account with a studio of its own, and lets it in by address and password', async () => {
    const input = person()
    const up = await signUp(input)
    const found = await findSession(up.token)
    expect(found).toMatchObject({ accountId: up.accountId, accountName: 'Runa', studioId: up.studioId })
    const sinks = await withStudio(up, (tx) =>
      tx.q<{ kind: string }>('select kind from vessel where studio_id = $1 order by kind', [tx.studioId]),
    )
    expect(sinks.map((s) => s.kind)).toEqual(['air', 'out', 'waste'])
    const again = await signIn(` ${input.email.toUpperCase()} `, input.password, { place: place() })
    expect(again.studioId).toBe(up.studioId)
    expect(again.token).not.toBe(up.token)
  })
  it('makes no second account for the same address, changes nothing of the first, and leaves no studio behind', async () => {
    const input = person()
    await signUp(input)
    const count = async () => (await pool().query('select count(*)::int as n from account_studio')).rows[0].n as number
    const before = await count()
    expect(
      await makeAccount({ ...input, email: input.email.toUpperCase(), password: 'another phrase' }),
    ).toBeUndefined()
    expect(await count()).toBe(before)
    await expect(signIn(input.email, 'another phrase', { place: place() })).rejects.toThrow('do not match')
  })
  it('keeps neither password nor token', async () => {
    const input = person()
    const up = await signUp(input)
    const { rows } = await pool().query('select password_hash from account where id = $1', [up.accountId])
    expect(rows[0].password_hash).toMatch(/^\$argon2id\$/)
    const tokens = await pool().query('select token_hash from session where account_id = $1', [up.accountId])
    expect(tokens.rows[0].token_hash).not.toBe(up.token)
  })
})

describe('tries at the door', () => {
  it('stop a guesser after the free ones, however many come at once', async () => {
    const input = person()
    await signUp(input)
    const at = { place: place() }
    const tries = await Promise.allSettled(Array.from({ length: 60 }, () => signIn(input.email, 'wrong', at)))
    const why = tries.map((t) => (t.status === 'rejected' ? (t.reason as { code: string }).code : 'in'))
    expect(why.filter((w) => w === 'Invalid')).toHaveLength(FREE_TRIES.fromOnePlace)
    expect(why.filter((w) => w === 'TooOften')).toHaveLength(60 - FREE_TRIES.fromOnePlace)
    await expect(signIn(input.email, input.password, at)).rejects.toThrow(/^Too many tries\. Wait \d+ seconds?, then/)
  })
  it('of a stranger lock out neither the owner’s own device nor the owner elsewhere', async () => {
    const input = person()
    const { accountId } = await signUp(input)
    const stranger = { place: place() }
    for (let i = 0; i < FREE_TRIES.fromOnePlace; i++)
      await expect(signIn(input.email, 'wrong', stranger)).rejects.toThrow('do not match')
    await expect(signIn(input.email, input.password, stranger)).rejects.toMatchObject({ code: 'TooOften' })
    const device = { id: uuidv7(), knows: [accountId] }
    expect(await signIn(input.email, input.password, { ...stranger, device })).toMatchObject({ accountId })
    expect(await signIn(input.email, input.password, { place: place() })).toMatchObject({ accountId })
    // A device that knows somebody else is a stranger here.
    const other = { id: uuidv7(), knows: [uuidv7()] }
    await expect(signIn(input.email, input.password, { ...stranger, device: other })).rejects.toMatchObject({
      code: 'TooOften',
    })
  })
  it('are a hundred an hour for one address, from however many places', async () => {
    const input = person()
    await signUp(input)
    for (let i = 0; i < FREE_TRIES.address; i += 20)
      await Promise.allSettled(Array.from({ length: 20 }, () => signIn(input.email, 'wrong', { place: place() })))
    await expect(signIn(input.email, input.password, { place: place() })).rejects.toMatchObject({ code: 'TooOften' })
  })
  it('stop a place that tries many addresses, and not the people who share it before that', async () => {
    const input = person()
    await signUp(input)
    const at = { place: place() }
    const tryAs = (name: string) => signIn(`${name}-${uuidv7()}@example.org`, 'wrong', at)
    for (let i = 0; i < FREE_TRIES.place - 1; i++)
      await expect(tryAs('guess')).rejects.toMatchObject({ code: 'Invalid' })
    expect((await signIn(input.email, input.password, at)).studioId).toBeDefined()
    await expect(tryAs('last')).rejects.toMatchObject({ code: 'Invalid' })
    await expect(signIn(input.email, input.password, at)).rejects.toMatchObject({ code: 'TooOften' })
  })
  it('are counted whatever a place or an address looks like', async () => {
    const long = { place: `${uuidv7()}${'x'.repeat(6000)}` }
    const nobody = `nobody-${uuidv7()}@example.org`
    for (let i = 0; i < FREE_TRIES.fromOnePlace; i++)
      await expect(signIn(nobody, 'wrong', long)).rejects.toMatchObject({ code: 'Invalid' })
    await expect(signIn(nobody, 'wrong', long)).rejects.toMatchObject({ code: 'TooOften' })
  })
})

describe('changing the password', () => {
  it('asks for the old one, ends the other sessions, and lets in by the new one alone', async () => {
    const input = person()
    const up = await signUp(input)
    const other = await openSession(up.accountId, up.studioId)
    const who = (await findSession(up.token))!
    await expect(changePassword(who, 'not it at all', 'birch lantern ferry')).rejects.toMatchObject({ field: 'old' })
    expect(await findSession(other.token)).toBeDefined()
    expect(await changePassword(who, input.password, 'birch lantern ferry')).toBe(1)
    expect(await findSession(other.token)).toBeUndefined()
    expect(await findSession(up.token)).toBeDefined()
    await expect(signIn(input.email, input.password, { place: place() })).rejects.toThrow('do not match')
    expect(await signIn(input.email, 'birch lantern ferry', { place: place() })).toMatchObject({
      accountId: up.accountId,
    })
  })
})
