import { onChange } from '@/db/base/announce'
import { findSession, type Session } from '@/db/people/sessions'
import { tokenHere } from '@/session/cookie'
import { holdLine } from './lines'

/** How often an idle line is given a sign of life, so that nothing between cuts it, ms. */
const ALIVE_MS = 15_000
/** Every how many signs of life it is looked whether the session still stands: it may have run out. */
const LOOKED_EVERY = 4

const encoder = new TextEncoder()
/** Events as they go out: what is told to many is written once. */
const frames = new WeakMap<object, Uint8Array>()

function frameOf(data: object): Uint8Array {
  const known = frames.get(data)
  if (known) return known
  const made = encoder.encode(`data: ${JSON.stringify(data)}\n\n`)
  frames.set(data, made)
  return made
}

/** The rest of the line's life: its session, whose end ends it, and the place it takes. */
async function tiedTo(who: Session, end: () => void): Promise<{ release: () => void; stands: () => Promise<boolean> }> {
  const token = await tokenHere()
  const out = holdLine(who.sessionId, end)
  const deaf = onChange(who.studioId, (topics) => {
    if (topics.includes(`session ${who.sessionId}`)) end()
  })
  return {
    release: () => {
      out()
      deaf()
    },
    stands: async () => token !== undefined && (await findSession(token)) !== undefined,
  }
}

/**
 * A stream of server-sent events to one session. It is counted while it is open, and ends with its session. Asked for
 * its headers alone (HEAD), nothing is opened.
 * @param start gets the way to send and returns the way to stop; it stops when the browser goes away
 */
export async function eventStream(
  request: Request,
  who: Session,
  start: (send: (data: object) => void) => () => void,
): Promise<Response> {
  const headers = {
    'Content-Type': 'text/event-stream; charset=utf-8',
    // No-transform keeps compression from gathering events before they go out.
    'Cache-Control': 'no-cache, no-transform',
    'X-Accel-Buffering': 'no',
  }
  if (request.method === 'HEAD') return new Response(null, { headers })
  let stop = () => undefined as void
  const tie = await tiedTo(who, () => stop())
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      let open = true
      const write = (bytes: Uint8Array) => {
        if (!open) return
        try {
          controller.enqueue(bytes)
        } catch {
          // The browser went away without a word.
          stop()
        }
      }
      write(encoder.encode(': here\n\n'))
      const end = start((data) => write(frameOf(data)))
      let signs = 0
      const alive = setInterval(() => {
        write(encoder.encode(': alive\n\n'))
        signs += 1
        if (signs % LOOKED_EVERY === 0)
          tie.stands().then(
            (stands) => stands || stop(),
            () => undefined,
          )
      }, ALIVE_MS)
      stop = () => {
        if (!open) return
        open = false
        clearInterval(alive)
        end()
        tie.release()
        try {
          controller.close()
        } catch {
          // Already closed by the other side.
        }
      }
      request.signal.addEventListener('abort', stop)
      if (request.signal.aborted) stop()
    },
    cancel: () => stop(),
  })
  return new Response(body, { headers })
}
