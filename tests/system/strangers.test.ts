import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { v7 as uuidv7 } from 'uuid'
import { endPool } from '@/db/base/pool'
import { PHOTO } from '@/db/pieces/schema'
import { withStudio } from '@/db/base/withStudio'
import { acceptInvitation, invite } from '@/db/people/invitations'
import { endSession, openSession, type Signed } from '@/db/people/sessions'
import { addPhotoAction, removePhotoAction } from '@/stations/wall/actions'
import { calls, newStudio, oneOfEverything, type Things } from '../support/everyAction'
import { admin, everything } from '../support/everything'
import { trial } from '../support/trial'
import { sentForm } from '../support/typed'

/** The sealed cookie is stood in for by whose token it holds; everything behind it is real. */
const holder: { token?: string } = {}
jest.mock('@/session/cookie', () => ({ tokenHere: async () => holder.token }))
jest.mock('next/headers', () => ({ headers: async () => new Headers() }))
jest.mock('next/cache', () => ({ revalidatePath: () => undefined }))
jest.mock('react', () => ({ ...jest.requireActual<object>('react'), cache: (work: unknown) => work }))

jest.mock('@/db/base/withStudio', () =>
  jest.requireActual<typeof import('../support/trial')>('../support/trial').trialStudio(),
)

/** What a visitor may do: read, look after their own account, and go. */
const LOOKS = [
  'currentMaterialAction',
  'openFileAction',
  'previewAction',
  'mendAction',
  'findByCodeAction',
  'endSessionAction',
  'endOthersAction',
  'changePasswordAction',
  'openStudioAction',
  'foundStudioAction',
  'leaveStudioAction',
]
/** What an owner decides. */
const OWNERS = [
  'saveRulesAction',
  'inviteAction',
  'withdrawInvitationAction',
  'giveRoleAction',
  'removeMemberAction',
  'backUpNowAction',
]

const as = (who: Signed | undefined) => {
  if (who) holder.token = who.token
  else delete holder.token
}

describe('every action', () => {
  let owner: Signed
  let stranger: Signed
  let things: Things
  beforeAll(async () => {
    await admin.connect()
    owner = await newStudio('Upper lock')
    stranger = await newStudio('Lower lock')
    as(owner)
    things = await oneOfEverything(owner)
  })
  afterAll(async () => {
    await admin.end()
    await endPool()
  })
  afterEach(() => {
    trial.on = false
  })

  it('of every station stands in the list', () => {
    const found = readdirSync('src', { recursive: true, encoding: 'utf8' })
      .filter((f) => /(^|\/)(actions|undoAction|flagLotAction)\.ts$/.test(f))
      .flatMap((f) => [
        ...readFileSync(join('src', f), 'utf8').matchAll(/export (?:const|async function) (\w+Action)\b/g),
      ])
      .map((m) => m[1]!)
    expect(found.length).toBeGreaterThan(50)
    expect(new Set(calls(things).map(([name]) => name))).toEqual(new Set(found))
  })

  it('is done for the owner, each in a studio that is then as it was', async () => {
    as(owner)
    const before = await everything(owner.studioId)
    expect(Object.values(before).filter((sum) => !sum.startsWith('0 ')).length).toBeGreaterThan(25)
    trial.on = true
    for (const [name, , call] of calls(things)) expect([name, await call()]).toMatchObject([name, { ok: true }])
    trial.on = false
    expect(await everything(owner.studioId)).toEqual(before)
  })

  it('finds nothing of another studio, is refused by the one code, and changes nothing there', async () => {
    jest.spyOn(console, 'error').mockImplementation(() => undefined)
    const before = await everything(owner.studioId)
    as(stranger)
    const told: [string, string][] = []
    for (const [name, , call] of calls(things)) {
      const answer = await call()
      told.push([name, answer.ok ? 'nothing' : answer.code])
    }
    expect(told).toEqual(calls(things).map(([name, code]) => [name, code]))
    expect(await everything(owner.studioId)).toEqual(before)
    const theirs = await everything(stranger.studioId)
    expect(theirs.movement).toMatch(/^0 /)
    expect(theirs.vessel_content).toMatch(/^0 /)
    jest.restoreAllMocks()
  })

  it.each(['maker', 'visitor'] as const)('lets a %s do what the role says, and nothing besides', async (role) => {
    jest.spyOn(console, 'error').mockImplementation(() => undefined)
    const who = await newStudio(role)
    const token = await withStudio(owner, (tx) => invite(tx, { id: uuidv7(), role, forWhom: '' }))
    await acceptInvitation(token, who.accountId)
    as(await openSession(who.accountId, owner.studioId))
    const before = await everything(owner.studioId)
    trial.on = true
    const told: [string, string][] = []
    for (const [name, , call] of calls(things)) {
      const answer = await call()
      told.push([name, answer.ok ? 'done' : answer.code])
    }
    trial.on = false
    const may = (name: string) => (role === 'visitor' ? LOOKS.includes(name) : !OWNERS.includes(name))
    expect(told.filter(([name]) => may(name)).filter(([, code]) => code === 'Forbidden')).toEqual([])
    expect(told.filter(([name]) => !may(name))).toEqual(
      calls(things)
        .filter(([name]) => !may(name))
        .map(([name]) => [name, 'Forbidden']),
    )
    expect(await everything(owner.studioId)).toEqual(before)
    // And by the database itself, whatever the app would say: as that role, statement by statement.
    if (role === 'visitor')
      await expect(
        withStudio({ studioId: owner.studioId, accountId: who.accountId }, (tx) =>
          tx.q(`update material set name = 'x' where studio_id = $1`, [tx.studioId]),
        ),
      ).rejects.toMatchObject({ code: 'Forbidden' })
    jest.restoreAllMocks()
  })

  it('takes no more photos of a piece than it keeps, says so, and takes one again when one is gone', async () => {
    as(owner)
    const add = (id: string) => addPhotoAction(sentForm({ ...things.photo, id }))
    const ids = Array.from({ length: PHOTO.ofPiece - 1 }, () => uuidv7())
    for (const id of ids) expect(await add(id)).toMatchObject({ ok: true })
    const full = await add(uuidv7())
    expect(full).toMatchObject({ ok: false, code: 'TooLarge', message: expect.stringContaining('Take one away first') })
    // Sent again, it is the one that is there.
    expect(await add(ids[0]!)).toMatchObject({ ok: true })
    for (const id of ids) expect(await removePhotoAction({ id })).toMatchObject({ ok: true })
    expect(await add(ids[0]!)).toMatchObject({ ok: true })
    await removePhotoAction({ id: ids[0] })
  })

  it('does nothing for somebody who is signed out, or whose session was revoked', async () => {
    as(undefined)
    for (const [name, , call] of calls(things))
      expect([name, await call()]).toMatchObject([name, { ok: false, code: 'SignedOut' }])
    const gone = await newStudio('Gone')
    await endSession(gone.token)
    as(gone)
    for (const [name, , call] of calls(things).slice(0, 3))
      expect([name, await call()]).toMatchObject([name, { ok: false, code: 'SignedOut' }])
    expect(
      await withStudio(owner, (tx) => tx.q('select 1 from movement where studio_id = $1', [tx.studioId])),
    ).toHaveLength(9)
  })
})
