import { spawnSync } from 'node:child_process'
import { chmodSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { command } from '../support/command'
import { startCluster, stopCluster } from '../support/cluster'
import { troubleOf } from '@/db/base/trouble'

const mounts: string[] = []
/** A disk of its own and of a size, in memory; only root may make one. */
function disk(size: string): string | undefined {
  const at = mkdtempSync(join(tmpdir(), 'fika-disk-'))
  if (spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${size},mode=755`, 'tmpfs', at]).status !== 0) return undefined
  mounts.push(at)
  return at
}
const resize = (at: string, size: string) => spawnSync('mount', ['-o', `remount,size=${size}`, at])
afterAll(() => {
  for (const at of mounts) spawnSync('umount', [at])
})
const probe = disk('1m')
const ifRoot = probe ? it : it.skip

describe('a full disk', () => {
  ifRoot(
    'at the first start is said in one sentence, and with room made the same start goes through',
    async () => {
      const at = disk('24m')!
      const home = join(at, 'home')
      const start = () => command('demo.mjs', ['--data-only', '--no-demo'], home)
      const first = await start()
      expect(first.code).not.toBe(0)
      expect(first.said).toMatch(/disk is full/)
      expect(first.said).not.toMatch(/\n\s+at .*\.mjs:/)
      resize(at, '400m')
      expect((await start()).code).toBe(0)
    },
    180_000,
  )
  ifRoot(
    'while it runs refuses what cannot be kept, loses nothing, and goes on by itself',
    async () => {
      const at = disk('160m')!
      const home = join(at, 'home')
      mkdirSync(home)
      chmodSync(home, 0o777)
      const { admin } = await startCluster(home)
      const client = async () => {
        const c = new pg.Client({ connectionString: admin })
        c.on('error', () => undefined)
        await c.connect()
        return c
      }
      let db = await client()
      await db.query('create table kept (n int, filler text)')
      for (let n = 0; n < 20; n++) await db.query('insert into kept values ($1, $2)', [n, 'x'])
      // The rest of the disk is taken, but for a little that the log of the database needs to say so.
      const taken = join(at, 'taken')
      const chunk = Buffer.alloc(1 << 20)
      let left = 200
      try {
        for (; left > 0; left--) writeFileSync(taken, chunk, { flag: 'a' })
      } catch {
        // It is full.
      }
      let refused: unknown
      let written = 20
      try {
        for (; written < 400; written++)
          await db.query('insert into kept values ($1, $2)', [written, 'x'.repeat(200_000)])
      } catch (error) {
        refused = error
      }
      expect(troubleOf(refused)?.message).toMatch(/nothing was changed/)
      rmSync(taken)
      await db.end().catch(() => undefined)
      for (let tries = 0; ; tries++) {
        try {
          db = await client()
          await db.query("insert into kept values (1000, 'after')")
          break
        } catch (error) {
          if (tries > 60) throw error
          await new Promise((resolve) => setTimeout(resolve, 500))
        }
      }
      const { rows } = await db.query<{ n: number }>('select count(*)::int as n from kept where n < 1000')
      expect(rows[0]!.n).toBe(written)
      await db.end()
      await stopCluster(home)
    },
    180_000,
  )
})
