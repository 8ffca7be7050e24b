import { connect, type Socket } from 'node:net'
import { averageReadings, type Averaged, type Reading } from '@/core/device/readings'
import { FikaError } from '@/core/errors'
import { withoutSpecular } from '@/core/colour/kubelkaMunk'
import type { Triple } from '@/core/colour/srgb'
import { onJsonLines, sendLine } from '../jsonLines'
import { CALIBRATION_HOURS, calibratedSchema, errorSchema, helloSchema, readingSchema } from './protocol'

export interface ReaderAddress {
  readonly host: string
  readonly port: number
}

/** What stands on the table. */
export interface ReaderStatus {
  readonly name: string
  readonly standIn: boolean
  readonly calibratedAt: string | null
  /** Whether it should see its white tile first. */
  readonly calibrate: boolean
}

const trouble = (message: string) => new FikaError('Device', message)
const NOT_THERE = 'No colour reader answers. Plug it in and try again, or pick the colour by hand.'
const PULLED = 'The reader went away in the middle. Nothing was kept: plug it in and read again.'
const STRANGE = 'What answers is not a colour reader Fika knows. Check which device is plugged in.'
const SLOW = 'The reader does not answer. Set it down, check its battery and read again.'

/** Where the reader is, from `FIKA_READER` (host:port on loopback); undefined where none is set up. */
export function readerAddress(setting = process.env.FIKA_READER): ReaderAddress | undefined {
  const match = /^(127\.0\.0\.1|localhost):(\d{2,5})$/.exec(setting ?? '')
  return match ? { host: '127.0.0.1', port: Number(match[2]) } : undefined
}

/** One lamp, one swatch: who asks while somebody reads waits for the end of that, however it ends. */
let turn: Promise<unknown> = Promise.resolve()

/** A conversation with a reader, when it is this one's turn. */
function withReader<T>(
  address: ReaderAddress | undefined,
  timeoutMs: number,
  talk: (hello: Hello, ask: Ask) => Promise<T>,
): Promise<T> {
  const mine = turn.then(() => converse(address, timeoutMs, talk))
  turn = mine.catch(() => undefined)
  return mine
}

type Hello = ReturnType<typeof helloSchema.validateSync>
type Ask = (request: object) => Promise<unknown>

/** Asks one thing after another. Ends with the socket closed, whatever happens. */
async function converse<T>(
  address: ReaderAddress | undefined,
  timeoutMs: number,
  talk: (hello: Hello, ask: Ask) => Promise<T>,
): Promise<T> {
  if (!address) throw trouble(NOT_THERE)
  const socket: Socket = connect(address)
  let waiting: { resolve: (v: unknown) => void; reject: (e: Error) => void } | undefined
  let ended: Error | undefined
  const lines: unknown[] = []
  let heard = false
  const end = (error: Error) => {
    ended ??= error
    waiting?.reject(ended)
    waiting = undefined
  }
  onJsonLines(
    socket,
    (line) => {
      heard = true
      if (waiting) {
        waiting.resolve(line)
        waiting = undefined
      } else lines.push(line)
    },
    () => end(trouble(STRANGE)),
  )
  socket.on('error', () => end(trouble(heard ? PULLED : NOT_THERE)))
  socket.on('close', () => end(trouble(heard ? PULLED : NOT_THERE)))
  const next = () =>
    new Promise<unknown>((resolve, reject) => {
      if (lines.length) return resolve(lines.shift())
      if (ended) return reject(ended)
      const timer = setTimeout(() => end(trouble(SLOW)), timeoutMs)
      waiting = {
        resolve: (v) => (clearTimeout(timer), resolve(v)),
        reject: (e) => (clearTimeout(timer), reject(e)),
      }
    })
  const ask = async (request: object) => {
    sendLine(socket, request)
    const answer = await next()
    if (errorSchema.isValidSync(answer))
      throw trouble('The reader could not do that. Set it flat on the swatch and read again.')
    return answer
  }
  try {
    const hello = await next()
    if (!helloSchema.isValidSync(hello)) throw trouble(STRANGE)
    return await talk(helloSchema.cast(hello), ask)
  } finally {
    socket.destroy()
  }
}

const statusOf = (hello: Hello, calibratedAt: string | null, now: number): ReaderStatus => ({
  name: hello.name,
  standIn: hello.standIn,
  calibratedAt,
  calibrate: calibratedAt === null || now - Date.parse(calibratedAt) > CALIBRATION_HOURS * 3_600_000,
})

export interface ReadWish {
  readonly times: number
  /** For the stand-in: what lies under it. Ignored by a real reader. */
  readonly place?: readonly number[] | undefined
  readonly timeoutMs?: number
}

/**
 * Reads a swatch several times and averages, slips left out.
 * @throws FikaError Device where none answers, or it goes away in the middle; Invalid where the readings scatter
 */
export function readSwatch(
  address: ReaderAddress | undefined,
  { times, place, timeoutMs = 4000 }: ReadWish,
  now = Date.now(),
): Promise<Averaged & ReaderStatus> {
  return withReader(address, timeoutMs, async (hello, ask) => {
    if (place && hello.standIn) await ask({ do: 'place', reflectance: place })
    const readings: Reading[] = []
    for (let i = 0; i < times; i++) {
      const line = await ask({ do: 'read' })
      if (!readingSchema.isValidSync(line)) throw trouble(STRANGE)
      const { lab, reflectance } = readingSchema.cast(line).reading
      readings.push({
        lab: lab as Triple,
        reflectance: hello.specularIncluded ? reflectance?.map(withoutSpecular) : reflectance,
      })
    }
    return { ...averageReadings(readings), ...statusOf(hello, hello.calibratedAt, now) }
  })
}

/** Lets the reader see its white tile. @throws FikaError Device */
export function calibrateReader(
  address: ReaderAddress | undefined,
  timeoutMs = 4000,
  now = Date.now(),
): Promise<ReaderStatus> {
  return withReader(address, timeoutMs, async (hello, ask) => {
    const line = await ask({ do: 'calibrate' })
    if (!calibratedSchema.isValidSync(line)) throw trouble(STRANGE)
    return statusOf(hello, calibratedSchema.cast(line).calibratedAt, now)
  })
}

/** What stands on the table. @throws FikaError Device */
export const readerStatus = (
  address: ReaderAddress | undefined,
  timeoutMs = 1500,
  now = Date.now(),
): Promise<ReaderStatus> => withReader(address, timeoutMs, async (hello) => statusOf(hello, hello.calibratedAt, now))
