import { boardOf } from '@/core/tilt/board'
import { Drawing } from '@/core/tilt/draw'
import { explicitStep } from '@/core/tilt/explicit'
import { Film, G, slopeOf } from '@/core/tilt/film'
import { heldPath, slopesOf } from '@/core/tilt/hand'
import { Rehearsal } from '@/core/tilt/rehearsal'
import { suggest, WANTED_FILM_MM } from '@/core/tilt/suggest'
import { withStudio } from '@/db/base/withStudio'
import { savePlan } from '@/db/plans/write'
import { planInput } from '../tests/support/plans'
import { cupOf, startTask } from '../tests/support/tilt'
import { compare, type Figure } from './measure'
import { inPage, longestStillness, watchStillness } from './page'
import { fillRack } from './rack'

/** Six colours in three cups on white, 40 × 50 cm. */
const large = startTask({
  shape: { shape: 'rectangle', lengthMm: 400, widthMm: 500 },
  colours: ['#f5f3ec', '#136a78', '#e9b310', '#4b2a86', '#1d2540', '#c22a2c'].map((hex, i) => ({
    hex,
    sheen: i === 2 ? ('metallic' as const) : ('satin' as const),
    nu: 200 + 20 * i,
  })),
  coats: [{ colour: 0, ul: 60_000, region: null, path: [] }],
  cups: (
    [
      [-60, -90],
      [80, -20],
      [-20, 110],
    ] as const
  ).map((at) =>
    cupOf(
      [1, 2, 3, 4, 5, 1, 4, 3].map((c) => [c, 9] as const),
      { at },
    ),
  ),
})
const hand = slopesOf(
  heldPath([
    { x: -9, y: -11, seconds: 3 },
    { x: 9, y: -11, seconds: 3 },
    { x: 9, y: 12, seconds: 3 },
  ]),
)

/** Seconds it took, of a part of a rehearsal. */
function secondsOf(cellMm: number, seconds: number, seen: boolean): number {
  const r = new Rehearsal(large, cellMm, { seed: 3, seen })
  const from = performance.now()
  r.advance(seconds, hand)
  return (performance.now() - from) / 1000
}

const figure = (name: string, ours: number, reference: number, unit: string, aim: string): Figure => ({
  name,
  ours,
  reference,
  unit,
  ratio: ours / reference,
  aim,
})

/** How far from the theory the front of a current is on fine cells (Huppert 1982, Nature 300). */
function hupperts(cellMm: number): number {
  const film = new Film(
    boardOf(Math.round(500 / cellMm), 1, cellMm, () => true),
    [900],
    { lipMm: 1e9, holdDeg: 90 },
  )
  for (let i = 0; i < 20 / cellMm; i++) film.mix[i] = 6
  film.settle()
  const slope = slopeOf(15, 0)
  let t = 0
  for (let dt = 0.002; t < 200; t += dt, dt = Math.min(0.03, dt * 1.2)) film.step(dt, slope)
  const x = (film.h.findLastIndex((h) => h > 1e-3) + 1) * cellMm
  return Math.abs(x / (((9 * 120 * 120 * G * slope.sx) / (4 * 900)) ** (1 / 3) * t ** (1 / 3)) - 1)
}

/** Rehearsing: the scheme against the explicit one, with the picture and without, beside real time, and in the page. */
export async function tiltFigures(url: string): Promise<Figure[]> {
  const made = () => {
    const film = new Film(
      boardOf(100, 125, 4, () => true),
      [200],
    )
    film.mix.forEach((_, k, s) => (s[k] = Math.hypot((k % 100) - 50, Math.floor(k / 100) - 60) < 25 ? 5 : 0.3))
    film.settle()
    return film
  }
  const slope = slopeOf(12, 6)
  const implicit = () => {
    const film = made()
    for (let t = 0, dt = 0.005; t < 2; t += dt, dt = Math.min(0.03, dt * 1.4)) film.step(dt, slope)
  }
  const explicit = () => {
    const film = made()
    for (let t = 0; t < 2;) t += explicitStep(film, slope, 2 - t)
  }
  secondsOf(4, 1, true)
  const drawing = new Drawing(new Rehearsal(large, 4, { seed: 3 }), 640)
  const pixels = new Uint8ClampedArray(drawing.width * drawing.height * 4)
  const searched = performance.now()
  await suggest(large, { keepers: [{ at: [-60, -90], radiusMm: 25 }], filmMm: WANTED_FILM_MM }, () => true)
  const suggestS = (performance.now() - searched) / 1000
  return [
    await compare(
      'time',
      '2 s of tilting on 12,500 cells, implicit against explicit',
      '≤ 0.1',
      1,
      implicit,
      explicit,
      3,
    ),
    figure(
      'six colours on 200 × 250 cells for 3 s, with the picture carried along against without',
      secondsOf(2, 3, true),
      secondsOf(2, 3, false),
      's',
      '≤ 2',
    ),
    figure(
      'six colours on cells of 4 mm as they run live, against the time that passes',
      secondsOf(4, 12, true),
      12,
      's',
      '≤ 0.5',
    ),
    figure('six colours on 200 × 250 cells, against the time that passes', secondsOf(2, 6, true), 6, 's', '≤ 0.5'),
    await compare(
      'time',
      'a picture of 640 × 800 against a thirtieth of a second',
      '≤ 1',
      1,
      () => drawing.draw(pixels),
      () => new Promise((resolve) => setTimeout(resolve, 33)),
      7,
    ),
    figure('three suggestions with a keeper, against 10 s', suggestS, 10, 's', '≤ 1'),
    figure('front of a current (Huppert 1982) on 0.5 mm, how far off, against 4 %', hupperts(0.5), 0.04, '', '≤ 1'),
    await stillness(url),
  ]
}

/** The longest task of the page while a rehearsal runs and is dragged, against 50 ms: only longer ones are ever seen. */
async function stillness(url: string): Promise<Figure> {
  const longest = await inPage(url, 'Tilting room', async (page, signed) => {
    const plan = await withStudio(signed, async (tx) => {
      const input = planInput((await fillRack(tx, 60)).slice(0, 6), {
        technique: 'ring',
        design: { surface: { shape: 'rectangle', lengthMm: 400, widthMm: 500, edgeMm: 20, count: 1 } },
      })
      await savePlan(tx, input)
      return input.id
    })
    await page.goto(`${url}/plan/${plan}/rehearse`)
    await page.getByTestId('kept').first().waitFor()
    await watchStillness(page)
    const box = (await page.getByTestId('board').boundingBox())!
    await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
    await page.mouse.down()
    for (let n = 0; n < 40; n++) {
      const a = (2 * Math.PI * n) / 40
      await page.mouse.move(
        box.x + box.width * (0.5 + 0.35 * Math.cos(a)),
        box.y + box.height * (0.5 + 0.35 * Math.sin(a)),
      )
      await page.waitForTimeout(200)
    }
    await page.mouse.up()
    return longestStillness(page)
  })
  return figure(
    'longest task of the page while it runs and is dragged (0: none of 50 ms), against 50 ms',
    longest,
    50,
    'ms',
    '≤ 1',
  )
}
