import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { command } from '../support/command'
import { eventsOfKeeping, freePortFrom, ourMark, startCluster, stopCluster } from '../support/cluster'

const homes: string[] = []
function newHome(): string {
  const home = mkdtempSync(join(tmpdir(), 'fika-command-'))
  homes.push(home)
  return home
}
afterAll(() => homes.forEach((h) => rmSync(h, { recursive: true, force: true })))

/** Asks the cluster of a data folder while no command runs there. */
async function ask<T>(home: string, sql: string): Promise<T[]> {
  const cluster = await startCluster(home)
  const client = new pg.Client({ connectionString: cluster.admin })
  await client.connect()
  try {
    return (await client.query(sql)).rows as T[]
  } finally {
    await client.end()
    await stopCluster(home)
  }
}

describe('the start command', () => {
  it('heals after an interrupted first start, keeps data over starts, backs it up and restores it', async () => {
    const home = newHome()
    // What a first start leaves behind when the power goes: half a cluster, half a mark of a process that is gone.
    mkdirSync(join(home, 'cluster.partial'))
    writeFileSync(join(home, 'cluster.partial', 'PG_VERSION'), '15')
    writeFileSync(join(home, 'running.json'), '{"pid": 99999999')
    const first = await command('demo.mjs', ['--data-only'], home)
    expect(first.said).toMatch(/Making a database cluster/)
    expect(first.said).toMatch(/\[ +\d+\.\d s\]/)
    expect(first.code).toBe(0)
    expect(existsSync(join(home, 'cluster.partial'))).toBe(false)

    const second = await command('demo.mjs', ['--data-only'], home)
    expect(second.code).toBe(0)
    expect(second.said).not.toMatch(/Making a database cluster/)
    const [before] = await ask<{ bottles: number; lines: number }>(
      home,
      'select (select count(*)::int from bottle) as bottles, (select count(*)::int from movement_line) as lines',
    )
    expect(before!.bottles).toBe(37)

    const file = join(home, 'studio.dump')
    expect((await command('backup.mjs', [file], home)).code).toBe(0)
    const twice = await command('backup.mjs', [file], home)
    expect(twice.code).toBe(1)
    expect(twice.said).toMatch('is there already. Name another file')

    await ask(home, 'delete from movement_line')
    expect((await command('restore.mjs', [join(home, 'none.dump')], home)).said).toMatch('There is no file')
    const broken = join(home, 'broken.dump')
    writeFileSync(broken, readFileSync(file).subarray(0, 2000))
    expect((await command('restore.mjs', [broken], home)).said).toMatch('cannot be restored; nothing was changed')
    const restored = await command('restore.mjs', [file], home)
    expect(restored.said).toMatch('Restored. What was there before is kept as the database fika_before_')
    const [after] = await ask<{ bottles: number; lines: number; guarded: number }>(
      home,
      `select (select count(*)::int from bottle) as bottles, (select count(*)::int from movement_line) as lines,
         (select count(*)::int from pg_class where relforcerowsecurity) as guarded`,
    )
    expect(after).toMatchObject(before!)
    expect(after!.guarded).toBeGreaterThanOrEqual(14)

    // The app runs, but its database was ended from outside: a second start brings it back where the app looks for it.
    const databasePort = await freePortFrom(54_950)
    const mark = { ...(await ourMark()), url: 'http://127.0.0.1:4310', databasePort }
    writeFileSync(join(home, 'running.json'), JSON.stringify(mark))
    expect((await command('demo.mjs', ['--data-only'], home)).code).toBe(0)
    expect(Number(readFileSync(join(home, 'cluster', 'postmaster.pid'), 'utf8').split('\n')[3])).toBe(databasePort)
    await stopCluster(home)
    rmSync(join(home, 'running.json'))

    // Starting over keeps the old data beside.
    const reset = await command('demo.mjs', ['--data-only', '--no-demo', '--reset'], home)
    expect(reset.code).toBe(0)
    expect(readdirSync(home).some((f) => f.startsWith('cluster-before-'))).toBe(true)
  }, 300_000)

  it('says who is in the way: another start, or a folder that cannot be written', async () => {
    const home = newHome()
    writeFileSync(join(home, 'running.json'), JSON.stringify({ ...(await ourMark()), url: 'http://127.0.0.1:4310' }))
    const other = await command('demo.mjs', ['--data-only'], home)
    expect(other).toMatchObject({
      code: 0,
      said: expect.stringContaining('Fika is running already: http://127.0.0.1:4310'),
    })
    expect((await command('restore.mjs', [__filename], home)).said).toMatch('Fika is running. End it with Ctrl-C first')
    // A mark whose process number another program has since been given is nobody's.
    writeFileSync(join(home, 'running.json'), JSON.stringify({ pid: process.pid, born: 'another boot 1' }))
    expect((await command('restore.mjs', [join(home, 'none.dump')], home)).said).toMatch('There is no file')
    const file = join(home, 'a-file')
    writeFileSync(file, '')
    const blocked = await command('demo.mjs', ['--data-only'], join(file, 'inside'))
    expect(blocked.code).toBe(1)
    expect(blocked.said).toMatch(/Fika cannot write to .*Set FIKA_HOME to a folder of yours/)
    expect(blocked.said).not.toMatch(/ at .*\.mjs:/)
  }, 120_000)

  it('a back-up made while it is written to is one moment of it', async () => {
    const home = newHome()
    expect((await command('demo.mjs', ['--data-only', '--no-demo'], home)).code).toBe(0)
    const { admin } = await startCluster(home)
    // As a Fika that is running says of itself.
    const running = join(home, 'running.json')
    writeFileSync(running, JSON.stringify({ ...(await ourMark()), url: 'http://127.0.0.1:4310' }))
    const client = new pg.Client({ connectionString: admin })
    await client.connect()
    await client.query('create table moment (pair int, half int)')
    let [pairs, going] = [0, true]
    const writing = (async () => {
      for (; going; pairs++) await client.query('insert into moment values ($1, 1), ($1, 2)', [pairs])
    })()
    const file = join(home, 'moving.dump')
    while (pairs < 20) await new Promise((resolve) => setTimeout(resolve, 5))
    const before = pairs
    expect((await command('backup.mjs', [file], home)).code).toBe(0)
    const after = pairs
    going = false
    await writing
    await client.end()
    await stopCluster(home)
    rmSync(running)
    expect(after).toBeGreaterThan(before)
    expect((await command('restore.mjs', [file], home)).code).toBe(0)
    const [kept] = await ask<{ pairs: number; halves: number }>(
      home,
      'select count(distinct pair)::int as pairs, count(*)::int as halves from moment',
    )
    // Every pair whole, all that were there before it began, and none from after it was done.
    expect(kept!.halves).toBe(2 * kept!.pairs)
    expect(kept!.pairs).toBeGreaterThanOrEqual(before)
    expect(kept!.pairs).toBeLessThanOrEqual(after + 1)
  }, 180_000)

  it('says what is broken in a data folder, or mends it, and shows neither a stack nor a password', async () => {
    const home = newHome()
    const start = () => command('demo.mjs', ['--data-only', '--no-demo'], home)
    const clear = (said: string) => {
      expect(said).not.toMatch(/\n\s+at /)
      expect(said).not.toMatch(/[0-9a-f]{48}/)
    }
    expect((await start()).code).toBe(0)
    const mode = (file: string) => statSync(join(home, file)).mode & 0o777
    // The server's own user passes through where we are root; nobody else does, and no file is anybody else's.
    expect([0o700, 0o710]).toContain(mode('.'))
    expect([mode('secrets.json'), mode('cluster')]).toEqual([0o600, 0o700])

    // A number that went to another program since, in both marks.
    writeFileSync(join(home, 'running.json'), JSON.stringify({ pid: 1 }))
    const pidFile = join(home, 'cluster/postmaster.pid')
    writeFileSync(pidFile, `${process.pid}\n${join(home, 'cluster')}\n1\n1\n\n\n`)
    expect((await start()).code).toBe(0)

    // Which are not whole is told in secrets.test; half a file, and none, are one to what comes after.
    writeFileSync(join(home, 'secrets.json'), '{"admin": "short"}')
    const healed = await start()
    expect(healed.said).toMatch('were lost, and new ones were made. Everybody has to sign in again.')
    expect(healed.code).toBe(0)
    clear(healed.said)
    expect(await ask<{ n: number }>(home, 'select count(*)::int as n from schema_migration')).toEqual([
      { n: readdirSync('migrations').length },
    ])

    const version = readFileSync(join(home, 'cluster/PG_VERSION'), 'utf8')
    writeFileSync(join(home, 'cluster/PG_VERSION'), '9\n')
    const older = await start()
    expect(older).toMatchObject({
      code: 1,
      said: expect.stringMatching(/made by PostgreSQL 9.*apt-get install postgresql-9/),
    })
    clear(older.said)
    rmSync(join(home, 'cluster/PG_VERSION'))
    const gone = await start()
    expect(gone).toMatchObject({ code: 1, said: expect.stringMatching(/lacks PG_VERSION. Move that folder away/) })
    clear(gone.said)
    writeFileSync(join(home, 'cluster/PG_VERSION'), version)

    const file = join(home, 'kept.dump')
    expect((await command('backup.mjs', [file], home)).code).toBe(0)
    expect(mode('kept.dump')).toBe(0o600)
    // One that cannot be made leaves nothing behind, not under another name either.
    const nowhere = await command('backup.mjs', [join(home, 'no folder', 'x.dump')], home)
    expect(nowhere).toMatchObject({ code: 1, said: expect.stringContaining('nothing is left of it') })
    clear(nowhere.said)
    expect(readdirSync(home).filter((f) => f.endsWith('.partial'))).toEqual([])
  }, 300_000)

  it('starts the app again when it ends by itself, with a growing pause, and not when it was told to', async () => {
    expect(await eventsOfKeeping()).toEqual(['started u1', 'started u2', 'started u3', 'SIGTERM', 'over'])
  }, 30_000)

  it('takes the next port when the wanted one is taken', async () => {
    const taken = createServer()
    await new Promise<void>((resolve) => taken.listen(0, '127.0.0.1', resolve))
    const { port } = taken.address() as { port: number }
    const free = await freePortFrom(port)
    taken.close()
    expect(free).toBeGreaterThan(port)
  })
})
