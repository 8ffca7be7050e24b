import { connect, createServer } from 'node:net'
import { settled } from '@/core/device/settle'
import { random } from '../../../tests/support/random'
import { readLine } from './patterns'
import { Plate, startScale, type ScaleStandIn } from './standIn'
import { AWAY, NO_SCALE, scaleAddress, ScaleStream, type ScaleNews } from './stream'

const until = async (what: () => boolean, most = 5_000) => {
  const from = Date.now()
  while (!what()) {
    if (Date.now() - from > most) throw new Error('it did not happen')
    await new Promise((resolve) => setTimeout(resolve, 10))
  }
}

describe('the plate of the stand-in', () => {
  function plate(noise = 0, resolutionG = 0.1) {
    let now = 0
    const p = new Plate({ capacityG: 500, resolutionG, noise, random: random(1), clock: () => now })
    const after = (ms: number) => {
      now += ms
      return p.reading()
    }
    return { p, after }
  }
  it('follows a weight with its inertia, and says when it stands', () => {
    const { p, after } = plate()
    void p.do({ do: 'place', grams: 100 })
    // One time constant later it shows 1 − 1/e of it.
    expect(after(120).grams).toBeCloseTo(63.2, 1)
    expect(after(10).stable).toBe(false)
    expect(after(2_000)).toMatchObject({ grams: 100, overload: false })
    expect(after(500).stable).toBe(true)
  })
  it('is poured upon at a rate, and stops', async () => {
    const { p, after } = plate()
    const done = p.do({ do: 'pour', grams: 50, rate: 20 })
    after(1_000)
    expect(after(0).stable).toBe(false)
    const half = after(0).grams
    expect(half).toBeGreaterThan(15)
    expect(half).toBeLessThan(21)
    after(5_000)
    await done
    expect(after(2_000).grams).toBeCloseTo(50, 1)
    void p.do({ do: 'pour', grams: 50, rate: 20 })
    after(500)
    void p.do({ do: 'stop' })
    const left = after(3_000).grams
    expect(left).toBeCloseTo(60, 0)
  })
  it('tares, and says what it took off', () => {
    const { p, after } = plate()
    void p.do({ do: 'place', grams: 32 })
    after(3_000)
    void p.do({ do: 'tare' })
    void p.do({ do: 'place', grams: 10 })
    expect(after(3_000)).toMatchObject({ grams: 10, tare: 32 })
  })
  it('gives no weight over its capacity', () => {
    const { p, after } = plate()
    void p.do({ do: 'place', grams: 501 })
    expect(after(3_000)).toMatchObject({ overload: true, stable: false, grams: 0 })
    void p.do({ do: 'place', grams: -2 })
    expect(after(3_000).overload).toBe(false)
  })
  it('has the noise and the drift of a real one', () => {
    const { p, after } = plate(1, 0.01)
    void p.do({ do: 'place', grams: 100 })
    after(3_000)
    const seen = Array.from({ length: 200 }, () => after(100).grams)
    expect(new Set(seen).size).toBeGreaterThan(5)
    for (const g of seen) expect(Math.abs(g - 100)).toBeLessThan(0.3)
    const later = Array.from({ length: 50 }, () => Math.abs(after(3_600_000).grams - 100))
    expect(Math.max(...later)).toBeGreaterThan(0.3)
  })
})

