// npm run scale-out: two copies of Fika behind one balancer, on one PostgreSQL behind PgBouncer, with a hot standby; all
// on loopback and thrown away afterwards. Writes come in through the balancer while a copy is killed, then the database,
// and the standby takes over: nothing that was acknowledged may be lost, nothing counted twice.
//   -- --rate 40 --seconds 15
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { tsImport } from 'tsx/esm/api'
import { adminEnv, appEnv, runTs, startApp } from './lib/app.mjs'
import { startBalancer } from './lib/balancer.mjs'
import { startCluster, stopCluster } from './lib/cluster.mjs'
import { ensureBuild, ensureModules, ensurePackages } from './lib/packages.mjs'
import { freePort } from './lib/ports.mjs'
import { client, server } from './lib/postgres.mjs'
import { startPooler, startStandby, until } from './lib/replica.mjs'
import { isRoot, must } from './lib/shell.mjs'
import { run, say } from './lib/steps.mjs'

const args = process.argv.slice(2)
const numberAfter = (name, usual) => (args.includes(name) ? Number(args[args.indexOf(name) + 1]) : usual)
const rate = numberAfter('--rate', 40)
const seconds = numberAfter('--seconds', 15)

run(async () => {
  await ensurePackages(['postgresql', 'pgbouncer', 'haproxy'])
  await ensureModules()
  await ensureBuild()
  const home = mkdtempSync(join(tmpdir(), 'fika-scale-out-'))
  const stops = []
  const stopAll = async () => {
    for (const stop of stops.splice(0).reverse()) await stop()
    rmSync(home, { recursive: true, force: true })
  }
  try {
    const primary = await startCluster(home)
    if (isRoot()) await must('chmod', ['0711', home])
    stops.push(() => stopCluster(primary))
    await runTs('bin/migrate.ts', adminEnv(primary))
    if (isRoot()) {
      // The standby's folder is made by the server's own user.
      await must('install', ['-d', '-o', 'postgres', '-m', '0700', join(home, 'standby')])
    }
    const standby = await startStandby(primary, home)
    stops.push(() => standby.stop())
    const pooler = await startPooler(primary, home)
    stops.push(() => pooler.stop())
    const port = await freePort(4900)
    const env = {
      ...appEnv(primary),
      FIKA_DATABASE: pooler.fika,
      FIKA_NEWS_DATABASE: pooler.news,
      FIKA_POOLED: '1',
      FIKA_ORIGIN: `http://127.0.0.1:${port}`,
      FIKA_PROXIES: '127.0.0.1',
    }
    const first = await startApp(env, 4910, { quiet: true })
    stops.push(async () => first.child.kill('SIGTERM'))
    const second = await startApp(env, first.port + 1, { quiet: true })
    stops.push(async () => second.child.kill('SIGTERM'))
    const balancer = startBalancer(home, port, [first.port, second.port])
    stops.push(() => balancer.stop())
    say(
      `Two copies (${first.port}, ${second.port}) behind ${balancer.url}, PgBouncer on ${pooler.port}, standby on ${standby.port}`,
    )

    Object.assign(process.env, env, { FIKA_URL: balancer.url })
    const { drill } = await tsImport('../benchmarks/scaleOut.ts', import.meta.url)
    const whole = await drill({
      url: balancer.url,
      copies: [first.url, second.url],
      rate,
      seconds,
      async killCopy() {
        first.child.kill('SIGKILL')
        await first.ended
      },
      async killPrimary() {
        await server('pg_ctl', ['stop', '-m', 'immediate', '-D', primary.data])
        const from = performance.now()
        await standby.promote()
        await pooler.leadTo(standby)
        await until(
          'the standby',
          async () =>
            (await client('psql', standby.as('admin'), ['-Atc', 'select pg_is_in_recovery()'])).trim() === 'f',
        )
        return performance.now() - from
      },
    })
    return whole ? 0 : 1
  } finally {
    await stopAll()
  }
})
