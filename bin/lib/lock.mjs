import { existsSync, mkdirSync, readFileSync, readlinkSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './shell.mjs'

/** When a process was started, in a form that no later process with the same number shares; '' where it is gone. */
export function bornAt(pid) {
  try {
    const boot = readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim()
    const [state, ...facts] = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ').at(-1).split(' ')
    // One that ended, and that nobody has asked about yet, has its number still.
    return state === 'Z' ? '' : `${boot} ${facts[18]}`
  } catch {
    return ''
  }
}

/** Whether the process that left a mark is still the one that has its number. */
function alive({ pid, born }) {
  try {
    process.kill(pid, 0)
  } catch (error) {
    if (error.code !== 'EPERM') return false
  }
  // Without a birth to compare, a number may be anybody's by now; where none can be known, it must do.
  return bornAt(process.pid) === '' || (born !== undefined && born === bornAt(pid))
}

const ourMark = () => ({ pid: process.pid, born: bornAt(process.pid) })

/** Whether a Fika that is alive uses a data folder. */
export function isRunningAt(home) {
  try {
    const mark = JSON.parse(readFileSync(join(home, 'running.json'), 'utf8'))
    return mark.pid !== process.pid && alive(mark)
  } catch {
    return false
  }
}

/**
 * Marks a data folder as in use by this process.
 * @returns what runs there already ({ pid, url }), or undefined when the folder is ours now; a mark left by a
 *   process that is gone is taken over
 */
export function takeLock(home) {
  mkdirSync(home, { recursive: true })
  const file = join(home, 'running.json')
  if (existsSync(file)) {
    try {
      const other = JSON.parse(readFileSync(file, 'utf8'))
      if (other.pid !== process.pid && alive(other)) return other
      endOrphan(other.app)
    } catch {
      // Half a mark is no mark.
    }
  }
  writeFileSync(file, JSON.stringify(ourMark()), { mode: 0o600 })
  process.on('exit', () => {
    try {
      if (JSON.parse(readFileSync(file, 'utf8')).pid === process.pid) rmSync(file)
    } catch {
      // Gone already.
    }
  })
  return undefined
}

/** Ends the app of a start that was itself killed, so that it does not keep the address. Only a server run from here. */
function endOrphan(pid) {
  const isOurs = () => {
    try {
      return Boolean(pid) && readlinkSync(`/proc/${pid}/cwd`) === root
    } catch {
      return false
    }
  }
  if (!isOurs()) return
  process.kill(pid, 'SIGTERM')
  const until = Date.now() + 6000
  while (isOurs() && Date.now() < until) Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 50)
  if (isOurs()) process.kill(pid, 'SIGKILL')
}

/**
 * Adds to the mark what a second start needs: the address to point to, the app's process, and the database's port.
 * @param {{ url: string, app: number, databasePort: number }} facts
 */
export const tellAddress = (home, facts) =>
  writeFileSync(join(home, 'running.json'), JSON.stringify({ ...ourMark(), ...facts }))
