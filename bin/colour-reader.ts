// npm run reader: the stand-in colour reader on loopback, for trying Fika without a device.
//   -- --port 7411        where it listens
//   -- --uncalibrated     as if it had never seen its white tile
import { leaveWithParent } from './lib/leave.mjs'
import { startStandIn } from '../src/devices/reader/standIn'

leaveWithParent()
const args = process.argv.slice(2)
const port = Number(args[args.indexOf('--port') + 1]) || 7411
const device = await startStandIn({
  port,
  random: Math.random,
  clock: Date.now,
  calibrated: !args.includes('--uncalibrated'),
  slipEvery: 9,
})
console.log(`The stand-in reader listens on 127.0.0.1:${device.port}. End with Ctrl-C.`)
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
  process.on(signal, () => void device.close().then(() => process.exit(0)))
