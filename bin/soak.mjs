// npm run soak: many devices and many writes at once against a running Fika, on a throw-away cluster.
//   -- --listeners 200 --rate 50 --seconds 120
//   -- --kill --operations 100000    crash drill instead: app, backend, postmaster and launcher are killed meanwhile
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { adminEnv, appEnv, runTs, startApp } from './lib/app.mjs'
import { startCluster, stopCluster } from './lib/cluster.mjs'
import { ensureBuild, ensureModules, ensurePackages } from './lib/packages.mjs'
import { root, sh } from './lib/shell.mjs'
import { run } from './lib/steps.mjs'

const ts = (file, env) =>
  sh(process.execPath, ['--import', 'tsx', join(root, file), ...process.argv.slice(2)], { show: true, env })

run(async () => {
  await ensurePackages(['postgresql'])
  await ensureModules()
  await ensureBuild()
  const home = mkdtempSync(join(tmpdir(), 'fika-soak-'))
  try {
    if (process.argv.includes('--kill')) return (await ts('benchmarks/drill.ts', { FIKA_HOME: home })).code
    const cluster = await startCluster(home)
    let app
    try {
      await runTs('bin/migrate.ts', adminEnv(cluster))
      app = await startApp(appEnv(cluster), 4810, { quiet: true })
      const env = { ...adminEnv(cluster), FIKA_URL: app.url, FIKA_APP_PID: String(app.child.pid) }
      return (await ts('benchmarks/soak.ts', env)).code
    } finally {
      app?.child.kill('SIGTERM')
      await app?.ended
      await stopCluster(cluster)
    }
  } finally {
    rmSync(home, { recursive: true, force: true })
  }
})
