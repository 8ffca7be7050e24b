import { endPool, pool } from '@/db/base/pool'
import { person, signUp } from '../../../tests/support/accounts'
import { endOtherSessions, endOwnSession, endSession, findSession, openSession, sessionsOf } from './sessions'

afterAll(endPool)

const ageSession = (token: string, column: 'expires_at' | 'last_used_at', days: number) =>
  findSession(token).then((s) =>
    pool().query(`update session set ${column} = now() - make_interval(days => $2) where id = $1`, [
      s!.sessionId,
      days,
    ]),
  )

describe('sessions', () => {
  it('end one by one, or all but one, and nothing is kept of them', async () => {
    const up = await signUp(person())
    const [second, third] = [
      await openSession(up.accountId, up.studioId, 'a tablet'),
      await openSession(up.accountId, up.studioId, 'a phone'),
    ]
    expect((await sessionsOf(up.accountId)).map((s) => s.device).sort()).toEqual(['', 'a phone', 'a tablet'])
    await endSession(up.token)
    expect(await findSession(up.token)).toBeUndefined()
    const [here, there] = [(await findSession(second.token))!, (await findSession(third.token))!]
    expect(await endOtherSessions(up.accountId, here.sessionId)).toBe(1)
    expect(await findSession(third.token)).toBeUndefined()
    await expect(endOwnSession(up.accountId, there.sessionId)).rejects.toMatchObject({ code: 'NotFound' })
    await endOwnSession(up.accountId, here.sessionId)
    const { rows } = await pool().query('select from session where account_id = $1', [up.accountId])
    expect(rows).toEqual([])
  })
  it('of somebody else are not there to be ended', async () => {
    const [mine, theirs] = [await signUp(person()), await signUp(person())]
    const other = (await findSession(theirs.token))!
    for (const id of [other.sessionId, 'nonsense', ''])
      await expect(endOwnSession(mine.accountId, id)).rejects.toMatchObject({ code: 'NotFound' })
    expect(await findSession(theirs.token)).toBeDefined()
    expect((await sessionsOf(mine.accountId)).map((s) => s.id)).not.toContain(other.sessionId)
  })
  it('run out: thirty days after they were opened, fourteen after they were used last; the next sign-in sweeps them', async () => {
    const [old, idle, used] = [await signUp(person()), await signUp(person()), await signUp(person())]
    await ageSession(old.token, 'expires_at', 0)
    await ageSession(idle.token, 'last_used_at', 15)
    await ageSession(used.token, 'last_used_at', 13)
    expect(await findSession(old.token)).toBeUndefined()
    expect(await findSession(idle.token)).toBeUndefined()
    expect(await findSession(used.token)).toBeDefined()
    // Being looked up, it was used.
    const [again] = await sessionsOf(used.accountId)
    expect(Date.now() - Date.parse(again!.lastUsedAt)).toBeLessThan(60_000)
    await openSession(used.accountId, used.studioId)
    const { rows } = await pool().query('select from session where account_id = any ($1)', [
      [old.accountId, idle.accountId],
    ])
    expect(rows).toEqual([])
  })
  it('cannot be opened in a studio the account does not work in', async () => {
    const [one, two] = [await signUp(person()), await signUp(person())]
    await expect(openSession(one.accountId, two.studioId)).rejects.toMatchObject({ code: '23503' })
  })
})
