// node bin/demo-pictures.mjs: pours and tilts every piece of the demo, and draws it wet and dry into demo/pictures.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { adminEnv, runTs } from './lib/app.mjs'
import { startCluster, stopCluster } from './lib/cluster.mjs'
import { ensureModules, ensurePackages } from './lib/packages.mjs'
import { run } from './lib/steps.mjs'

run(async () => {
  await ensurePackages(['postgresql'])
  await ensureModules()
  const home = mkdtempSync(join(tmpdir(), 'fika-pictures-'))
  const cluster = await startCluster(home, { throwAway: true })
  const env = { ...adminEnv(cluster), FIKA_DEMO: '1' }
  try {
    await runTs('bin/migrate.ts', env)
    await runTs('bin/seed-demo.ts', env)
    await runTs('demo/paint.ts', env)
  } finally {
    await stopCluster(cluster)
    rmSync(home, { recursive: true, force: true })
  }
})
