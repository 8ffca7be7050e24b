import { v7 as uuidv7 } from 'uuid'
import { person, signUp } from '../../../tests/support/accounts'
import { makeStudio } from '../../../tests/support/studio'
import { endPool, pool } from '@/db/base/pool'
import { withStudio } from '@/db/base/withStudio'
import { takeOut } from '@/db/ledger'
import { journal } from '@/db/ledger'
import { accountOf, makeGuestAccount, signIn } from './accounts'
import { acceptInvitation, findInvitation, invite, openInvitations, withdrawInvitation } from './invitations'
import { readLinkToken } from './linkToken'
import { foundStudio, giveRole, leaveStudio, listMembers, openStudio, removeMember, studiosOf } from './members'
import { findSession, openSession, type Session, type Signed } from './sessions'

afterAll(endPool)

const fresh = () => signUp(person())
const inside = (who: Signed) => withStudio(who, listMembers)
const invitation = (who: Signed, role: 'owner' | 'maker' | 'visitor' = 'maker') =>
  withStudio(who, (tx) => invite(tx, { id: uuidv7(), role, forWhom: 'Someone' }))
/** Somebody new who came in by an invitation. */
async function joined(owner: Signed, role: 'owner' | 'maker' | 'visitor'): Promise<Signed> {
  const guest = await fresh()
  await acceptInvitation(await invitation(owner, role), guest.accountId)
  return openSession(guest.accountId, owner.studioId)
}
const sessionOf = async (who: Signed): Promise<Session> => (await findSession(who.token))!

describe('an invitation', () => {
  it('lets one person in, once, with the role it says', async () => {
    const owner = await fresh()
    const token = await invitation(owner, 'visitor')
    expect(await findInvitation(token)).toEqual({
      studioId: owner.studioId,
      studioName: 'Upper lock',
      role: 'visitor',
      by: 'Runa',
    })
    const [first, second] = [await fresh(), await fresh()]
    expect(await acceptInvitation(token, first.accountId)).toBe(owner.studioId)
    await expect(acceptInvitation(token, second.accountId)).rejects.toMatchObject({ code: 'NotFound' })
    expect(await findInvitation(token)).toBeUndefined()
    expect((await inside(owner)).map((m) => [m.accountId, m.role])).toEqual([
      [owner.accountId, 'owner'],
      [first.accountId, 'visitor'],
    ])
  })
  it('lets in one of two who open it at the same moment', async () => {
    const owner = await fresh()
    const token = await invitation(owner)
    const guests = await Promise.all([fresh(), fresh(), fresh()])
    const came = await Promise.allSettled(guests.map((g) => acceptInvitation(token, g.accountId)))
    expect(came.filter((c) => c.status === 'fulfilled')).toHaveLength(1)
    expect(await inside(owner)).toHaveLength(2)
  })
  it('ends after seven days, and when it is withdrawn; a changed link is none', async () => {
    const owner = await fresh()
    const guest = await fresh()
    const [late, gone, good] = [await invitation(owner), await invitation(owner), await invitation(owner)]
    const at = await withStudio(owner, (tx) =>
      tx.q<{ days: number }>(
        `select extract(epoch from ends_at - made_at) / 86400 as days from invitation where studio_id = $1 limit 1`,
        [tx.studioId],
      ),
    )
    expect(at[0]!.days).toBeCloseTo(7, 3)
    const hash = readLinkToken(late)!.hash
    await withStudio(owner, (tx) =>
      tx.q(`update invitation set ends_at = now() - interval '1 second' where studio_id = $1 and token_hash = $2`, [
        tx.studioId,
        hash,
      ]),
    )
    await withStudio(owner, async (tx) => {
      const hashed = readLinkToken(gone)!.hash
      const [row] = await tx.q<{ id: string }>('select id from invitation where studio_id = $1 and token_hash = $2', [
        tx.studioId,
        hashed,
      ])
      await withdrawInvitation(tx, row!)
    })
    const other = good.slice(0, -1) + (good.endsWith('A') ? 'B' : 'A')
    for (const bad of [late, gone, other, '', 'x', `${good}x`, good.slice(0, 22)]) {
      expect(await findInvitation(bad)).toBeUndefined()
      await expect(acceptInvitation(bad, guest.accountId)).rejects.toMatchObject({ code: 'NotFound' })
    }
    expect(await withStudio(owner, openInvitations)).toHaveLength(1)
    expect(await inside(owner)).toHaveLength(1)
  })
  it('is an owner’s to make and to withdraw', async () => {
    const owner = await fresh()
    const maker = await joined(owner, 'maker')
    await expect(invitation(maker, 'owner')).rejects.toMatchObject({ code: 'Forbidden' })
    // The database refuses it by itself as well, whatever the app forgot to ask.
    await expect(
      withStudio(maker, (tx) =>
        tx.q(`insert into invitation (studio_id, id, role, token_hash, ends_at) values ($1, $2, 'owner', $3, now())`, [
          tx.studioId,
          uuidv7(),
          'x'.repeat(64),
        ]),
      ),
    ).rejects.toMatchObject({ code: '42501' })
  })
  it('brings in who is new and who has an account, and leaves the role of who is in already', async () => {
    const owner = await fresh()
    const p = person()
    const token = await invitation(owner)
    expect(await makeGuestAccount(owner.studioId, p)).toBe(true)
    expect(await makeGuestAccount(owner.studioId, p)).toBe(false)
    const accountId = await accountOf(p.email, p.password, { place: p.email })
    // An account alone is in no studio.
    await expect(signIn(p.email, p.password, { place: p.email })).rejects.toMatchObject({ code: 'Conflict' })
    await acceptInvitation(token, accountId)
    expect((await signIn(p.email, p.password, { place: p.email })).studioId).toBe(owner.studioId)
    const second = await invitation(owner, 'visitor')
    expect(await acceptInvitation(second, accountId)).toBe(owner.studioId)
    expect((await inside(owner)).find((m) => m.accountId === accountId)!.role).toBe('maker')
    expect(await findInvitation(second)).toBeDefined()
  })
})

