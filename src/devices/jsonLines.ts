import type { Socket } from 'node:net'

/** Longest line a device may send, characters; whatever is longer is not our protocol. */
const LONGEST = 64_000

/**
 * Cuts what comes over a socket into lines of text, empty ones left out.
 * @param onGarbage is called once for a line too long; nothing is read after it
 */
export function onLines(socket: Socket, onLine: (text: string) => void, onGarbage: () => void): void {
  let held = ''
  let broken = false
  socket.setEncoding('utf8')
  socket.on('data', (chunk: string) => {
    if (broken) return
    held += chunk
    const lines = held.split('\n')
    held = lines.pop()!
    if (held.length > LONGEST) {
      broken = true
      return onGarbage()
    }
    for (const line of lines) if (line.trim()) onLine(line)
  })
}

/**
 * Cuts what comes over a socket into lines of JSON.
 * @param onLine gets each parsed line
 * @param onGarbage is called once for what is no JSON, or a line too long; nothing is read after it
 */
export function onJsonLines(socket: Socket, onLine: (value: unknown) => void, onGarbage: () => void): void {
  let broken = false
  const fail = () => {
    if (!broken) onGarbage()
    broken = true
  }
  onLines(
    socket,
    (text) => {
      if (broken) return
      let value: unknown
      try {
        value = JSON.parse(text)
      } catch {
        return fail()
      }
      onLine(value)
    },
    fail,
  )
}

export const sendLine = (socket: Socket, value: object) => socket.write(`${JSON.stringify(value)}\n`)
