/** Stands in for the browser's EventSource: a test says what the server says. */
export class FakeEventSource {
  static open: FakeEventSource[] = []
  /** The line that was opened last. */
  static get last(): FakeEventSource {
    return FakeEventSource.open.at(-1)!
  }

  /** Puts it in the browser's place. To be called before each test. */
  static install(): void {
    FakeEventSource.open = []
    Object.assign(globalThis, { EventSource: FakeEventSource })
  }

  onmessage: ((e: { data: string }) => void) | null = null
  onerror: (() => void) | null = null
  onopen: (() => void) | null = null
  closed = false

  constructor(readonly url: string) {
    FakeEventSource.open.push(this)
  }

  close(): void {
    this.closed = true
  }

  say(data: unknown): void {
    this.onmessage?.({ data: JSON.stringify(data) })
  }
}

/** Makes the page seen or not, as when another tab is chosen. */
export function showPage(seen: boolean): void {
  Object.defineProperty(document, 'visibilityState', { value: seen ? 'visible' : 'hidden', configurable: true })
  document.dispatchEvent(new Event('visibilitychange'))
}