describe('a member', () => {
  it('who is removed is out at once, keeps their name in the journal, and may be invited again', async () => {
    const owner = await fresh()
    const maker = await joined(owner, 'maker')
    const studio = await makeStudio(owner)
    const paint = await studio.paint('Teal')
    const bottle = await studio.bottle('Teal 1', [{ materialId: paint, ul: 60_000 }])
    await withStudio(maker, (tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottle, ul: 1_000 }))
    await withStudio(owner, (tx) => removeMember(tx, maker))
    expect(await findSession(maker.token)).toBeUndefined()
    await expect(
      withStudio(maker, (tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottle, ul: 1_000 })),
    ).rejects.toMatchObject({ code: 'SignedOut' })
    expect(await studio.holds(bottle)).toBe(59_000)
    expect((await withStudio(owner, (tx) => journal(tx, null))).filter((e) => e.by === 'Runa').length).toBeGreaterThan(
      0,
    )
    expect((await inside(owner)).find((m) => m.accountId === maker.accountId)!.endedAt).not.toBeNull()
    await expect(withStudio(owner, (tx) => removeMember(tx, maker))).rejects.toMatchObject({ code: 'NotFound' })
    await acceptInvitation(await invitation(owner, 'visitor'), maker.accountId)
    expect((await inside(owner)).find((m) => m.accountId === maker.accountId)).toMatchObject({
      role: 'visitor',
      endedAt: null,
    })
  })
  it('does not decide over anybody, by the app or by the database', async () => {
    const owner = await fresh()
    const [maker, other] = [await joined(owner, 'maker'), await joined(owner, 'maker')]
    const mine = { accountId: maker.accountId, role: 'owner' } as const
    await expect(withStudio(maker, (tx) => giveRole(tx, mine))).rejects.toMatchObject({ code: 'Forbidden' })
    await expect(withStudio(maker, (tx) => removeMember(tx, other))).rejects.toMatchObject({ code: 'Forbidden' })
    for (const sql of [
      `update account_studio set role = 'owner' where studio_id = $1 and account_id = $2`,
      `update account_studio set ended_at = now() where studio_id = $1 and account_id <> $2`,
      `insert into account_studio (studio_id, account_id, role) values ($1, $2, 'owner')`,
      `update studio set name = 'Mine' where studio_id = $1 and $2::uuid is not null`,
    ])
      await expect(withStudio(maker, (tx) => tx.q(sql, [tx.studioId, maker.accountId]))).rejects.toMatchObject({
        code: 'Forbidden',
      })
    // And outside every studio, where nobody acts.
    await expect(
      pool().query(`update account_studio set role = 'owner' where account_id = $1`, [maker.accountId]),
    ).rejects.toMatchObject({ code: 'FK403' })
    await expect(pool().query('delete from account_studio where account_id = $1', [other.accountId])).rejects.toThrow(
      'permission denied',
    )
    expect((await inside(owner)).map((m) => m.role)).toEqual(['owner', 'maker', 'maker'])
  })
  it('who is a visitor reads, and every table refuses what they write, also where the transaction would not', async () => {
    const owner = await fresh()
    const visitor = await joined(owner, 'visitor')
    const studio = await makeStudio(owner)
    const paint = await studio.paint('Teal')
    expect(
      await withStudio(visitor, (tx) => tx.q('select 1 from material where studio_id = $1', [tx.studioId])),
    ).toHaveLength(
      (await withStudio(owner, (tx) => tx.q('select 1 from material where studio_id = $1', [tx.studioId]))).length,
    )
    await expect(
      withStudio(visitor, (tx) => tx.q('update material set name = $2 where studio_id = $1', [tx.studioId, 'x'])),
    ).rejects.toMatchObject({ code: 'Forbidden' })
    // As a visitor in a transaction that may write: the tables' own policies are what refuses now.
    const line = await pool().connect()
    try {
      await line.query(
        `begin; select set_config('app.studio_id', '${owner.studioId}', true), set_config('app.role', 'visitor', true)`,
      )
      expect((await line.query('select 1 from material where id = $1', [paint])).rowCount).toBe(1)
      expect((await line.query(`update vessel set label = 'x' where studio_id = $1`, [owner.studioId])).rowCount).toBe(
        0,
      )
      expect((await line.query('delete from pair_note where studio_id = $1', [owner.studioId])).rowCount).toBe(0)
      await expect(
        line.query(`insert into vessel (studio_id, id, kind, label) values ($1, $2, 'jar', 'x')`, [
          owner.studioId,
          uuidv7(),
        ]),
      ).rejects.toMatchObject({ code: '42501' })
    } finally {
      await line.query('rollback')
      line.release()
    }
  })
})

