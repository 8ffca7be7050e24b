import { spawn } from 'node:child_process'
import { join } from 'node:path'

/** Runs one of the project's commands with a data folder of its own. */
export function command(file: string, args: string[], home: string): Promise<{ code: number; said: string }> {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [join('bin', file), ...args], {
      env: { ...process.env, FIKA_HOME: home, INIT_CWD: undefined },
    })
    let said = ''
    child.stdout.on('data', (d) => (said += d))
    child.stderr.on('data', (d) => (said += d))
    child.on('close', (code) => resolve({ code: code ?? 1, said }))
  })
}
