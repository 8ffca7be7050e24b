// Progress on the terminal: one line a step, with how long the whole has been running.
import { endCommands } from './shell.mjs'

const started = performance.now()
let out = process.stdout

/** Sends progress to the error stream, so that the output holds nothing but results. */
export const quiet = () => {
  out = process.stderr
}

export const elapsed = () => `${((performance.now() - started) / 1000).toFixed(1).padStart(6)} s`

/** Says a step and, when it is done, how long it took. */
export async function step(what, work) {
  out.write(`[${elapsed()}] ${what} …\n`)
  const from = performance.now()
  const result = await work()
  const seconds = (performance.now() - from) / 1000
  if (seconds > 1) out.write(`[${elapsed()}]   ${what}: done in ${seconds.toFixed(1)} s\n`)
  return result
}

export const say = (text) => out.write(`[${elapsed()}] ${text}\n`)

/**
 * Tries again, a few times, what fails: a start that was killed may have left its own `npm ci` or build running, and
 * the two are in each other's way until that one has ended.
 */
export async function stubborn(work, tries = 4, pauseMs = 5000) {
  for (let i = 1; ; i++) {
    try {
      return await work()
    } catch (error) {
      if (i === tries) throw error
      say(`That did not work; trying again in ${pauseMs / 1000} s`)
      await new Promise((resolve) => setTimeout(resolve, pauseMs))
    }
  }
}

/** What the machine refused, in words; undefined where it is something else. */
const MACHINE = {
  ENOSPC: 'The disk is full. Make room, then start again; nothing of the studio is lost.',
  EROFS: 'The disk can only be read. Start again when it can be written, or set FIKA_HOME to a folder elsewhere.',
  EDQUOT: 'Your share of the disk is used up. Make room, then start again; nothing of the studio is lost.',
  EMFILE: 'Too many files are open on this machine. Close other programs, then start again.',
}

/** Whether it is the machine that refused, for a reason that has words of its own. */
export const isMachine = (error) => error?.code in MACHINE

/** An end that the person can do something about: one clear line, no stack. */
export class Stop extends Error {}

let onEnd

/** Says what is done when the command is told to end; until then, it ends with whatever it has under way. */
export const whenToldToEnd = (work) => (onEnd = work)

/** Runs a command's main function; a Stop ends in its line, anything else in its message and stack. */
export function run(main) {
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.on(signal, () => {
      if (onEnd) return onEnd()
      endCommands()
      process.exit(130)
    })
  main().then(
    (code) => process.exit(code ?? 0),
    (error) => {
      const machine = MACHINE[error?.code]
      if (error instanceof Stop || machine) console.error(`\n${machine ?? error.message}`)
      else console.error(error)
      process.exit(1)
    },
  )
}
