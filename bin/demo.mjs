// npm run demo: from a fresh clone to a running studio. npm start is the same without the demo studio.
//   -- --reset      start over (the old data is kept beside, under another name)
//   -- --port 4310  the port to try first
//   -- --data-only  prepare the data, neither build nor start
import { existsSync, renameSync } from 'node:fs'
import { join } from 'node:path'
import { appEnv, runTs, startApp, startDevices } from './lib/app.mjs'
import { defaultHome, startCluster, stopCluster } from './lib/cluster.mjs'
import { takeLock, tellAddress } from './lib/lock.mjs'
import { ensureBuild, ensureModules, ensurePackages } from './lib/packages.mjs'
import { run, say, step, Stop } from './lib/steps.mjs'

run(async () => {
  const args = process.argv.slice(2)
  const demo = !args.includes('--no-demo')
  const wantedPort = Number(args[args.indexOf('--port') + 1]) || 4310
  const home = defaultHome()

  await ensurePackages(['postgresql'])
  let other
  try {
    other = takeLock(home)
  } catch (error) {
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
  const stop = async (app) => {
    app?.child.kill('SIGTERM')
    await app?.ended
    await stopCluster(cluster)
  }
  try {
    // Neither needs the other, and the build leaves a core free most of the time.
    const building = args.includes('--data-only') ? undefined : ensureBuild()
    const preparing = (async () => {
      await step('Bringing the database up to date', () => runTs('bin/migrate.ts', env))
      if (demo) await step('Looking for the demo studio, or making it', () => runTs('bin/seed-demo.ts', env))
    })()
    // Both are waited for, so that nothing runs on where one of them fails.
    const failed = (await Promise.allSettled([building, preparing])).find((r) => r.status === 'rejected')
    if (failed) throw failed.reason
    if (!building) {
      await stop()
      return 0
    }
  } catch (error) {
    await stop()
    throw error
  }
  // The demo has no device on the table; a studio of its own names them by FIKA_READER and FIKA_SCALE.
  const devices = demo ? await startDevices(7411) : { env: {}, stop: () => undefined }
  const app = await step('Starting Fika', () => startApp({ ...env, ...devices.env }, wantedPort)).catch((error) => {
    devices.stop()
    throw error
  })
  if (app.port !== wantedPort) say(`Port ${wantedPort} is taken; using ${app.port}`)
  tellAddress(home, { url: app.url, app: app.child.pid, databasePort: cluster.port })
  say(`Ready: ${app.url}`)
  say(`Data: ${home}. End with Ctrl-C.`)
  let ending = false
  const end = () => {
    if (ending) return
    ending = true
    say('Stopping')
    app.child.kill('SIGTERM')
  }
  process.on('SIGINT', end)
  process.on('SIGTERM', end)
  process.on('SIGHUP', end)
  const code = await app.ended
  devices.stop()
  await stopCluster(cluster)
  return ending ? 0 : (code ?? 1)
})
