import { deltaE00 } from '@/core/colour/deltaE00'
import { showOnScreen } from '@/core/colour/gamut'
import { hexToLab } from '@/core/colour/lab'
import { mixToLab } from '@/core/colour/mixColour'
import { packOptics } from '@/core/colour/packOptics'
import { opticsFromHex } from '@/core/colour/paintOptics'
import { reflectanceFromHex } from '@/core/colour/reflectance'
import type { ColourWorker } from './colour'

const kept: { worker?: ColourWorker } = {}
jest.mock('comlink', () => ({
  expose: (worker: ColourWorker) => {
    kept.worker = worker
  },
}))

const hexes = ['#136a78', '#f5f3ec', '#1d4e9e', '#e9b310', '#c22a2c', '#1c1c1c', '#7a4a22', '#3f8f4f']
const optics = hexes.map((h) => opticsFromHex(h, 'normal'))
const packed = optics.map(packOptics)
const target = (hex: string) => [...reflectanceFromHex(hex)]
let worker: ColourWorker
beforeAll(async () => {
  // An open channel of Node's keeps the process running; a worker in a browser is ended from outside.
  class Channel {
    port1: { onmessage?: () => void } = {}
    port2 = { postMessage: () => setImmediate(() => this.port1.onmessage?.()) }
  }
  Object.assign(globalThis, { MessageChannel: Channel })
  await import('./colour')
  worker = kept.worker!
})

describe('the colour worker', () => {
  it('finds formulas from packed paints, nearest first, and sends no more than a maker looks at', async () => {
    const said = await worker.match(target('#2f7f8c'), packed, { most: 3 }, () => undefined)
    if (!said?.ok) throw new Error('it was to be found')
    const { whole, exact } = said.value
    expect(whole.length).toBeGreaterThan(5)
    expect(Math.max(whole.length, exact.length)).toBeLessThanOrEqual(60)
    expect(whole.map((w) => w.deltaE)).toEqual([...whole.map((w) => w.deltaE)].sort((a, b) => a - b))
    const { set, parts, deltaE } = whole[0]!
    const mixed = mixToLab(
      set.map((i) => optics[i]!),
      parts,
    )
    // Packed optics are 32-bit floats.
    expect(deltaE00(mixed, hexToLab('#2f7f8c'))).toBeCloseTo(deltaE, 2)
  })
  it('says in a sentence what it refuses', async () => {
    const said = await worker.match(target('#2f7f8c'), [], { most: 3 }, () => undefined)
    expect(said).toMatchObject({ ok: false, message: expect.stringMatching(/\.$/) })
  })
  it('mends a cup by its recipe, and from how it looks where that was seen', async () => {
    const cup = { paints: [packed[1]!, packed[2]!], amounts: [90_000, 10_000], seen: null }
    const wish = { most: 2, tolerance: 0.5, cupUl: 100_000, roomUl: 200_000, dropUl: 50 } as const
    const wanted = mixToLab([optics[1]!, optics[2]!], [90, 20])
    const said = await worker.mend(
      [...reflectanceFromHex(showOnScreen(wanted).hex)],
      cup,
      packed,
      wish,
      () => undefined,
    )
    if (!said?.ok) throw new Error('it was to be mended')
    expect(said.value.reached).toBe(true)
    expect(said.value.ways.length).toBeGreaterThan(0)
    const darker = await worker.mend(
      [...reflectanceFromHex(showOnScreen(wanted).hex)],
      { ...cup, seen: target('#202020') },
      packed,
      wish,
      () => undefined,
    )
    if (!darker?.ok) throw new Error('it was to be answered')
    // What is nearly black is far from the pale blue that the recipe alone would be.
    expect(darker.value.now).toBeGreaterThan(said.value.now + 20)
  })
  it('is called off while it searches, and answers nothing then', async () => {
    const many = Array.from({ length: 60 }, (_, i) =>
      packOptics(opticsFromHex(`#${(0x204060 + i * 0x030509).toString(16)}`, 'normal')),
    )
    // A slow machine may tell how far it is before it hears of it: what the first one tells is not the second's.
    const search = worker.match(target('#2f7f8c'), many, { most: 4 }, () => undefined)
    worker.cancel()
    expect(await search).toBeNull()
    const shares: number[] = []
    const again = await worker.match(target('#2f7f8c'), many, { most: 4 }, (share) => shares.push(share))
    expect(again?.ok).toBe(true)
    expect(shares).toEqual([...shares].sort((a, b) => a - b))
    expect(shares.every((s) => s >= 0 && s <= 1)).toBe(true)
  })
})
