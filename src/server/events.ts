/** How often an idle line is given a sign of life, so that nothing between cuts it, ms. */
const ALIVE_MS = 15_000

/**
 * A stream of server-sent events. `start` gets the way to send and returns the way to stop; it stops when the browser
 * goes away.
 */
export function eventStream(request: Request, start: (send: (data: object) => void) => () => void): Response {
  const encoder = new TextEncoder()
  let stop = () => undefined as void
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      let open = true
      const write = (text: string) => {
        if (!open) return
        try {
          controller.enqueue(encoder.encode(text))
        } catch {
          // The browser went away without a word.
          stop()
        }
      }
      write(': here\n\n')
      const end = start((data) => write(`data: ${JSON.stringify(data)}\n\n`))
      const alive = setInterval(() => write(': alive\n\n'), ALIVE_MS)
      stop = () => {
        if (!open) return
        open = false
        clearInterval(alive)
        end()
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
  return new Response(body, {
    headers: {
      'Content-Type': 'text/event-stream; charset=utf-8',
      // No-transform keeps compression from gathering events before they go out.
      'Cache-Control': 'no-cache, no-transform',
      'X-Accel-Buffering': 'no',
    },
  })
}
