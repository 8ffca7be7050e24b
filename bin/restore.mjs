// npm run restore -- studio.dump: puts a backup in place (pg_restore into a new database, then the two change names).
// What was there before is kept as a database of its own.
import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { DATABASE, defaultHome, startCluster, stopCluster } from './lib/cluster.mjs'
import { ensurePackages, postgresBin } from './lib/packages.mjs'
import { isRunningAt } from './lib/lock.mjs'
import { must } from './lib/shell.mjs'
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
  const psql = (database, sql) =>
    must(join(postgresBin(), 'psql'), ['-X', '-q', '-v', 'ON_ERROR_STOP=1', '-d', cluster.addressOf(database)], {
      input: sql,
    })
  const fresh = `${DATABASE}_restored`
  const kept = `${DATABASE}_before_${new Date().toISOString().replace(/\D/g, '').slice(0, 14)}`
  try {
    await step(`pg_restore from ${file}`, async () => {
      await psql('postgres', `drop database if exists ${fresh}; `)
      await psql('postgres', `create database ${fresh} owner fika_owner`)
      try {
        await must(join(postgresBin(), 'pg_restore'), ['--exit-on-error', '-d', cluster.addressOf(fresh), file])
      } catch (error) {
        await psql('postgres', `drop database ${fresh}`)
        throw new Stop(`${file} cannot be restored; nothing was changed.\n${error.message}`)
      }
    })
    await psql('postgres', `alter database ${DATABASE} rename to ${kept}`)
    await psql('postgres', `alter database ${fresh} rename to ${DATABASE}`)
  } finally {
    await stopCluster(cluster)
  }
  say(`Restored. What was there before is kept as the database ${kept}.`)
})
