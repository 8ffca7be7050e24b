import { execFile } from 'node:child_process'
import { promisify } from 'node:util'

const run = promisify(execFile)

/** Runs a line of the commands' own cluster library, which is plain modules and so lives outside the test runner. */
const node = async (code: string) =>
  (await run(process.execPath, ['--input-type=module', '-e', code], { cwd: process.cwd() })).stdout

/** Starts the cluster of a data folder; answers its superuser address. */
export async function startCluster(home: string): Promise<{ admin: string }> {
  const out = await node(
    `import { startCluster } from './bin/lib/cluster.mjs'; const c = await startCluster(${JSON.stringify(home)}); console.log('\\n' + c.admin)`,
  )
  return { admin: out.trim().split('\n').at(-1)! }
}

/** Stops it again. */
export async function stopCluster(home: string): Promise<void> {
  await node(
    `import { stopCluster } from './bin/lib/cluster.mjs'; await stopCluster({ data: ${JSON.stringify(`${home}/cluster`)} })`,
  )
}

/** The first free port the commands would take, from a wanted one on. */
export const freePortFrom = async (port: number): Promise<number> =>
  Number(await node(`import { freePort } from './bin/lib/ports.mjs'; console.log(await freePort(${port}))`))

/** What marks the process that runs a test, as a start marks its own. */
export const ourMark = async (): Promise<{ pid: number; born: string }> => ({
  pid: process.pid,
  born: (await node(`import { bornAt } from './bin/lib/lock.mjs'; console.log(bornAt(${process.pid}))`)).trim(),
})

/** What happens to an app that ends by itself twice and is then told to end; its start is stood in for. */
export async function eventsOfKeeping(): Promise<string[]> {
  const out = await node(`
    import { keepRunning } from './bin/lib/app.mjs'
    let n = 0
    const start = async (port) => {
      n += 1
      let end
      const ended = new Promise((resolve) => (end = resolve))
      if (n < 3) setTimeout(() => end(1), 20)
      return { port, url: 'u' + n, ended, child: { kill: (signal) => (console.log('>' + signal), end(0)) } }
    }
    const app = await keepRunning(start, 1, ({ url }) => {
      console.log('>started ' + url)
      if (url === 'u3') setTimeout(() => app.end(), 50)
    })
    await app.ended
    console.log('>over')
    process.exit(0)
  `)
  return out
    .split('\n')
    .filter((l) => l.startsWith('>'))
    .map((l) => l.slice(1))
}