describe('the line to a scale', () => {
  let scale: ScaleStandIn
  beforeEach(async () => {
    scale = await startScale({ port: 0, random: random(2), clock: Date.now, rate: 40 })
  })
  afterEach(() => scale.close())
  const listenTo = (port: number | undefined) => {
    const stream = new ScaleStream(port === undefined ? undefined : { host: '127.0.0.1', port })
    const news: ScaleNews[] = []
    const stop = stream.listen((n) => news.push(n))
    return { stream, news, stop, weights: () => news.flatMap((n) => (n.kind === 'weight' ? [n] : [])) }
  }

  it('brings every weight, and a pour as it settles', async () => {
    const { news, stop, weights, stream } = listenTo(scale.port)
    await until(() => weights().length > 3)
    expect(news.find((n) => n.kind === 'here')).toMatchObject({
      name: 'Stand-in scale',
      resolutionG: 0.1,
      standIn: true,
    })
    expect(stream.ask({ do: 'pour', grams: 20, rate: 100 })).toBe(true)
    const rest = () =>
      settled(
        weights().map((w) => ({ grams: w.grams + w.tare, atMs: w.at, stable: w.stable })),
        0.1,
      )
    await until(() => (rest() ?? 0) > 19)
    expect(Math.abs(rest()! - 20)).toBeLessThan(0.3)
    stop()
  })
  it('is one line for all who listen, and none when nobody does', async () => {
    const one = listenTo(scale.port)
    const two: ScaleNews[] = []
    const stopTwo = one.stream.listen((n) => two.push(n))
    await until(() => two.filter((n) => n.kind === 'weight').length > 2)
    one.stop()
    stopTwo()
    const seen = two.length
    await new Promise((resolve) => setTimeout(resolve, 150))
    expect(two.length).toBe(seen)
    expect(one.stream.ask({ do: 'tare' })).toBe(false)
  })
  it('says that it is away when the plug is pulled, and is back by itself with what stands on it', async () => {
    scale.place(50)
    const { news, stop, weights } = listenTo(scale.port)
    await until(() => weights().length > 2)
    await scale.unplug()
    await until(() => news.at(-1)?.kind === 'away')
    expect(news.at(-1)).toEqual({ kind: 'away', why: AWAY })
    const before = weights().length
    await scale.plugIn()
    await until(() => weights().length > before + 20)
    expect(weights().at(-1)!.grams).toBeCloseTo(50, 0)
    stop()
  })
  it('tells what answers and is no scale', async () => {
    const other = createServer((s) => s.write('{"device":"toaster"}\n'))
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve))
    const { news, stop } = listenTo((other.address() as { port: number }).port)
    await until(() => news.some((n) => n.kind === 'away' && n.why.includes('not a scale')))
    stop()
    await new Promise((resolve) => other.close(resolve))
  })
  it('reads a scale that only writes lines of text, and lets it write other things between', async () => {
    const other = createServer((s) => s.write('ST,GS,+  123.4 g\r\nhello\r\nUS,GS,+  125.0 g\r\n'))
    await new Promise<void>((resolve) => other.listen(0, '127.0.0.1', resolve))
    const { news, stop, weights, stream } = listenTo((other.address() as { port: number }).port)
    await until(() => weights().length === 2)
    expect(weights().map((w) => [w.grams, w.stable])).toEqual([
      [123.4, true],
      [125, false],
    ])
    expect(news.find((n) => n.kind === 'here')).toMatchObject({ name: 'Scale', standIn: false })
    expect(stream.ask({ do: 'tare' })).toBe(false)
    stop()
    await new Promise((resolve) => other.close(resolve))
  })
  it('says so where none is set up', () => {
    const { news, stop } = listenTo(undefined)
    expect(news).toEqual([{ kind: 'away', why: NO_SCALE }])
    stop()
    expect(scaleAddress('127.0.0.1:7412')).toEqual({ host: '127.0.0.1', port: 7412 })
    expect([scaleAddress('example.org:80'), scaleAddress('')]).toEqual([undefined, undefined])
  })
  it('closes on who speaks no JSON, and answers what it does not understand', async () => {
    const socket = connect(scale.port, '127.0.0.1')
    let heard = ''
    socket.on('data', (d) => (heard += d.toString()))
    socket.write('{"do":"dance"}\n')
    await until(() => heard.includes('not understood'))
    const closed = new Promise((resolve) => socket.on('close', resolve))
    socket.write('nonsense\n')
    await closed
  })
})

describe('lines of text of other scales', () => {
  it.each([
    ['ST,GS,+  123.4 g', 123.4, true],
    ['US,NT,-0.5g', -0.5, false],
    ['S     12.34 g', 12.34, true],
    ['?  0.250 kg', 250, false],
    ['  88.1 g ?', 88.1, false],
    ['88.1', 88.1, true],
    ['S 2 oz', 56.69904625, true],
  ] as const)('%s', (text, grams, stable) => {
    const read = readLine(text)!
    expect(read.grams).toBeCloseTo(grams, 9)
    expect(read.stable).toBe(stable)
  })
  it('refuses fluid ounces, and what is no weight', () => {
    expect([readLine('ST,GS, 4.2 fl oz'), readLine('4.2 fl oz'), readLine('hello'), readLine('')]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ])
  })
})
