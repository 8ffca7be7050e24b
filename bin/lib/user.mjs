// Who the app runs as: whoever started it, but never root.
import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { isRoot, root, sh } from './shell.mjs'
import { say } from './steps.mjs'

const NAME = 'fika'

async function idsOf(name) {
  const [uid, gid] = await Promise.all(['-u', '-g'].map((what) => sh('id', [what, name])))
  return uid.code === 0 ? { uid: Number(uid.out), gid: Number(gid.out) } : undefined
}

/** Whether a user may read what the app is made of, and run the program that runs it. */
function mayRun(ids) {
  const look = `for (const p of ${JSON.stringify(['.next', 'node_modules/next', 'src', 'bin'].map((p) => join(root, p)))}) require('fs').readdirSync(p)`
  return spawnSync(process.execPath, ['-e', look], { ...ids, cwd: '/', stdio: 'ignore' }).status === 0
}

let told = false

/**
 * The user the app is handed to where we are root: one of its own, made where there is none.
 * @returns its ids, for `spawn`; nothing where we are not root, or where it may not read this folder, which is said
 */
export async function appUser() {
  if (!isRoot()) return {}
  if (!(await idsOf(NAME))) await sh('useradd', ['--system', '--no-create-home', '--shell', '/usr/sbin/nologin', NAME])
  const ids = await idsOf(NAME)
  if (ids && mayRun(ids)) return ids
  if (!told)
    say(`Fika runs as root, since the user ${NAME} may not read ${root}. Better: start it as a user of your own.`)
  told = true
  return {}
}
