// npm run demo: from a fresh clone to a running studio. npm start is the same without the demo studio.
//   -- --reset      start over (the old data is kept beside, under another name)
//   -- --port 4310  the port to try first
//   -- --lan        speak TLS to the house network as well, and print the address and its QR code
//   FIKA_BACKUPS    where back-ups go, such as a folder on another disk; <data>/backups where nothing is said
//   -- --data-only  prepare the data, neither build nor start
import { existsSync, renameSync } from 'node:fs'
import { join } from 'node:path'
import { keepBackups } from './lib/backups.mjs'
import { appEnv, keepRunning, ownerEnv, runTs, startApp, startDevices } from './lib/app.mjs'
import { analyze, defaultHome, startCluster, stopCluster } from './lib/cluster.mjs'
import { takeLock, tellAddress } from './lib/lock.mjs'
import { askedForLan } from './lib/lan.mjs'
import { ensureBuild, ensureModules, ensurePackages } from './lib/packages.mjs'
import { isMachine, run, say, step, Stop, stubborn, whenToldToEnd } from './lib/steps.mjs'

run(async () => {
  const args = process.argv.slice(2)
  const demo = !args.includes('--no-demo')
  const wantedPort = Number(args[args.indexOf('--port') + 1]) || 4310
  const home = defaultHome()

  await ensurePackages(args.includes('--lan') ? ['postgresql', 'openssl'] : ['postgresql'])
  let other
  try {
    other = takeLock(home)
  } catch (error) {
    if (isMachine(error)) throw error
    throw new Stop(
      `Fika cannot write to ${home} (${error.code}). Set FIKA_HOME to a folder of yours, then start again.`,
    )
  }
  if (other) {
    if (!other.url)
      throw new Stop(`Fika is being started already by process ${other.pid}. Wait for it, or end it first.`)
    // Its database may have been ended from outside; the app finds it again on the port it knows.
    if (other.databasePort) {
      const { port } = await startCluster(home, { wantedPort: other.databasePort })
      if (port !== other.databasePort)
        throw new Stop(
          `Another program took the database's port ${other.databasePort}. End Fika (process ${other.pid}), then start again.`,
        )
    }
    say(`Fika is running already: ${other.url}`)
    return 0
  }
  if (args.includes('--reset') && existsSync(join(home, 'cluster'))) {
    const old = { home, data: join(home, 'cluster') }
    await stopCluster(old)
    const kept = join(home, `cluster-before-${new Date().toISOString().replace(/[:.]/g, '-')}`)
    renameSync(old.data, kept)
    say(`Starting over. The old data is kept in ${kept}`)
  }
  // The database needs nothing installed but itself, so it is made while the modules are.
  const [started, modules] = await Promise.allSettled([startCluster(home), ensureModules()])
  if (started.status === 'rejected') throw started.reason
  const cluster = started.value
  if (modules.status === 'rejected') {
    await stopCluster(cluster)
    throw modules.reason
  }
  const env = appEnv(cluster, { demo })
  const preparing = ownerEnv(cluster, { demo })
  try {
    // Neither needs the other, and the build leaves a core free most of the time.
    const building = args.includes('--data-only') ? undefined : ensureBuild()
    const prepared = (async () => {
      await step('Bringing the database up to date', () => stubborn(() => runTs('bin/migrate.ts', preparing)))
      if (demo)
        await step('Looking for the demo studio, or making it', () => stubborn(() => runTs('bin/seed-demo.ts', env)))
      await analyze(cluster)
    })()
    // Both are waited for, so that nothing runs on where one of them fails.
    const failed = (await Promise.allSettled([building, prepared])).find((r) => r.status === 'rejected')
    if (failed) throw failed.reason
    if (!building) {
      await stopCluster(cluster)
      return 0
    }
  } catch (error) {
    await stopCluster(cluster)
    throw error
  }
  // The demo has no device on the table; a studio of its own names them by FIKA_READER and FIKA_SCALE.
  const devices = demo ? await startDevices(7411) : { env: {}, stop: () => undefined }
  const log = join(home, 'fika.log')
  const lan = args.includes('--lan') ? await askedForLan(home) : undefined
  const app = await step('Starting Fika', () =>
    keepRunning(
      (port) => startApp({ ...env, ...devices.env, ...lan?.env }, port, { log, lanPort: lan?.port }),
      wantedPort,
      ({ url, child }) => tellAddress(home, { url, app: child.pid, databasePort: cluster.port }),
    ),
  ).catch(async (error) => {
    devices.stop()
    await stopCluster(cluster)
    throw error
  })
  if (app.first.port !== wantedPort) say(`Port ${wantedPort} is taken; using ${app.first.port}`)
  say(`Ready: ${app.first.url}`)
  lan?.tell()
  say(`Data: ${home}. What happens is written to ${log}. End with Ctrl-C.`)
  const endBackups = keepBackups(cluster, process.env.FIKA_BACKUPS ?? join(home, 'backups'))
  whenToldToEnd(() => {
    say('Stopping')
    app.end()
  })
  await app.ended
  await endBackups()
  devices.stop()
  await stopCluster(cluster)
  return 0
})
