// The built app behind its front: node bin/serve.mjs --port 4310 [--lan-port 4343]. Started by npm start and the tests, not by hand.
import { fstatSync, writeSync } from 'node:fs'
import next from 'next'
import { tsImport } from 'tsx/esm/api'
import { root } from './lib/shell.mjs'

process.umask(0o077)
// A log that cannot be written, on a full disk, is no reason to fall over, nor to go on about it for ever; it goes on
// by itself when there is room again.
for (const stream of [process.stdout, process.stderr])
  if (fstatSync(stream.fd).isFile())
    stream.write = (text, encoding, done) => {
      try {
        writeSync(stream.fd, text)
      } catch {
        // Lost.
      }
      const written = typeof encoding === 'function' ? encoding : done
      if (written) process.nextTick(written)
      return true
    }

const args = process.argv.slice(2)
const numberAfter = (name) => (args.includes(name) ? Number(args[args.indexOf(name) + 1]) : undefined)
const at = { host: '127.0.0.1', port: numberAfter('--port') }
const lanPort = numberAfter('--lan-port')

const app = next({ dev: false, dir: root, hostname: at.host, port: at.port, quiet: true })
const { runFront } = await tsImport('../src/front/run.ts', import.meta.url)
await app.prepare()
const handler = app.getRequestHandler()
const fronts = [await runFront(handler, at)]
if (lanPort) {
  const { FIKA_TLS_KEY: key, FIKA_TLS_CERTIFICATE: cert, FIKA_TLS_AUTHORITY: authority } = process.env
  fronts.push(await runFront(handler, { host: '0.0.0.0', port: lanPort, tls: { key, cert, authority } }))
}
// Nobody needs the key any more.
delete process.env.FIKA_TLS_KEY

// One request that goes wrong in an unforeseen way is no reason to leave all the others.
for (const trouble of ['uncaughtException', 'unhandledRejection'])
  process.on(trouble, (error) => console.error(trouble, error))

let stopping = false
const stop = () => {
  if (stopping) return
  stopping = true
  void Promise.all(fronts.map((front) => front.stop())).then(() => process.exit(0))
}
process.on('SIGTERM', stop)
process.on('SIGINT', stop)
