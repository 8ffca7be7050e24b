// npm run bench: our hot paths against reference libraries and bare SQL in the same run, printed as ratios.
//   -- --json          one line of JSON a figure
//   -- catalogue …     only these groups (colour, ledger, rack, catalogue, photo, wall, match, news, plan, tilt, day, learning)
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { adminEnv, appEnv, runTs, startApp } from './lib/app.mjs'
import { startCluster, stopCluster } from './lib/cluster.mjs'
import { ensureBuild, ensureModules, ensurePackages } from './lib/packages.mjs'
import { freePort } from './lib/ports.mjs'
import { root, sh } from './lib/shell.mjs'
import { run, quiet } from './lib/steps.mjs'

run(async () => {
  const json = process.argv.includes('--json')
  if (json) quiet()
  await ensurePackages(['postgresql', 'chromium-headless-shell'])
  await ensureModules()
  const home = mkdtempSync(join(tmpdir(), 'fika-bench-'))
  const cluster = await startCluster(home)
  const base = adminEnv(cluster)
  let app
  try {
    await runTs('bin/migrate.ts', base)
    await ensureBuild()
    // The scale of the run is plugged in by the run itself.
    const scale = { FIKA_SCALE: `127.0.0.1:${await freePort(7711)}` }
    const env = { ...base, ...scale }
    app = await startApp({ ...appEnv(cluster), ...scale }, 4710, { quiet: true })
    const { code } = await sh(
      process.execPath,
      ['--import', 'tsx', join(root, 'benchmarks/run.ts'), ...process.argv.slice(2)],
      {
        show: true,
        env: { ...env, FIKA_URL: app.url },
      },
    )
    return code
  } finally {
    app?.child.kill('SIGTERM')
    await app?.ended
    await stopCluster(cluster)
    rmSync(home, { recursive: true, force: true })
  }
})
