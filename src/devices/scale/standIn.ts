import { createServer, type Socket } from 'node:net'
import { onJsonLines, sendLine } from '../jsonLines'
import { normal } from '../normal'
import { PROTOCOL, requestSchema, type ScaleRequest } from './protocol'

export interface ScaleOptions {
  readonly port: number
  /** Uniform random numbers, 0 ≤ x < 1. */
  readonly random: () => number
  /** Milliseconds since 1970. */
  readonly clock: () => number
  readonly capacityG?: number
  readonly resolutionG?: number
  /** Readings a second. */
  readonly rate?: number
  /** Multiplies noise and drift of a real one; 0: none. */
  readonly noise?: number
}

export interface ScaleStandIn {
  readonly port: number
  /** Puts a weight on the plate, or takes it off. */
  place(grams: number): void
  /** Pours at a rate (g/s) until so much is in; resolves when the last of it has fallen. */
  pour(grams: number, rate: number): Promise<void>
  /** Cuts every line and takes no new one until it is plugged in again. What stands on it stays. */
  unplug(): Promise<void>
  plugIn(): Promise<void>
  close(): Promise<void>
}

/** The plate follows a change with this time constant, ms. */
const SETTLING_MS = 120
/** Standard deviation of a reading, and how far the zero wanders in an hour, g. */
const NOISE_G = 0.02
const DRIFT_G_AN_HOUR = 0.3
/** Steady for this long is what it calls stable, ms. */
const STABLE_MS = 350

/** What lies on the plate and how the cell follows it; no socket, no timer, so that it can be tested by its clock. */
export class Plate {
  private load = 0
  private shown = 0
  private tareG = 0
  private drift = 0
  private last: number
  private steadySince: number
  private pouring: { left: number; rate: number; done: () => void } | undefined

  constructor(private readonly options: Required<Omit<ScaleOptions, 'port' | 'rate'>>) {
    this.last = this.steadySince = options.clock()
  }

  /** Lets time go by up to now. */
  private run(): void {
    const now = this.options.clock()
    const seconds = Math.max(0, now - this.last) / 1000
    this.last = now
    if (this.pouring) {
      const fell = Math.min(this.pouring.left, this.pouring.rate * seconds)
      this.load += fell
      this.pouring.left -= fell
      if (this.pouring.left <= 1e-9) {
        this.pouring.done()
        this.pouring = undefined
      }
    }
    const before = this.shown
    this.shown = this.load + (this.shown - this.load) * Math.exp((-1000 * seconds) / SETTLING_MS)
    this.drift += this.options.noise * DRIFT_G_AN_HOUR * Math.sqrt(seconds / 3600) * normal(this.options.random)
    if (this.pouring || Math.abs(this.shown - before) > this.options.resolutionG / 2) this.steadySince = now
  }

  do(request: ScaleRequest): Promise<void> {
    this.run()
    if (request.do === 'tare') this.tareG = this.rounded(this.shown + this.drift)
    else if (request.do === 'place') {
      this.load = Math.max(0, this.load + (request.grams ?? 0))
      this.steadySince = this.options.clock()
    } else if (request.do === 'stop') {
      this.pouring?.done()
      this.pouring = undefined
    } else if (request.do === 'pour')
      return new Promise((done) => {
        this.pouring?.done()
        this.pouring = { left: Math.max(0, request.grams ?? 0), rate: request.rate ?? 20, done }
      })
    return Promise.resolve()
  }

  private rounded(grams: number): number {
    const { resolutionG } = this.options
    return Number((Math.round(grams / resolutionG) * resolutionG).toFixed(4))
  }

  reading() {
    this.run()
    const now = this.options.clock()
    const gross = this.rounded(this.shown + this.drift + NOISE_G * this.options.noise * normal(this.options.random))
    const overload = this.load > this.options.capacityG
    const stable = !overload && now - this.steadySince >= STABLE_MS
    return {
      grams: overload ? 0 : Number((gross - this.tareG).toFixed(4)),
      tare: this.tareG,
      stable,
      overload,
      at: now,
    }
  }
}

/** A scale that ships with the app: speaks the protocol on loopback, settles, wanders, and can be poured upon. */
export async function startScale(options: ScaleOptions): Promise<ScaleStandIn> {
  const { capacityG = 3000, resolutionG = 0.1, noise = 1, rate = 10, random, clock } = options
  const plate = new Plate({ capacityG, resolutionG, noise, random, clock })
  const sockets = new Set<Socket>()
  const server = createServer((socket) => {
    sockets.add(socket)
    socket.on('close', () => sockets.delete(socket))
    socket.on('error', () => socket.destroy())
    sendLine(socket, {
      device: 'scale',
      protocol: PROTOCOL,
      name: 'Stand-in scale',
      capacityG,
      resolutionG,
      standIn: true,
    })
    onJsonLines(
      socket,
      (line) => {
        if (!requestSchema.isValidSync(line)) return void sendLine(socket, { error: 'not understood' })
        void plate.do(requestSchema.cast(line))
      },
      () => socket.destroy(),
    )
  })
  const timer = setInterval(() => {
    const reading = plate.reading()
    sockets.forEach((s) => sendLine(s, { weight: reading }))
  }, 1000 / rate)
  const listen = (port: number) =>
    new Promise<void>((resolve, reject) => server.once('error', reject).listen(port, '127.0.0.1', resolve))
  await listen(options.port)
  const { port } = server.address() as { port: number }
  const shut = () => {
    sockets.forEach((s) => s.destroy())
    return new Promise<void>((resolve) => (server.listening ? server.close(() => resolve()) : resolve()))
  }
  return {
    port,
    place: (grams) => void plate.do({ do: 'place', grams }),
    pour: (grams, gramsASecond) => plate.do({ do: 'pour', grams, rate: gramsASecond }),
    unplug: shut,
    plugIn: () => listen(port),
    close: () => {
      clearInterval(timer)
      return shut()
    },
  }
}
