import { jpegOf, throughJpeg } from '../../../tests/support/photo/jpeg'
import { measured } from '../../../tests/support/photo/measured'
import { photograph } from '../../../tests/support/photo/photograph'
import { scene } from '../../../tests/support/photo/scene'
import { madePhotos, type Made } from '../../../tests/support/photo/shots'
import { drawn } from '../../../tests/support/thorough'
import { WHOLE } from '../surface/homography'
import { measurePhoto } from './measurePhoto'
import type { Picture } from './picture'

const [cells, lacing, both, bands] = madePhotos(4, 3, drawn(800, 1000)) as [Made, Made, Made, Made]
const shapeOf = ({ wish }: Made) => ({ shape: 'rectangle' as const, lengthMm: wish.lengthMm, widthMm: wish.widthMm })
const flat = (size: number, at: (x: number, y: number) => readonly [number, number, number]): Picture => {
  const data = new Uint8ClampedArray(4 * size * size)
  for (let i = 0; i < size * size; i++) data.set([...at(i % size, Math.floor(i / size)), 255], 4 * i)
  return { width: size, height: size, data }
}

// Pixels by the million: a machine that is busy takes its time.
jest.setTimeout(120_000)

describe('a measured photo', () => {
  // Floors are what a trial on such photos reached; the wide set is in the benchmarks.
  it('finds shares and cells with their size', async () => {
    const { score, measures } = await measured(cells, 4)
    expect(measures.trust.not).toEqual({})
    expect(score.variation).toBeLessThan(0.04)
    expect(score.worst).toBeLessThan(0.03)
    expect(score.cells!.precision).toBeGreaterThan(0.9)
    expect(score.cells!.recall).toBeGreaterThan(0.81)
    expect(Math.abs(score.cells!.diameter - 1)).toBeLessThan(0.06)
    expect(score.invented!).toBeLessThan(0.15)
  })
  it('finds lacing with its length and width, and takes its meshes for no cells', async () => {
    const { score, measures } = await measured(lacing, 5)
    expect(score.variation).toBeLessThan(0.04)
    expect(Math.abs(score.lacing!.length - 1)).toBeLessThan(0.15)
    expect(Math.abs(score.lacing!.width - 1)).toBeLessThan(0.15)
    expect(measures.cells.length).toBeLessThan(12)
  })
  it('tells cells and lacing apart where both are', async () => {
    const { score } = await measured(both, 5)
    expect(score.variation).toBeLessThan(0.05)
    expect(score.cells!.precision).toBeGreaterThan(0.8)
    expect(score.cells!.recall).toBeGreaterThan(0.81)
    expect(Math.abs(score.lacing!.length - 1)).toBeLessThan(0.2)
  })
  it('invents neither where there is none, and marks mud as a place to look at', async () => {
    const { score, measures } = await measured(bands, 4)
    expect(score.invented!).toBeLessThan(0.1)
    expect(measures.cells.length).toBeLessThan(4)
    expect(score.quiet).toBeLessThan(0.05)
    expect(measures.lookHere.filter((l) => l.sight === 'mud').length).toBeGreaterThan(0)
  })

  it('counts area fractions (Delesse 1847): discs of known area on a ground, seen straight on', () => {
    const discs = Array.from(
      { length: 12 },
      (_, i) => [130 + 180 * (i % 4), 150 + 240 * Math.floor(i / 4), 40 + 3 * i] as const,
    )
    const picture = flat(800, (x, y) =>
      discs.some(([cx, cy, r]) => (x + 0.5 - cx) ** 2 + (y + 0.5 - cy) ** 2 < r * r) ? [19, 106, 120] : [242, 239, 230],
    )
    const real = discs.reduce((sum, [, , r]) => sum + Math.PI * r * r, 0) / 800 ** 2
    const { measures } = measurePhoto(picture, WHOLE, { shape: 'rectangle', lengthMm: 200, widthMm: 200 }, [
      { hex: '#136a78', share: 0.3 },
      { hex: '#f2efe6', share: 0.7 },
    ])
    // The strip of a millimetre along the rim is not measured.
    expect(measures.colours[0]!.seen / (real / 0.99 ** 2)).toBeCloseTo(1, 2)
    expect(measures.cells).toHaveLength(12)
    const found = measures.cells.map((c) => c.diameterMm).sort((a, b) => a - b)
    discs.forEach(([, , r], i) => expect(found[i]!).toBeCloseTo(r / 2, 0))
    expect(measures.lacing.lengthMm).toBe(0)
  })

  it('says why it is not to be trusted: blur, glare, another piece', async () => {
    const lying = scene({ ...bands.wish, pxPerMm: 2.5 })
    const poured = bands.wish.palette.map((hex) => ({ hex, share: 1 / bands.wish.palette.length }))
    const not = async (shot: Made['shot'], palette = poured) => {
      const photo = photograph(lying, { ...shot, width: 640, height: 480 })
      return measurePhoto(await throughJpeg(photo), photo.quad, shapeOf(bands), palette).measures.trust.not.colours
    }
    expect(await not(bands.shot)).toBeUndefined()
    expect(await not({ ...bands.shot, blurPx: 8 })).toMatch('blurred')
    expect(await not({ ...bands.shot, glare: 0.5 })).toMatch('glares')
    const other = ['#0b0b0c', '#101a10', '#1a0d12'].map((hex) => ({ hex, share: 1 / 3 }))
    expect(await not(bands.shot, other)).toMatch('not the colours')
  })

  it('takes an overexposed white for white, not for glare', async () => {
    const lying = scene({ ...bands.wish, pxPerMm: 2.5 })
    const photo = photograph(lying, {
      ...bands.shot,
      width: 640,
      height: 480,
      cast: [0.22, 0.2, 0.18],
      vignette: 0,
      slope: 0,
    })
    const poured = bands.wish.palette.map((hex) => ({ hex, share: 1 / bands.wish.palette.length }))
    const { measures } = measurePhoto(await throughJpeg(photo), photo.quad, shapeOf(bands), poured)
    expect(measures.trust.not.colours).toBeUndefined()
    expect(measures.trust.glare).toBeLessThan(0.02)
    measures.colours.forEach((c, i) => expect(Math.abs(c.seen - lying.shares[i]!)).toBeLessThan(0.05))
  })

  it('by a card reads colours as they are, not as the palette would have them', () => {
    // All of the face lies 8 % darker than its bottle, in yellow light; the card says so.
    const gains = [Math.log(0.9), Math.log(0.85), Math.log(0.6)] as [number, number, number]
    const byte = (v: number) => Math.round(255 * (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055))
    const lit = (rgb: readonly number[]) =>
      rgb.map((v, i) => byte(0.8 * v * Math.exp(gains[i]!))) as [number, number, number]
    const [one, two] = [lit([0.05, 0.3, 0.35]), lit([0.6, 0.35, 0.05])]
    const picture = flat(500, (x) => (x < 250 ? one : two))
    const poured = [
      { hex: '#3f95a0', share: 0.5 },
      { hex: '#cba03f', share: 0.5 },
    ]
    const shape = { shape: 'rectangle', lengthMm: 100, widthMm: 100 } as const
    const carded = measurePhoto(picture, WHOLE, shape, poured, gains).measures
    expect(carded.hasCard).toBe(true)
    const lightOf = (m: typeof carded) => m.colours.map((c) => c.lab[0])
    const free = measurePhoto(picture, WHOLE, shape, poured).measures
    expect(free.hasCard).toBe(false)
    // Without a card the darkness of all of it is taken for light.
    lightOf(carded).forEach((l, i) => expect(l).toBeLessThan(lightOf(free)[i]! - 1))
  })

  it('lives with what phones do: small files of low quality', async () => {
    const lying = scene({ ...cells.wish, pxPerMm: 4 })
    const photo = photograph(lying, cells.shot)
    expect((await jpegOf(photo, 50)).length).toBeLessThan((await jpegOf(photo, 90)).length)
    const poured = cells.wish.palette.map((hex) => ({ hex, share: 1 / cells.wish.palette.length }))
    const { measures } = measurePhoto(await throughJpeg(photo, 50), photo.quad, shapeOf(cells), poured)
    const off = measures.colours.map((c, i) => Math.abs(c.seen - lying.shares[i]!))
    expect(Math.max(...off)).toBeLessThan(0.05)
  })
})
