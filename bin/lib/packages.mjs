import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { isRoot, must, root, sh } from './shell.mjs'
import { say, step, Stop, stubborn } from './steps.mjs'

/** Program folder of a PostgreSQL server: of one version, or of the newest there is; undefined where there is none. */
export function postgresBin(version) {
  const base = '/usr/lib/postgresql'
  const versions = existsSync(base) ? readdirSync(base).filter((v) => existsSync(join(base, v, 'bin/initdb'))) : []
  const found = version ? versions.find((v) => v === version) : versions.sort((a, b) => Number(b) - Number(a))[0]
  return found && join(base, found, 'bin')
}

const PACKAGES = [
  { name: 'postgresql', present: () => postgresBin() !== undefined },
  { name: 'openssl', present: () => existsSync('/usr/bin/openssl') },
  { name: 'pgbouncer', present: () => existsSync('/usr/sbin/pgbouncer') },
  { name: 'haproxy', present: () => existsSync('/usr/sbin/haproxy') },
  // The whole of Chromium serves as well, where it is there already.
  {
    name: 'chromium-headless-shell',
    present: () => ['chromium-headless-shell', 'chromium'].some((program) => existsSync(`/usr/bin/${program}`)),
  },
]

/** Installs the Debian packages that are missing, or says which to install when we may not. */
export async function ensurePackages(names) {
  const missing = PACKAGES.filter((p) => names.includes(p.name) && !p.present()).map((p) => p.name)
  if (missing.length === 0) return
  const command = `apt-get install ${missing.join(' ')}`
  if (!isRoot()) throw new Stop(`Debian packages are missing. Run "sudo ${command}", then start again.`)
  await step(`Installing ${missing.join(', ')} from Debian`, async () => {
    const env = { DEBIAN_FRONTEND: 'noninteractive' }
    await sh('apt-get', ['update', '-qq'], { env })
    const result = await sh('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], { env })
    if (result.code !== 0)
      throw new Stop(`"${command}" did not work: ${result.err.trim().split('\n').at(-1)}. Mend that, then start again.`)
  })
}

/** `npm ci` when the installed modules are not those of the lock file. */
export async function ensureModules() {
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex')
  const mark = join(root, 'node_modules/.fika-lock')
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock) return
  await step('Installing modules (npm ci)', () =>
    stubborn(async () => {
      const result = await sh('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'])
      if (result.code !== 0) {
        // What a killed one left behind is no use to the next.
        rmSync(join(root, 'node_modules'), { recursive: true, force: true, maxRetries: 20, retryDelay: 500 })
        throw new Stop(
          `npm ci did not work:\n${result.err.trim().split('\n').slice(-5).join('\n')}\nMend that, then start again.`,
        )
      }
      writeFileSync(mark, lock)
    }),
  )
}

const SOURCES = ['src', 'public', 'package-lock.json', 'next.config.ts', 'tsconfig.json']

function digest(hash, path) {
  const entries = existsSync(join(root, path)) ? readdirSync(join(root, path), { withFileTypes: true }) : []
  for (const e of entries.sort((a, b) => (a.name < b.name ? -1 : 1))) {
    const inner = join(path, e.name)
    if (e.isDirectory()) digest(hash, inner)
    else if (!/\.test\.tsx?$/.test(e.name)) hash.update(inner).update(readFileSync(join(root, inner)))
  }
}

/** A production build when the sources have changed since the last one that finished. */
export async function ensureBuild() {
  const hash = createHash('sha256')
  for (const s of SOURCES) {
    if (/\.\w+$/.test(s)) hash.update(readFileSync(join(root, s)))
    else digest(hash, s)
  }
  const wanted = hash.digest('hex')
  const mark = join(root, '.next/fika-build')
  if (existsSync(mark) && readFileSync(mark, 'utf8') === wanted) return say('Build is up to date')
  await step('Building', async () => {
    await stubborn(() =>
      must('npx', ['next', 'build'], { env: { NEXT_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' } }),
    )
    writeFileSync(mark, wanted)
  })
}
