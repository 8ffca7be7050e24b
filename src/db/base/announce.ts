import pg from 'pg'
import { newsAddress, poolInUse } from './pool'

/**
 * What a device may show of a studio that another device has changed: the rack, a stocktake, or one mix in the making.
 * A session is told of when it has ended; its own lines end with it, and nobody else hears of it. `everything`: what was
 * said was not heard, so anything may have changed.
 */
export type Topic =
  'everything' | 'rack' | 'stocktake' | 'people' | `mixing ${string}` | 'runs' | `run ${string}` | `session ${string}`

/** Changes within this time go out as one notice, ms; and notices are at least so far apart, however much happens. */
const GATHER_MS = 30
const APART_MS = 200
const CHANNEL = 'fika_change'
/** A notice holds 8,000 bytes; more topics than this are not named one by one. */
const MOST_TOPICS = 40

const shared = globalThis as {
  fikaWaiting?: Map<string, Set<Topic>>
  fikaTimer?: ReturnType<typeof setTimeout> | undefined
  fikaSaidAt?: number
  fikaHub?: Hub
}

/**
 * Tells every device of a studio that something was committed. It is said after the commit and from a statement of its
 * own: NOTIFY inside the transaction would make all commits of the server wait for one another. Should the server go
 * away in between, devices look anew when their line is back.
 */
export function announce(studioId: string, topics: Iterable<Topic>): void {
  const waiting = (shared.fikaWaiting ??= new Map())
  const said = waiting.get(studioId) ?? new Set<Topic>()
  for (const t of topics) said.add(t)
  waiting.set(studioId, said)
  const next = Math.max(GATHER_MS, (shared.fikaSaidAt ?? 0) + APART_MS - Date.now())
  shared.fikaTimer ??= setTimeout(flush, next).unref()
}

function flush(): void {
  shared.fikaTimer = undefined
  shared.fikaSaidAt = Date.now()
  const waiting = shared.fikaWaiting ?? new Map<string, Set<Topic>>()
  shared.fikaWaiting = new Map()
  const payloads = [...waiting].map(([studio, topics]) =>
    JSON.stringify({ studio, topics: topics.size > MOST_TOPICS ? ['everything'] : [...topics] }),
  )
  poolInUse()
    ?.query('select pg_notify($1, p) from unnest($2::text[]) as p', [CHANNEL, payloads])
    .catch(() => undefined)
}

type Listener = (topics: readonly Topic[]) => void

/** A notice of ours; undefined where somebody else wrote into the channel. */
function readNews(payload: string | undefined): { studio: string; topics: readonly Topic[] } | undefined {
  try {
    const { studio, topics } = JSON.parse(payload ?? '') as { studio?: unknown; topics?: unknown }
    if (typeof studio === 'string' && Array.isArray(topics)) return { studio, topics: topics as Topic[] }
  } catch {
    // Not even JSON.
  }
  console.error('A notice on the database line could not be read. The news go on.')
  return undefined
}

/** One line to the database for all devices of this server, opened with the first and closed after the last. */
class Hub {
  private readonly listeners = new Map<string, Set<Listener>>()
  private client: pg.Client | undefined
  private retry: ReturnType<typeof setTimeout> | undefined

  add(studioId: string, listener: Listener): () => void {
    const of = this.listeners.get(studioId) ?? new Set()
    of.add(listener)
    this.listeners.set(studioId, of)
    if (!this.client && !this.retry) void this.open()
    return () => {
      of.delete(listener)
      if (of.size === 0) this.listeners.delete(studioId)
      if (this.listeners.size === 0) this.close()
    }
  }

  private async open(): Promise<void> {
    const client = new pg.Client({ connectionString: newsAddress() })
    this.client = client
    const lost = () => {
      if (this.client !== client) return
      this.client = undefined
      void client.end().catch(() => undefined)
      if (this.listeners.size) this.again()
    }
    client.on('error', lost)
    client.on('end', lost)
    client.on('notification', ({ payload }) => {
      const news = readNews(payload)
      if (news) this.listeners.get(news.studio)?.forEach((tell) => tell(news.topics))
    })
    try {
      await client.connect()
      await client.query(`listen ${CHANNEL}`)
      // What was said while nobody heard it: everyone looks anew.
      for (const of of this.listeners.values()) of.forEach((tell) => tell(['everything']))
    } catch {
      lost()
    }
  }

  private again(): void {
    this.retry ??= setTimeout(() => {
      this.retry = undefined
      if (this.listeners.size && !this.client) void this.open()
    }, 500)
  }

  private close(): void {
    clearTimeout(this.retry)
    this.retry = undefined
    const { client } = this
    this.client = undefined
    void client?.end().catch(() => undefined)
  }
}

/**
 * Hears what is committed in a studio, by any server on the same database.
 * @returns the way to stop
 */
export function onChange(studioId: string, listener: Listener): () => void {
  shared.fikaHub ??= new Hub()
  return shared.fikaHub.add(studioId, listener)
}
