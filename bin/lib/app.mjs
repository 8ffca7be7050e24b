import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { must, root } from './shell.mjs'
import { freePort } from './ports.mjs'
import { Stop } from './steps.mjs'

/** Environment of the app, its migrations and its seed, for a running cluster. */
export const appEnv = (cluster, { demo = false } = {}) => ({
  FIKA_DATABASE: cluster.app,
  FIKA_OWNER_DATABASE: cluster.owner,
  FIKA_ADMIN_DATABASE: cluster.admin,
  FIKA_COOKIE_SECRET: cluster.cookieSecret,
  FIKA_DEMO: demo ? '1' : '',
  NEXT_TELEMETRY_DISABLED: '1',
  NODE_ENV: 'production',
})

/** The stand-in devices: what names each to the app, its command, and the port tried first after `base`. */
const DEVICES = [
  ['FIKA_READER', 'bin/colour-reader.ts', 0],
  ['FIKA_SCALE', 'bin/scale.ts', 1],
]

/**
 * Starts the stand-in devices on loopback, but for those that `process.env` names already.
 * @returns environment that names them to the app, and the way to stop them
 */
export async function startDevices(base) {
  const env = {}
  const children = []
  for (const [name, file, offset] of DEVICES) {
    if (process.env[name]) continue
    const port = await freePort(base + offset)
    const args = ['--import', 'tsx', join(root, file), '--port', String(port)]
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
 * @returns the process, its address, and a promise of its end
 */
export async function startApp(env, wantedPort, { quiet = false } = {}) {
  const port = await freePort(wantedPort)
  const next = join(root, 'node_modules/next/dist/bin/next')
  const child = spawn(process.execPath, [next, 'start', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: root,
    env: { ...process.env, ...env },
    stdio: ['ignore', quiet ? 'ignore' : 'pipe', quiet ? 'ignore' : 'pipe'],
  })
  let said = ''
  child.stderr?.on('data', (d) => {
    said = (said + d).slice(-4000)
    process.stderr.write(d)
  })
  child.stdout?.resume()
  const ended = new Promise((resolve) => child.once('exit', resolve))
  const url = `http://127.0.0.1:${port}`
  for (let i = 0; i < 300; i++) {
    if (child.exitCode !== null) throw new Stop(`The app does not start:\n${said}`)
    if (await answers(`${url}/sign-in`)) return { child, url, port, ended }
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  child.kill()
  throw new Stop(`The app does not answer on ${url} within 30 seconds.`)
}
