// npm run backup -- studio.dump: everything Fika keeps, in one file (pg_dump, custom format). Fika may be running.
import { existsSync, renameSync, rmSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { defaultHome, startCluster, stopCluster } from './lib/cluster.mjs'
import { isRunningAt } from './lib/lock.mjs'
import { client } from './lib/postgres.mjs'
import { run, say, step, Stop } from './lib/steps.mjs'

run(async () => {
  const name = process.argv[2]
  if (!name) throw new Stop('Name the file to write: npm run backup -- studio.dump')
  const file = resolve(process.env.INIT_CWD ?? '.', name)
  if (existsSync(file)) throw new Stop(`${file} is there already. Name another file, so that no backup is overwritten.`)
  const partial = `${file}.partial`
  const home = defaultHome()
  if (!existsSync(join(home, 'cluster')))
    throw new Stop(`There is no data in ${home} to back up. Start Fika once, or set FIKA_HOME.`)
  const running = isRunningAt(home)
  const cluster = await startCluster(home)
  try {
    // For its owner's eyes, and under its name only when it is whole.
    process.umask(0o077)
    await step(`pg_dump to ${file}`, () => client('pg_dump', cluster.as('admin'), ['-Fc', '-f', partial]))
    renameSync(partial, file)
  } catch (error) {
    rmSync(partial, { force: true })
    throw new Stop(`The backup could not be made; nothing is left of it.\n${error.message}`)
  } finally {
    if (!running) await stopCluster(cluster)
  }
  say('Backed up')
})
