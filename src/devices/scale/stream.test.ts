import { connect, createServer } from 'node:net'
import { settled } from '@/core/device/settle'
import { random } from '../../../tests/support/random'
import { startScale, type ScaleStandIn } from './standIn'
import { AWAY, NO_SCALE, scaleAddress, ScaleStream, type ScaleNews } from './stream'

const until = async (what: () => boolean, most = 5_000) => {
  const from = Date.now()
  while (!what()) {
    if (Date.now() - from > most) throw new Error('it did not happen')
    await new Promise((resolve) => setTimeout(resolve, 10))
  }
}

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
