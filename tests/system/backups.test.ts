import { execFile } from 'node:child_process'
import { mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { promisify } from 'node:util'
import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../support/studio'
import { endPool } from '@/db/base/pool'
import { takeOut } from '@/db/ledger'

/** Runs a few lines beside `bin/lib/backups.mjs` and reads what they answer. */
async function beside<T>(lines: string, extra: Record<string, string> = {}): Promise<T> {
  const address = new URL(process.env.FIKA_ADMIN_DATABASE!)
  const at = JSON.stringify({
    port: Number(address.port),
    role: decodeURIComponent(address.username),
    password: decodeURIComponent(address.password),
    database: address.pathname.slice(1),
  })
  const script = `
    const b = await import(${JSON.stringify(join(process.cwd(), 'bin/lib/backups.mjs'))})
    const at = ${at}
    const cluster = { as: (role, database = at.database) => ({ ...at, role: role === 'admin' ? at.role : 'fika_' + role,
      password: role === 'admin' ? at.password : process.env.OWNER_PASSWORD, database }) }
    const answer = await (async () => { ${lines} })()
    console.log('ANSWER ' + JSON.stringify(answer))`
  const owner = new URL(process.env.FIKA_OWNER_DATABASE!)
  const { stdout } = await promisify(execFile)(process.execPath, ['--input-type=module', '-e', script], {
    env: { ...process.env, OWNER_PASSWORD: decodeURIComponent(owner.password), ...extra },
    maxBuffer: 50_000_000,
  })
  return JSON.parse(stdout.split('ANSWER ')[1]!) as T
}

const folder = mkdtempSync(join(tmpdir(), 'fika-backups-'))
afterAll(async () => {
  rmSync(folder, { recursive: true })
  await endPool()
})

const DAY = 86_400_000

describe('back-ups that stay', () => {
  const staying = (times: readonly number[]) =>
    beside<string[]>(`return b.staying(${JSON.stringify(times)}.map((t) => new Date(t)))`).then((r) =>
      r.map((t) => new Date(t).getTime()),
    )
  it('are the newest of seven days, four weeks and twelve months', async () => {
    // One a day for two years, and three today.
    const now = Date.UTC(2026, 10, 29, 20)
    const times = [...Array.from({ length: 730 }, (_, i) => now - i * DAY), now - 3_600_000, now - 7_200_000]
    const stay = await staying(times)
    const days = stay.map((t) => new Date(t).toISOString().slice(0, 10))
    expect(days.slice(0, 7)).toEqual([
      '2026-11-29',
      '2026-11-28',
      '2026-11-27',
      '2026-11-26',
      '2026-11-25',
      '2026-11-24',
      '2026-11-23',
    ])
    // The Sundays of the three weeks before (this week's is among the days), and the last day of each month before.
    expect(days.slice(7, 10)).toEqual(['2026-11-22', '2026-11-15', '2026-11-08'])
    expect(days.slice(10)).toEqual([
      '2026-10-31',
      '2026-09-30',
      '2026-08-31',
      '2026-07-31',
      '2026-06-30',
      '2026-05-31',
      '2026-04-30',
      '2026-03-31',
      '2026-02-28',
      '2026-01-31',
      '2025-12-31',
    ])
    expect(stay[0]).toBe(now)
  })
  it('lose nothing to a pause: what is rare stays', async () => {
    const now = Date.UTC(2026, 10, 29)
    const rare = [now, now - 40 * DAY, now - 80 * DAY, now - 200 * DAY]
    expect(await staying(rare)).toEqual(rare)
    expect(await staying([])).toEqual([])
  })
  it('are named by their time, and nothing else in the folder is touched', async () => {
    expect(
      await beside(
        `return [b.nameAt(new Date(0)), b.timeOf('fika-20261129-023000.dump'), b.timeOf('mine.dump') ?? null]`,
      ),
    ).toEqual(['fika-19700101-000000.dump', '2026-11-29T02:30:00.000Z', null])
  })
})

describe('a back-up', () => {
  it('taken while others write is of one moment: restored beside the database it holds the same, to the last row', async () => {
    const studio = await makeStudio()
    const paint = await studio.paint('Teal')
    const bottle = await studio.bottle('Teal 1', [{ materialId: paint, ul: 600_000 }])
    let [writing, written] = [true, 0]
    const load = (async () => {
      while (writing) {
        await studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottle, ul: 10 }))
        written += 1
      }
    })()
    const made = await beside<{ file: string; bytes: number }>(
      `return b.makeBackup(cluster, ${JSON.stringify(folder)})`,
    )
    writing = false
    await load
    expect(written).toBeGreaterThan(20)
    const file = join(folder, made.file)
    expect(statSync(file).size).toBe(made.bytes)
    expect(statSync(file).mode & 0o077).toBe(0)
    expect(readdirSync(folder)).toEqual([made.file])
  }, 120_000)
  it('that holds another row is not taken for the same: one letter, one row, one byte of a picture is seen', async () => {
    // In a database of its own, where nobody else writes.
    const name = `fika_sums_${process.pid}`
    const admin = new pg.Client({ connectionString: process.env.FIKA_ADMIN_DATABASE })
    await admin.connect()
    await admin.query(`create database ${name}`)
    const there = new URL(process.env.FIKA_ADMIN_DATABASE!)
    there.pathname = `/${name}`
    const line = new pg.Client({ connectionString: there.href })
    await line.connect()
    try {
      const sums = () => beside<string>(`return b.sumsAt(cluster.as('admin', ${JSON.stringify(name)}))`)
      await line.query(`create table a (id int, words text, picture bytea); create table b (id int);
        insert into a values (1, 'teal', '\\x0102'), (2, null, null); insert into b values (1)`)
      const seen = [await sums()]
      expect(seen[0]).toMatch(/^a\|2\|-?\d+\nb\|1\|-?\d+$/m)
      expect(await sums()).toBe(seen[0])
      for (const change of [
        `update a set words = 'teak' where id = 1`,
        `update a set words = '' where id = 2; update a set id = 3 where id = 2`,
        `update a set picture = '\\x010203' where id = 1`,
        'insert into b values (1)',
        'delete from b',
      ]) {
        await line.query(change)
        seen.push(await sums())
      }
      expect(new Set(seen).size).toBe(seen.length)
    } finally {
      await line.end()
      await admin.query(`drop database ${name}`)
      await admin.end()
    }
  })
  it('that cannot be made leaves nothing, and says so', async () => {
    const said = await beside<string>(
      `return b.makeBackup({ as: (r, d) => ({ ...cluster.as(r, d), password: 'wrong' }) }, ${JSON.stringify(folder)}).then(() => 'made', (e) => e.message)`,
    )
    expect(said).toMatch(/password authentication failed/)
    expect(readdirSync(folder).filter((f) => f.endsWith('.partial'))).toEqual([])
  })
})
