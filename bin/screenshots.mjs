// npm run screenshots: remakes every picture in docs/screenshots from a fresh demo studio.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { adminEnv, appEnv, runTs, startApp, startDevices } from './lib/app.mjs'
import { startCluster, stopCluster } from './lib/cluster.mjs'
import { ensureBuild, ensureModules, ensurePackages } from './lib/packages.mjs'
import { run, step } from './lib/steps.mjs'

run(async () => {
  await ensurePackages(['postgresql', 'chromium-headless-shell'])
  await ensureModules()
  const home = mkdtempSync(join(tmpdir(), 'fika-shots-'))
  const cluster = await startCluster(home, { throwAway: true })
  const env = adminEnv(cluster, { demo: true })
  let app
  let devices
  try {
    await runTs('bin/migrate.ts', env)
    await runTs('bin/seed-demo.ts', env)
    await ensureBuild()
    devices = await startDevices(7611)
    app = await startApp({ ...appEnv(cluster, { demo: true }), ...devices.env }, 4610, { quiet: true })
    await step('Taking pictures', () =>
      runTs('bin/take-screenshots.ts', { ...env, ...devices.env, FIKA_URL: app.url }, process.argv.slice(2)),
    )
  } finally {
    app?.child.kill('SIGTERM')
    devices?.stop()
    await app?.ended
    await stopCluster(cluster)
    rmSync(home, { recursive: true, force: true })
  }
})
