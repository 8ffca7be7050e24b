// npm run scale: the stand-in scale on loopback, for trying Fika without a device.
//   -- --port 7412        where it listens
//   -- --script FILE      lines like "place 30", "pour 120 25" (g, g/s), "wait 3", "unplug 2"; run once from the start
import { readFileSync } from 'node:fs'
import { leaveWithParent } from './lib/leave.mjs'
import { startScale } from '../src/devices/scale/standIn'

leaveWithParent()
const args = process.argv.slice(2)
const after = (name: string) => (args.includes(name) ? args[args.indexOf(name) + 1] : undefined)
const scale = await startScale({ port: Number(after('--port')) || 7412, random: Math.random, clock: Date.now })
console.log(`The stand-in scale listens on 127.0.0.1:${scale.port}. End with Ctrl-C.`)
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
  process.on(signal, () => void scale.close().then(() => process.exit(0)))

const wait = (seconds: number) => new Promise((resolve) => setTimeout(resolve, 1000 * seconds))
const file = after('--script')
for (const line of file ? readFileSync(file, 'utf8').split('\n') : []) {
  const [what, a = '0', b = '20'] = line.trim().split(/\s+/)
  if (what === 'place') scale.place(Number(a))
  else if (what === 'pour') await scale.pour(Number(a), Number(b))
  else if (what === 'wait') await wait(Number(a))
  else if (what === 'unplug') {
    await scale.unplug()
    await wait(Number(a))
    await scale.plugIn()
  }
}
