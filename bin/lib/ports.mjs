import { createServer } from 'node:net'

const isFree = (port) =>
  new Promise((resolve) => {
    const server = createServer()
    server.once('error', () => resolve(false))
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)))
  })

/** The first free port on loopback from `wanted` on; 0 asks for any. */
export async function freePort(wanted) {
  for (let port = wanted; port < wanted + 50; port++) if (await isFree(port)) return port
  throw new Error(`no free port between ${wanted} and ${wanted + 49}`)
}
