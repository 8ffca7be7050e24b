// npm test: the same preparation as a start, then types, lint and dependency rules, unit and SQL tests, and the real
// interface in a browser, all against a throw-away cluster. Ends with one line: N passed, N failed.
//   -- jest | -- e2e | -- checks    only that part; what follows narrows it (-- jest drawer)
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { adminEnv, appEnv, runTs, startApp } from './lib/app.mjs'
import { startCluster, stopCluster } from './lib/cluster.mjs'
import { freePort } from './lib/ports.mjs'
import { ensureBuild, ensureModules, ensurePackages } from './lib/packages.mjs'
import { root, sh } from './lib/shell.mjs'
import { run, say, step } from './lib/steps.mjs'

const reports = join(root, 'reports')
const [only, ...rest] = process.argv.slice(2)
/** All that is drawn by chance, every rule of the linter, and the format as well: as a clean checkout is checked. */
const thorough = process.env.FIKA_THOROUGH === '1'
const sum = { passed: 0, failed: 0, skipped: 0 }

const read = (name) => JSON.parse(readFileSync(join(reports, name), 'utf8'))

async function check(what, command, args) {
  const env = thorough ? {} : { FIKA_LINT: 'quick' }
  const { code, out, err } = await step(what, () => sh(command, args, { env }))
  if (code === 0) sum.passed += 1
  else {
    sum.failed += 1
    console.error(`${out}${err}`.trim().split('\n').slice(-60).join('\n'))
  }
}

async function jest(env) {
  const file = join(reports, 'jest.json')
  const { code } = await step('Unit and SQL tests', () =>
    sh('npx', ['jest', '--json', `--outputFile=${file}`, '--silent=false', ...rest], {
      show: true,
      env: { ...env, NODE_ENV: 'test' },
    }),
  )
  if (!existsSync(file)) sum.failed += 1
  else {
    const report = read('jest.json')
    sum.passed += report.numPassedTests
    sum.failed += report.numFailedTests + report.numRuntimeErrorTestSuites
    sum.skipped += report.numPendingTests
    if (code !== 0 && report.numFailedTests + report.numRuntimeErrorTestSuites === 0) sum.failed += 1
  }
}

/** What the page showed when a test of it failed: often enough to see why, where nobody can look at the machine. */
function sayPages() {
  const results = join(root, 'test-results')
  for (const of of existsSync(results) ? readdirSync(results) : []) {
    const file = join(results, of, 'error-context.md')
    if (!existsSync(file)) continue
    const [, shown] = readFileSync(file, 'utf8').split('# Page snapshot')
    if (shown)
      console.log(`the page of ${of} showed:${shown.split('# Test source')[0].split('\n').slice(0, 90).join('\n')}`)
  }
}

async function playwright(cluster) {
  // The tests plug stand-in devices in and out here themselves.
  const reader = await freePort(7511)
  const deviceEnv = { FIKA_READER: `127.0.0.1:${reader}`, FIKA_SCALE: `127.0.0.1:${await freePort(reader + 1)}` }
  // Every test makes a studio of its own, and all from one place.
  const doors = { FIKA_SIGN_UPS: '2000' }
  const demo = await startApp({ ...appEnv(cluster, { demo: true }), ...deviceEnv, ...doors }, 4510)
  const plain = await startApp({ ...appEnv(cluster), ...doors }, demo.port + 1)
  const file = join(reports, 'playwright.json')
  const { code } = await step('The real interface', () =>
    sh('npx', ['playwright', 'test', ...rest], {
      show: true,
      env: { ...adminEnv(cluster), ...deviceEnv, FIKA_URL: demo.url, FIKA_PLAIN_URL: plain.url, NODE_ENV: 'test' },
    }),
  )
  demo.child.kill('SIGTERM')
  plain.child.kill('SIGTERM')
  await Promise.all([demo.ended, plain.ended])
  sayPages()
  if (!existsSync(file)) sum.failed += 1
  else {
    const { stats, errors } = read('playwright.json')
    sum.passed += stats.expected + stats.flaky
    if (stats.flaky) say(`${stats.flaky} in the browser passed only when tried again: see “flaky” above, and look why`)
    sum.failed += stats.unexpected + errors.length
    sum.skipped += stats.skipped
    if (code !== 0 && stats.unexpected + errors.length === 0) sum.failed += 1
  }
}

/** Asks the registry for known holes in what the app runs on; where it cannot be asked, that is said and not counted. */
async function audit() {
  const { code, out, err } = await sh('npm', ['audit', '--package-lock-only', '--omit=dev', '--audit-level=high'])
  if (code !== 0 && /audit endpoint returned an error|ENOTFOUND|ECONNREFUSED/.test(out + err))
    return say('Known holes in packages: the registry could not be asked')
  if (code === 0) sum.passed += 1
  else {
    sum.failed += 1
    say(`Known holes in packages\n${out}`)
  }
}

run(async () => {
  const wants = (part) => !only || only === part
  await ensurePackages(['postgresql', 'chromium-headless-shell'])
  await ensureModules()
  rmSync(reports, { recursive: true, force: true })
  mkdirSync(reports)
  const home = mkdtempSync(join(tmpdir(), 'fika-test-'))
  let cluster
  const prepare = async () => {
    cluster = await startCluster(home, { throwAway: true })
    await step('Bringing the test database up to date', () => runTs('bin/migrate.ts', adminEnv(cluster)))
  }
  // Two at a time, the longest first: a checkout is linted while everything else is looked at and built.
  const { default: pLimit } = await import('p-limit')
  const limit = pLimit(2)
  const jobs = []
  try {
    let types
    if (wants('checks')) {
      // Route types are written by Next; tsc needs them.
      await step('Route types', () => sh('npx', ['next', 'typegen'], { env: { NEXT_TELEMETRY_DISABLED: '1' } }))
      const checked = (what, ...args) => limit(() => check(what, 'npx', args))
      jobs.push(checked('Lint', 'eslint', '.', '--max-warnings=0'), (types = checked('Types', 'tsc', '--noEmit')))
      if (thorough) jobs.push(checked('Format', 'prettier', '--check', '--log-level', 'warn', '.'))
      jobs.push(
        checked('Dependency rules', 'depcruise', 'src', '--config', '.dependency-cruiser.cjs'),
        checked('Unused files, exports and packages', 'knip'),
        checked('What only tests use', 'knip', '-c', 'knip.users.json', '--include', 'exports'),
        limit(audit),
      )
    }
    if (wants('jest') || wants('e2e')) jobs.push(limit(prepare))
    // A build begins by throwing away what the last one left, the route types too.
    if (wants('e2e'))
      jobs.push(
        limit(async () => {
          await types
          await ensureBuild()
        }),
      )
    const broken = (await Promise.allSettled(jobs)).find((job) => job.status === 'rejected')
    if (broken) throw broken.reason
    if (wants('jest')) await jest(adminEnv(cluster))
    if (wants('e2e')) {
      await step('Making the demo studio', () => runTs('bin/seed-demo.ts', adminEnv(cluster)))
      await playwright(cluster)
    }
  } finally {
    if (cluster) await stopCluster(cluster)
    rmSync(home, { recursive: true, force: true })
  }
  if (sum.passed + sum.failed === 0) {
    say('nothing ran')
    return 1
  }
  console.log(`${sum.passed} passed, ${sum.failed} failed${sum.skipped ? `, ${sum.skipped} skipped` : ''}`)
  return sum.failed ? 1 : 0
})
