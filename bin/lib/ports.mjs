import { createServer } from 'node:net'

const isFree = (port, host) =>
  new Promise((resolve) => {
    const server = createServer()
    server.once('error', () => resolve(false))
    server.listen(port, host, () => server.close(() => resolve(true)))
  })

/** The first free port from `wanted` on, on loopback or where `host` says; 0 asks for any. */
export async function freePort(wanted, host = '127.0.0.1') {
  for (let port = wanted; port < wanted + 50; port++) if (await isFree(port, host)) return port
  throw new Error(`no free port between ${wanted} and ${wanted + 49}`)
}
