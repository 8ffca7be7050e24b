// npm run restore -- studio.dump: puts a backup in place (pg_restore into a new database, then the two change names).
// What was there before is kept as a database of its own.
import { existsSync } from 'node:fs'
import { resolve } from 'node:path'
import { DATABASE, defaultHome, startCluster, stopCluster } from './lib/cluster.mjs'
import { ensurePackages } from './lib/packages.mjs'
import { isRunningAt } from './lib/lock.mjs'
import { restoreInto } from './lib/backups.mjs'
import { psql } from './lib/postgres.mjs'
import { run, say, step, Stop } from './lib/steps.mjs'

run(async () => {
  const name = process.argv[2]
  if (!name) throw new Stop('Name the backup to restore: npm run restore -- studio.dump')
  const file = resolve(process.env.INIT_CWD ?? '.', name)
  if (!existsSync(file)) throw new Stop(`There is no file ${file}. Check the name.`)
  const home = defaultHome()
  if (isRunningAt(home)) throw new Stop('Fika is running. End it with Ctrl-C first, then restore.')
  await ensurePackages(['postgresql'])
  const cluster = await startCluster(home)
  const fresh = `${DATABASE}_restored`
  const kept = `${DATABASE}_before_${new Date().toISOString().replace(/\D/g, '').slice(0, 14)}`
  const admin = cluster.as('admin', 'postgres')
  try {
    await step(`pg_restore from ${file}`, async () => {
      try {
        await restoreInto(cluster, fresh, file)
        await psql(cluster.as('owner', fresh), 'analyze')
      } catch (error) {
        await psql(admin, `drop database if exists ${fresh}`)
        throw new Stop(`${file} cannot be restored; nothing was changed.\n${error.message}`)
      }
    })
    // Both names change or neither: in between there would be no studio.
    await psql(
      admin,
      `begin; alter database ${DATABASE} rename to ${kept}; alter database ${fresh} rename to ${DATABASE}; commit`,
    )
  } finally {
    await stopCluster(cluster)
  }
  say(`Restored. What was there before is kept as the database ${kept}.`)
})
