import { connect, type Socket } from 'node:net'
import { onLines, sendLine } from '../jsonLines'
import { readLine } from './patterns'
import { helloSchema, PROTOCOL, weightSchema, type Hello, type ScaleRequest, type WeightLine } from './protocol'

export interface ScaleAddress {
  readonly host: string
  readonly port: number
}

/** What is known of the scale: there or away (and why), and its last weight. */
export type ScaleNews =
  | { readonly kind: 'away'; readonly why: string }
  | {
      readonly kind: 'here'
      readonly name: string
      readonly capacityG: number
      readonly resolutionG: number
      readonly standIn: boolean
    }
  | ({ readonly kind: 'weight' } & WeightLine)

/** Where the scale is, from `FIKA_SCALE` (host:port on loopback); undefined where none is set up. */
export function scaleAddress(setting = process.env.FIKA_SCALE): ScaleAddress | undefined {
  const match = /^(127\.0\.0\.1|localhost):(\d{2,5})$/.exec(setting ?? '')
  return match ? { host: '127.0.0.1', port: Number(match[2]) } : undefined
}

export const NO_SCALE = 'No scale is set up. Type what you pour, or plug a scale in.'
export const AWAY = 'The scale does not answer. Check its plug; until it is back, type what you pour.'
const STRANGE = 'What answers is not a scale Fika knows. Check which device is plugged in, and type what you pour.'

/** What is taken of a scale that only writes its weight: a kitchen scale of a tenth of a gram. */
const TEXT_SCALE: Hello = {
  device: 'scale',
  protocol: PROTOCOL,
  name: 'Scale',
  capacityG: 5000,
  resolutionG: 0.1,
  standIn: false,
}

/** How long until the next try, ms. */
const RETRY_MS = 400

type Listener = (news: ScaleNews) => void

/**
 * One line to the scale for everyone who listens: opened with the first, closed after the last, and opened again for
 * as long as it is lost.
 */
export class ScaleStream {
  private readonly listeners = new Set<Listener>()
  private socket: Socket | undefined
  private retry: ReturnType<typeof setTimeout> | undefined
  private here: Hello | undefined
  private standing: ScaleNews = { kind: 'away', why: AWAY }

  constructor(private readonly address: ScaleAddress | undefined) {
    if (!address) this.standing = { kind: 'away', why: NO_SCALE }
  }

  /** @returns the way to stop */
  listen(listener: Listener): () => void {
    this.listeners.add(listener)
    listener(this.standing)
    if (!this.socket && !this.retry) this.open()
    return () => {
      this.listeners.delete(listener)
      if (this.listeners.size === 0) this.close()
    }
  }

  /** Asks something of the scale; the stand-in only does more than tare. @returns false where it is away */
  ask(request: ScaleRequest): boolean {
    // A scale of text is tared at the scale.
    if (!this.socket || !this.here || this.here === TEXT_SCALE || (request.do !== 'tare' && !this.here.standIn))
      return false
    sendLine(this.socket, request)
    return true
  }

  private tell(news: ScaleNews): void {
    if (news.kind !== 'weight') this.standing = news
    this.listeners.forEach((l) => l(news))
  }

  private open(): void {
    if (!this.address) return
    const socket = connect(this.address)
    this.socket = socket
    socket.setNoDelay(true)
    const lost = (why: string) => {
      if (this.socket !== socket) return
      this.socket = undefined
      this.here = undefined
      socket.destroy()
      if (this.standing.kind !== 'away' || this.standing.why !== why) this.tell({ kind: 'away', why })
      if (this.listeners.size === 0) return
      this.retry ??= setTimeout(() => {
        this.retry = undefined
        if (this.listeners.size && !this.socket) this.open()
      }, RETRY_MS)
    }
    socket.on('error', () => lost(AWAY))
    socket.on('close', () => lost(AWAY))
    onLines(
      socket,
      (text) => {
        if (this.socket === socket && !this.hear(text)) lost(STRANGE)
      },
      () => lost(STRANGE),
    )
  }

  /** One line of the scale: of our protocol, or a weight as other scales write it. @returns false where it is neither */
  private hear(text: string): boolean {
    const written = readLine(text)
    if (written) {
      if (!this.here) this.greet(TEXT_SCALE)
      this.tell({
        kind: 'weight',
        grams: written.grams,
        tare: 0,
        stable: written.stable,
        overload: false,
        at: Date.now(),
      })
      return true
    }
    let line: unknown
    try {
      line = JSON.parse(text)
    } catch {
      // A scale of text may write what is no weight, its name or an error; before its first weight it is not known.
      return this.here === TEXT_SCALE
    }
    if (!this.here) {
      if (!helloSchema.isValidSync(line)) return false
      this.greet(helloSchema.cast(line))
      return true
    }
    const weight = (line as { weight?: unknown } | null)?.weight
    if (weightSchema.isValidSync(weight)) this.tell({ kind: 'weight', ...weightSchema.cast(weight) })
    return true
  }

  private greet(hello: Hello): void {
    this.here = hello
    const { name, capacityG, resolutionG, standIn } = hello
    this.tell({ kind: 'here', name, capacityG, resolutionG, standIn })
  }

  private close(): void {
    clearTimeout(this.retry)
    this.retry = undefined
    const { socket } = this
    this.socket = undefined
    this.here = undefined
    this.standing = { kind: 'away', why: this.address ? AWAY : NO_SCALE }
    socket?.destroy()
  }
}

const shared = globalThis as { fikaScale?: ScaleStream }

/** The line to the scale of this machine. */
export const scaleStream = (): ScaleStream => (shared.fikaScale ??= new ScaleStream(scaleAddress()))