describe('the last owner', () => {
  it('neither leaves nor gives the role away before there is another', async () => {
    const owner = await fresh()
    const maker = await joined(owner, 'maker')
    await expect(leaveStudio(await sessionOf(owner))).rejects.toMatchObject({ code: 'Conflict' })
    await expect(
      withStudio(owner, (tx) => giveRole(tx, { accountId: owner.accountId, role: 'maker' })),
    ).rejects.toMatchObject({ code: 'Conflict' })
    await withStudio(owner, (tx) => giveRole(tx, { accountId: maker.accountId, role: 'owner' }))
    await leaveStudio(await sessionOf(owner))
    expect(await findSession(owner.token)).toBeUndefined()
    expect((await inside(maker)).filter((m) => m.endedAt === null)).toMatchObject([
      { accountId: maker.accountId, role: 'owner' },
    ])
  })
  it('is still there after two owners left at the same moment', async () => {
    for (let i = 0; i < 5; i++) {
      const owner = await fresh()
      const other = await joined(owner, 'owner')
      const [a, b] = [await sessionOf(owner), await sessionOf(other)]
      const left = await Promise.allSettled([leaveStudio(a), leaveStudio(b)])
      expect(left.filter((l) => l.status === 'fulfilled')).toHaveLength(1)
      expect((left.find((l) => l.status === 'rejected') as PromiseRejectedResult).reason).toMatchObject({
        code: 'Conflict',
      })
    }
  })
})

describe('several studios', () => {
  it('are opened one at a time, the one opened last at the next sign-in; a strange one is not', async () => {
    const p = person()
    const mine = await signUp(p)
    const owner = await fresh()
    await acceptInvitation(await invitation(owner, 'maker'), mine.accountId)
    expect((await studiosOf(mine.accountId)).map((s) => s.role).sort()).toEqual(['maker', 'owner'])
    await openStudio(await sessionOf(mine), { studioId: owner.studioId })
    expect((await sessionOf(mine)).studioId).toBe(owner.studioId)
    expect((await signIn(p.email, p.password, { place: p.email })).studioId).toBe(owner.studioId)
    const stranger = await fresh()
    await expect(openStudio(await sessionOf(mine), stranger)).rejects.toMatchObject({ code: 'NotFound' })
    expect((await sessionOf(mine)).studioId).toBe(owner.studioId)
  })
  it('are started once for a request sent twice, and nobody comes into another’s by its id', async () => {
    const mine = await fresh()
    const id = uuidv7()
    await foundStudio(await sessionOf(mine), { id, name: 'Second room' })
    await foundStudio(await sessionOf(mine), { id, name: 'Second room' })
    expect((await studiosOf(mine.accountId)).map((s) => s.name).sort()).toEqual(['Second room', 'Upper lock'])
    const other = await fresh()
    jest.spyOn(console, 'error').mockImplementation(() => undefined)
    await expect(foundStudio(await sessionOf(mine), { id: other.studioId, name: 'x' })).rejects.toMatchObject({
      code: 'Conflict',
    })
    jest.restoreAllMocks()
    expect(await inside(other)).toHaveLength(1)
  })
})
