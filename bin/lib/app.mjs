import { spawn } from 'node:child_process'
import { closeSync, openSync } from 'node:fs'
import { join } from 'node:path'
import { must, root } from './shell.mjs'
import { freePort } from './ports.mjs'
import { say, Stop } from './steps.mjs'
import { appUser } from './user.mjs'

/** Environment of the app for a running cluster: how it gets in as what it is, and no other way. */
export const appEnv = (cluster, { demo = false } = {}) => ({
  FIKA_DATABASE: cluster.app,
  FIKA_COOKIE_SECRET: cluster.cookieSecret,
  FIKA_DEMO: demo ? '1' : '',
  NEXT_TELEMETRY_DISABLED: '1',
  NODE_ENV: 'production',
})

/** Environment of what prepares the database: migrations need its owner. */
export const ownerEnv = (cluster, options) => ({ ...appEnv(cluster, options), FIKA_OWNER_DATABASE: cluster.owner })

/** Environment of what looks behind it all: tests and comparisons. */
export const adminEnv = (cluster, options) => ({ ...ownerEnv(cluster, options), FIKA_ADMIN_DATABASE: cluster.admin })

/** What of our own environment the app gets besides: where programs and the clock are, and what the owner configured. */
const HANDED_ON = /^(PATH|TZ|LANG|LC_\w+|TMPDIR|NODE_EXTRA_CA_CERTS|FIKA_(ORIGIN|PROXIES|SIGN_UPS|READER|SCALE))$/
const handedOn = () => Object.fromEntries(Object.entries(process.env).filter(([name]) => HANDED_ON.test(name)))

/** The stand-in devices: what names each to the app, and its command. Each takes the first free port from `base` on. */
const DEVICES = [
  ['FIKA_READER', 'bin/colour-reader.ts'],
  ['FIKA_SCALE', 'bin/scale.ts'],
]

/**
 * Starts the stand-in devices on loopback, but for those that `process.env` names already.
 * @returns environment that names them to the app, and the way to stop them
 */
export async function startDevices(base) {
  const env = {}
  const children = []
  let next = base
  for (const [name, file] of DEVICES) {
    if (process.env[name]) continue
    const port = await freePort(next)
    // The one before may not have taken its port yet.
    next = port + 1
    const args = ['--import', 'tsx', join(root, file), '--port', String(port), '--with-parent']
    children.push(spawn(process.execPath, args, { cwd: root, stdio: 'ignore' }))
    env[name] = `127.0.0.1:${port}`
  }
  return { env, stop: () => children.forEach((c) => c.kill('SIGTERM')) }
}

/** Runs a TypeScript command of ours to its end. */
export const runTs = (file, env, args = []) =>
  must(process.execPath, ['--import', 'tsx', join(root, file), ...args], { env })

const answers = (url) =>
  fetch(url, { redirect: 'manual' }).then(
    (r) => r.status < 500,
    () => false,
  )

/**
 * Starts the built app on loopback and waits until it answers.
 * @param lanPort port on which it speaks TLS to the house network as well, with what FIKA_TLS_* in `env` hold
 * @param log file that gets what it says, for its owner's eyes; without one it says it here. Never a pipe: one whose
 *   other end is gone would be written to for ever.
 * @returns the process, its address, and a promise of its end
 */
export async function startApp(env, wantedPort, { quiet = false, log, lanPort } = {}) {
  const port = await freePort(wantedPort)
  const out = log ? openSync(log, 'a', 0o600) : quiet ? 'ignore' : 'inherit'
  const lan = lanPort ? ['--lan-port', String(lanPort)] : []
  const child = spawn(process.execPath, [join(root, 'bin/serve.mjs'), '--port', String(port), ...lan], {
    cwd: root,
    env: { ...handedOn(), ...env },
    stdio: ['ignore', log ? out : 'ignore', out],
    ...(await appUser()),
  })
  if (log) closeSync(out)
  const ended = new Promise((resolve) => child.once('exit', resolve))
  const url = `http://127.0.0.1:${port}`
  for (let i = 0; i < 300; i++) {
    if (child.exitCode !== null)
      throw new Stop(`The app does not start. ${log ? `Its last words are in ${log}.` : 'Its last words stand above.'}`)
    if (await answers(`${url}/sign-in`)) return { child, url, port, ended }
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  child.kill('SIGKILL')
  throw new Stop(`The app does not answer on ${url} within 30 seconds.`)
}

/** Pauses before it is started again, s; the last one from then on. Having run a minute, it begins with the first. */
const PAUSES_S = [1, 2, 4, 8, 16, 32, 60]

/**
 * Keeps the app running: one that ends without being asked is started again on its port, after a pause that grows.
 * @param start starts it on a port; @param onStart told of each one started
 * @returns the first one, the way to end it for good (asked twice, at once), and a promise of that end
 */
export async function keepRunning(start, wantedPort, onStart) {
  const ending = deferred()
  let [app, asked, tries] = [await start(wantedPort), false, 0]
  const first = app
  onStart(app)
  const ended = (async () => {
    for (;;) {
      const from = Date.now()
      const code = await app.ended
      if (asked) return 0
      tries = Date.now() - from > 60_000 ? 1 : tries + 1
      const pause = PAUSES_S[Math.min(tries, PAUSES_S.length) - 1]
      say(`The app ended by itself (${code ?? 'killed'}); starting it again in ${pause} s`)
      await Promise.race([ending.promise, new Promise((resolve) => setTimeout(resolve, pause * 1000))])
      if (asked) return 0
      try {
        app = await start(first.port)
        onStart(app)
      } catch (error) {
        if (!(error instanceof Stop)) throw error
        say(error.message)
        app = { ended: Promise.resolve(1), child: { kill: () => undefined } }
      }
    }
  })()
  const end = () => {
    app.child.kill(asked ? 'SIGKILL' : 'SIGTERM')
    asked = true
    ending.resolve()
  }
  return { first, end, ended }
}

function deferred() {
  let resolve
  const promise = new Promise((r) => (resolve = r))
  return { promise, resolve }
}
