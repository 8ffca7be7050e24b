import { spawn } from 'node:child_process'
import { userInfo } from 'node:os'

export const root = new URL('../..', import.meta.url).pathname.replace(/\/$/, '')
export const isRoot = () => userInfo().uid === 0

/** Commands that are under way; they end with us. */
const underWay = new Set()
export const endCommands = () => underWay.forEach((child) => child.kill('SIGTERM'))

/**
 * Runs a command to its end.
 * @returns {Promise<{code: number, out: string, err: string}>} output is empty where `show` passes it through
 */
export function sh(command, args, { show = false, input, env, cwd = root } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: [input === undefined ? 'ignore' : 'pipe', show ? 'inherit' : 'pipe', show ? 'inherit' : 'pipe'],
    })
    underWay.add(child)
    child.on('close', () => underWay.delete(child))
    let out = ''
    let err = ''
    child.stdout?.on('data', (d) => (out += d))
    child.stderr?.on('data', (d) => (err += d))
    child.on('error', reject)
    child.on('close', (code) => resolve({ code: code ?? 1, out, err }))
    if (input !== undefined) child.stdin.end(input)
  })
}

/** As `sh`, but a failure throws with the last lines of what the command said. */
export async function must(command, args, options) {
  const result = await sh(command, args, options)
  if (result.code !== 0) {
    const said = `${result.out}\n${result.err}`.trim().split('\n').slice(-15).join('\n')
    const error = new Error(`${command} ${args.join(' ')} ended with ${result.code}\n${said}`)
    // What a command says of a full disk is the machine's refusal, as if it had come from our own writing.
    if (/no space left on device/i.test(said)) error.code = 'ENOSPC'
    throw error
  }
  return result.out
}
