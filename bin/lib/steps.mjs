// Progress on the terminal: one line a step, with how long the whole has been running.
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

/** An end that the person can do something about: one clear line, no stack. */
export class Stop extends Error {}

/** Runs a command's main function; a Stop ends in its line, anything else in its message and stack. */
export function run(main) {
  main().then(
    (code) => process.exit(code ?? 0),
    (error) => {
      if (error instanceof Stop) console.error(`\n${error.message}`)
      else console.error(error)
      process.exit(1)
    },
  )
}
