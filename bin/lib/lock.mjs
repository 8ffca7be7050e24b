import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

const alive = (pid) => {
  try {
    process.kill(pid, 0)
    return true
  } catch (error) {
    return error.code === 'EPERM'
  }
}

/** Whether a Fika that is alive uses a data folder. */
export function isRunningAt(home) {
  try {
    const { pid } = JSON.parse(readFileSync(join(home, 'running.json'), 'utf8'))
    return pid !== process.pid && alive(pid)
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
      if (other.pid !== process.pid && alive(other.pid)) return other
    } catch {
      // Half a mark is no mark.
    }
  }
  writeFileSync(file, JSON.stringify({ pid: process.pid }))
  process.on('exit', () => {
    try {
      if (JSON.parse(readFileSync(file, 'utf8')).pid === process.pid) rmSync(file)
    } catch {
      // Gone already.
    }
  })
  return undefined
}

/** Adds the address to the mark, so that a second start can point to it. */
export const tellAddress = (home, url) =>
  writeFileSync(join(home, 'running.json'), JSON.stringify({ pid: process.pid, url }))
