import { execFile } from 'node:child_process'
import { mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs'
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
    console.log('ANSWER ' + JSON.stringify(answer ?? null))`
  const owner = new URL(process.env.FIKA_OWNER_DATABASE!)
  const { stdout } = await promisify(execFile)(process.execPath, ['--input-type=module', '-e', script], {
    env: { ...process.env, OWNER_PASSWORD: decodeURIComponent(owner.password), ...extra },
    maxBuffer: 50_000_000,
  })
  return JSON.parse(stdout.split('ANSWER ')[1]!) as T
}

/** A line of the admin's to a database; to the tests' own where none is named. */
function lineTo(database?: string): pg.Client {
  const address = new URL(process.env.FIKA_ADMIN_DATABASE!)
  if (database) address.pathname = `/${database}`
  return new pg.Client({ connectionString: address.href })
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
    const admin = lineTo()
    await admin.connect()
    await admin.query(`create database ${name}`)
    const line = lineTo(name)
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

describe('back-ups kept while Fika runs', () => {
  const name = `fika_kept_${process.pid}`
  const keptIn = mkdtempSync(join(tmpdir(), 'fika-kept-'))
  const admin = lineTo()
  const line = lineTo(name)
  beforeAll(async () => {
    // In a database of its own: what is written down there of back-ups is one row for the whole of it.
    await admin.connect()
    await beside(
      `const made = await b.makeBackup(cluster, ${JSON.stringify(keptIn)}); await b.restoreInto(cluster, '${name}', ${JSON.stringify(keptIn)} + '/' + made.file)`,
    )
    for (const file of readdirSync(keptIn)) rmSync(join(keptIn, file))
    await line.connect()
    await line.query(`delete from backup_made; update backup_state set wished_at = null, tried_at = null, trouble = ''`)
  }, 120_000)
  afterAll(async () => {
    await line.end()
    await admin.query(`drop database ${name}`)
    await admin.end()
    rmSync(keptIn, { recursive: true })
  })
  /** Keeps them, looking eight times a second; what it said and what stands written down afterwards. */
  const keep = async (folder: string, happens: 'one is made' | 'it goes wrong' | 'nothing') => {
    const said = await beside<string[]>(`
      const said = []
      const write = process.stdout.write
      const awaited = { 'one is made': /Backed up to/, 'it goes wrong': /went wrong/, nothing: /^/ }[${JSON.stringify(happens)}]
      let seen
      const happened = new Promise((resolve) => (seen = resolve))
      process.stdout.write = (text) => (said.push(String(text)), awaited.test(text) && seen(), true)
      if (awaited.test('')) seen()
      const stop = b.keepBackups({ as: (role, database = '${name}') => cluster.as(role, database) }, ${JSON.stringify(folder)}, { lookMs: 125 })
      const late = setTimeout(seen, 20_000)
      await happened
      clearTimeout(late)
      // It looks eight times more: what is not to happen again has its chance.
      await new Promise((r) => setTimeout(r, 1000))
      await stop()
      process.stdout.write = write
      return said`)
    const { rows } = await line.query<{ file: string; proved: boolean }>(
      'select file, proved_at is not null as proved from backup_made order by at',
    )
    const { rows: state } = await line.query<{ trouble: string }>('select trouble from backup_state')
    return { said: said.join('\n'), written: rows, trouble: state[0]!.trouble }
  }
  const dumps = () => readdirSync(keptIn).sort()

  it('one is made where there is none, proved and written down, and no second one the same day', async () => {
    const { written, said, trouble } = await keep(keptIn, 'one is made')
    expect(dumps()).toHaveLength(1)
    expect(written).toEqual([{ file: dumps()[0], proved: true }])
    expect(said.match(/Backed up to/g)).toHaveLength(1)
    expect(trouble).toBe('')
  }, 60_000)
  it('one is made at once where it is wished, and counts once', async () => {
    await line.query('update backup_state set wished_at = now()')
    const { written } = await keep(keptIn, 'one is made')
    // Two of one day: the newer stays, and the books speak of that one alone.
    expect(dumps()).toHaveLength(1)
    expect(written).toEqual([{ file: dumps()[0], proved: true }])
  }, 60_000)
  it('one is made where the newest is a day old, and not a minute before; the ladder decides what stays', async () => {
    const [today] = dumps()
    const aged = async (ageMs: number, happens: Parameters<typeof keep>[1]) => {
      for (const file of dumps()) rmSync(join(keptIn, file))
      const old = await beside<string>(`return b.nameAt(new Date(Date.now() - ${ageMs}))`)
      writeFileSync(join(keptIn, old), 'an old one')
      await keep(keptIn, happens)
      return { old, now: dumps() }
    }
    const young = await aged(DAY - 60_000, 'nothing')
    expect(young.now).toEqual([young.old])
    const due = await aged(DAY + 1000, 'one is made')
    expect(due.now).toHaveLength(2)
    expect(due.now[0]).toBe(due.old)
    expect(due.now[1]! > today!).toBe(true)
  }, 60_000)
  it('what went wrong stands where the owner reads it, is not tried again within the hour, and is over when it went well', async () => {
    const blocked = join(keptIn, 'no-folder')
    writeFileSync(blocked, 'a file where the folder should be')
    const wrong = await keep(blocked, 'it goes wrong')
    expect(wrong.trouble).toMatch(/could not be made/)
    expect(wrong.said.match(/tried again in an hour/g)).toHaveLength(1)
    rmSync(blocked)
    await line.query('update backup_state set wished_at = now()')
    expect((await keep(keptIn, 'one is made')).trouble).toBe('')
  }, 60_000)
})
