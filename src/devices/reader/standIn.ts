import { createServer, type Socket } from 'node:net'
import { xyzToLab } from '@/core/colour/lab'
import { reflectanceToXyz } from '@/core/colour/reflectance'
import { onJsonLines, sendLine } from '../jsonLines'
import { normal } from '../normal'
import { PROTOCOL, requestSchema } from './protocol'

export interface StandInOptions {
  readonly port: number
  /** Uniform random numbers, 0 ≤ x < 1. */
  readonly random: () => number
  /** Milliseconds since 1970. */
  readonly clock: () => number
  /** How long one reading takes, ms. */
  readonly readingMs?: number
  /** Multiplies the noise of a real reader; 0: none. */
  readonly noise?: number
  /** Whether it was set on its white tile at the start. */
  readonly calibrated?: boolean
  /** One reading in this many is taken beside the swatch. */
  readonly slipEvery?: number
}

export interface StandIn {
  readonly port: number
  /** Lays a swatch under it, 36 bands. */
  place(reflectance: readonly number[]): void
  /** How many readings it has given. */
  given(): number
  /** Cuts every connection, as if the plug were pulled. */
  unplug(): void
  close(): Promise<void>
}

const GREY = new Array<number>(36).fill(0.18)
/** Share by which the gain has gone off after a day without its tile, and before it ever saw one. */
const DRIFT_A_DAY = 0.01
const NEVER_CALIBRATED = 0.03

/** A colour reader that ships with the app: speaks the protocol on loopback, with noise, drift and slips. */
export async function startStandIn(options: StandInOptions): Promise<StandIn> {
  const { random, clock, noise = 1, readingMs = 120, slipEvery = 0 } = options
  let swatch: readonly number[] = GREY
  let calibratedAt = options.calibrated === false ? null : clock()
  let readings = 0
  const sockets = new Set<Socket>()

  function read() {
    readings += 1
    const slipped = slipEvery > 0 && readings % slipEvery === 0
    const gain =
      calibratedAt === null ? 1 + NEVER_CALIBRATED : 1 + (DRIFT_A_DAY * (clock() - calibratedAt)) / 86_400_000
    const hold = 1 + 0.003 * noise * normal(random)
    const reflectance = (slipped ? GREY.map(() => 0.8) : swatch).map((v) =>
      Math.min(1.2, Math.max(0.0005, v * gain * hold + noise * (0.0008 + 0.002 * v) * normal(random))),
    )
    return { lab: xyzToLab(reflectanceToXyz(reflectance)), reflectance }
  }

  const server = createServer((socket) => {
    sockets.add(socket)
    socket.on('close', () => sockets.delete(socket))
    socket.on('error', () => socket.destroy())
    const at = () => (calibratedAt === null ? null : new Date(calibratedAt).toISOString())
    sendLine(socket, {
      device: 'colour reader',
      protocol: PROTOCOL,
      name: 'Stand-in reader',
      calibratedAt: at(),
      standIn: true,
    })
    // One after another, as one lamp can only flash once at a time.
    let turn = Promise.resolve()
    onJsonLines(
      socket,
      (line) => {
        turn = turn.then(async () => {
          if (!requestSchema.isValidSync(line)) return void sendLine(socket, { error: 'not understood' })
          if (line.do === 'calibrate') {
            calibratedAt = clock()
            return void sendLine(socket, { calibratedAt: at() })
          }
          if (line.do === 'place') {
            if (!line.reflectance) return void sendLine(socket, { error: 'no swatch' })
            swatch = line.reflectance
            return void sendLine(socket, { placed: true })
          }
          await new Promise((resolve) => setTimeout(resolve, readingMs))
          if (!socket.destroyed) sendLine(socket, { reading: read() })
        })
      },
      () => socket.destroy(),
    )
  })
  await new Promise<void>((resolve, reject) => server.once('error', reject).listen(options.port, '127.0.0.1', resolve))
  const unplug = () => sockets.forEach((s) => s.destroy())
  return {
    port: (server.address() as { port: number }).port,
    given: () => readings,
    place: (reflectance) => void (swatch = reflectance),
    unplug,
    close: () => {
      unplug()
      return new Promise((resolve) => server.close(() => resolve()))
    },
  }
}
