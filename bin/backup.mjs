// npm run backup -- studio.dump: everything Fika keeps, in one file (pg_dump, custom format). Fika may be running.
import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { defaultHome, startCluster, stopCluster } from './lib/cluster.mjs'
import { postgresBin } from './lib/packages.mjs'
import { isRunningAt } from './lib/lock.mjs'
import { must } from './lib/shell.mjs'
import { run, say, step, Stop } from './lib/steps.mjs'

run(async () => {
  const name = process.argv[2]
  if (!name) throw new Stop('Name the file to write: npm run backup -- studio.dump')
  const file = resolve(process.env.INIT_CWD ?? '.', name)
  if (existsSync(file)) throw new Stop(`${file} is there already. Name another file, so that no backup is overwritten.`)
  const home = defaultHome()
  if (!existsSync(join(home, 'cluster')))
    throw new Stop(`There is no data in ${home} to back up. Start Fika once, or set FIKA_HOME.`)
  const running = isRunningAt(home)
  const cluster = await startCluster(home)
  try {
    await step(`pg_dump to ${file}`, () =>
      must(join(postgresBin(), 'pg_dump'), ['-Fc', '-f', file, '-d', cluster.admin]),
    )
  } finally {
    if (!running) await stopCluster(cluster)
  }
  say('Backed up')
})
