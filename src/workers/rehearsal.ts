import { expose, transfer } from 'comlink'
import { FikaError } from '@/core/errors'
import { cellFor } from '@/core/tilt/board'
import { corrected, type Corrected, type WeighedRehearsal } from '@/core/tilt/corrected'
import { Drawing } from '@/core/tilt/draw'
import { enough, type Enough } from '@/core/tilt/enough'
import { leanAt, slopesOf, thinned, type Lean } from '@/core/tilt/hand'
import { beforeTilting } from '@/core/tilt/keeper'
import { Rehearsal, type Moment, type Readings } from '@/core/tilt/rehearsal'
import type { StartTask } from '@/core/tilt/start'
import { suggest, type Suggestion, type Wanted } from '@/core/tilt/suggest'

/** Cells while it runs, and of the fine picture: at least so large, mm, and at most so many. */
const LIVE = { cellMm: 4, cells: 13_000 }
const FINE = { cellMm: 2, cells: 60_000 }
/** Longest a turn of the loop computes before it looks for what was said to it, ms; a picture comes so often, ms. */
const TURN_MS = 25
const PICTURE_MS = 33
const READ_MS = 200
/** A moment is kept so often, s, up to so many of them. */
const MOMENT_S = 1
const MOMENTS = 90

/** What the page is told while it runs. */
export interface Shown {
  readonly readings: Readings
  readonly lean: { readonly x: number; readonly y: number }
  readonly running: boolean
  /** Seconds of the pour in each second that passes. */
  readonly pace: number
}

/** What was asked for, or one sentence why not. */
export interface Answered<T> {
  readonly value?: T
  readonly message?: string
}

interface Open {
  readonly task: StartTask
  readonly seed: number
  readonly rehearsal: Rehearsal
  /** While it runs, and sharp as the screen where it stands still. */
  readonly moving: Canvas
  readonly still: Canvas
}

interface Canvas {
  readonly drawing: Drawing
  readonly pixels: ImageData
}

/** So much wider is the picture that stands still. */
const SHARPER = 2

function canvasOf(rehearsal: Rehearsal, width: number): Canvas {
  const drawing = new Drawing(rehearsal, width)
  return { drawing, pixels: new ImageData(drawing.width, drawing.height) }
}

let open: Open | undefined
let lean = { x: 0, y: 0 }
let running = false
let hand: Lean[] = []
/** A path that is replayed instead of the hand. */
let replayed: readonly Lean[] | undefined
let moments: { moment: Moment; points: number }[] = []
let pace = 1
let stopped = false
/** Counts the loops, so that there is one. */
let turn = 0
let show: ((picture: ImageBitmap | null, shown: Shown | null) => void) | undefined

const breathe = () => new Promise<void>((resolve) => setTimeout(resolve, 0))

async function told<T>(work: () => T | Promise<T>): Promise<Answered<T>> {
  try {
    return { value: await work() }
  } catch (error) {
    if (error instanceof FikaError) return { message: error.message }
    throw error
  }
}

function made(task: StartTask, seed: number, width: number): Open {
  const rehearsal = new Rehearsal(task, cellFor(task.shape, LIVE.cellMm, LIVE.cells), { seed })
  return {
    task,
    seed,
    rehearsal,
    moving: canvasOf(rehearsal, width),
    still: canvasOf(rehearsal, SHARPER * width),
  }
}

async function put(pixels: ImageData): Promise<void> {
  const bitmap = await createImageBitmap(pixels)
  show?.(transfer(bitmap, [bitmap]), null)
}

async function picture(): Promise<void> {
  if (!open || !show) return
  const { drawing, pixels } = running ? open.moving : open.still
  drawing.draw(pixels.data)
  await put(pixels)
}

function tell(): void {
  if (open && show) show(null, { readings: open.rehearsal.readings(), lean, running, pace })
}

function keepMoment(): void {
  const { rehearsal } = open!
  const last = moments.at(-1)
  if (last && rehearsal.t - last.moment.t < MOMENT_S) return
  moments.push({ moment: rehearsal.moment(), points: hand.length })
  if (moments.length > MOMENTS) moments.splice(1, 1)
}

/** Goes on as time passes, or as fast as it can; a picture and readings come out as they are due. */
async function loop(): Promise<void> {
  let last = performance.now()
  let drawn = 0
  let read = 0
  const mine = ++turn
  while (running && open && mine === turn) {
    const now = performance.now()
    const due = Math.min(0.1, (now - last) / 1000)
    last = now
    const { rehearsal } = open
    const until = rehearsal.t + due
    while (rehearsal.t < until - 1e-6 && performance.now() - now < TURN_MS) {
      if (replayed) lean = leanAt(replayed, rehearsal.t)
      const point = { t: rehearsal.t, ...lean }
      note(point)
      rehearsal.advance(Math.min(0.05, until - rehearsal.t), slopesOf([point]))
    }
    const went = performance.now() - now
    pace += 0.1 * ((due > 0 ? 1 - Math.max(0, until - rehearsal.t) / due : 1) - pace)
    keepMoment()
    if (replayed && rehearsal.t > (replayed.at(-1)?.t ?? 0) + 0.5) running = false
    if (now - drawn >= PICTURE_MS) {
      drawn = now
      await picture()
    }
    if (now - read >= READ_MS) {
      read = now
      tell()
    }
    await (went < 5 ? new Promise<void>((resolve) => setTimeout(resolve, 8)) : breathe())
  }
  if (mine !== turn) return
  await picture()
  tell()
}

/** What the hand does: a lean that is held is two points, however long. */
function note(point: Lean): void {
  const same = (p: Lean | undefined) => p?.x === point.x && p.y === point.y
  if (same(hand.at(-1)) && same(hand.at(-2))) hand[hand.length - 1] = point
  else hand.push(point)
}

const worker = {
  /** Lays the paint on the board. @param width of the picture in pixels */
  start(
    task: StartTask,
    seed: number,
    width: number,
    onShown: (picture: ImageBitmap | null, shown: Shown | null) => void,
  ): Promise<Answered<void>> {
    return told(async () => {
      running = false
      open = made(task, seed, width)
      show = onShown
      lean = { x: 0, y: 0 }
      hand = []
      moments = []
      replayed = undefined
      keepMoment()
      await picture()
      tell()
    })
  },
  /** The board leans so from now on, degrees. */
  lean(x: number, y: number): void {
    lean = { x, y }
    if (!running) tell()
  },
  run(on: boolean): void {
    if (on === running) return
    running = on
    if (on) void loop()
  },
  /** Goes back by some seconds; what the hand did after is forgotten. */
  async back(seconds: number): Promise<void> {
    if (!open) return
    running = false
    const to = open.rehearsal.t - seconds
    while (moments.length > 1 && moments.at(-1)!.moment.t > to) moments.pop()
    const { moment, points } = moments.at(-1)!
    open.rehearsal.goBackTo(moment)
    hand.length = points
    const end = hand.at(-1)
    if (end && end.t > moment.t) hand[points - 1] = { ...end, t: moment.t }
    lean = { x: 0, y: 0 }
    replayed = undefined
    await picture()
    tell()
  },
  /** Runs a path from the start. */
  async replay(path: Lean[]): Promise<void> {
    if (!open) return
    running = false
    open.rehearsal.goBackTo(moments[0]!.moment)
    hand = []
    moments.length = 1
    replayed = path
    await breathe()
    running = true
    void loop()
  },
  keep(x: number, y: number, radiusMm: number): void {
    open?.rehearsal.keep([x, y], radiusMm)
    tell()
  },
  dropKeepers(): void {
    open?.rehearsal.keepers.splice(0)
    tell()
  },
  /** What the hand did so far. */
  recorded(): Lean[] {
    const end = open && hand.length ? [{ t: open.rehearsal.t, ...lean }] : []
    return thinned([...hand, ...end])
  },
  /** The picture as it would be kept, drawn anew from fine cells by the recorded hand. */
  finely(
    width: number,
    onDone: (share: number) => void,
  ): Promise<Answered<{ picture: Blob; readings: Readings } | undefined>> {
    return told(async () => {
      const { task, seed, rehearsal } = open!
      running = false
      stopped = false
      const path = worker.recorded()
      const until = rehearsal.t
      const fine = new Rehearsal(task, cellFor(task.shape, FINE.cellMm, FINE.cells), { seed })
      fine.keepers.push(...rehearsal.keepers)
      const slopeAt = slopesOf(path)
      while (fine.t < until - 1e-6 && !stopped) {
        fine.advance(Math.min(0.25, until - fine.t), slopeAt)
        onDone(fine.t / Math.max(1e-6, until))
        await breathe()
      }
      if (stopped) return undefined
      const drawing = new Drawing(fine, width)
      const pixels = new ImageData(drawing.width, drawing.height)
      drawing.draw(pixels.data)
      const canvas = new OffscreenCanvas(drawing.width, drawing.height)
      canvas.getContext('2d')!.putImageData(pixels, 0, 0)
      await put(pixels)
      return { picture: await canvas.convertToBlob({ type: 'image/png' }), readings: fine.readings() }
    })
  },
  /** Corners in the best orders, for the film that is wanted and the keepers that were marked. */
  suggest(filmMm: Wanted['filmMm'], onTried: (done: number, all: number) => void): Promise<Answered<Suggestion[]>> {
    return told(() => {
      running = false
      stopped = false
      const { task, rehearsal } = open!
      return suggest(task, { filmMm, keepers: rehearsal.keepers.map(beforeTilting) }, async (done, all) => {
        onTried(done, all)
        await breathe()
        return !stopped
      })
    })
  },
  enough(onTried: (done: number, all: number) => void): Promise<Answered<Enough>> {
    return told(() => {
      running = false
      stopped = false
      return enough(open!.task, worker.recorded(), async (done, all) => {
        onTried(done, all)
        await breathe()
        return !stopped
      })
    })
  },
  /** What weighed pieces say of how paint runs. */
  corrected(
    weighed: readonly WeighedRehearsal[],
    onTried: (done: number, all: number) => void,
  ): Promise<Answered<Corrected | undefined>> {
    return told(() => {
      running = false
      stopped = false
      return corrected(weighed, async (done, all) => {
        onTried(done, all)
        await breathe()
        return !stopped
      })
    })
  },
  /** Calls off what searches or draws finely. */
  stop(): void {
    stopped = true
  },
}
export type RehearsalWorker = typeof worker

expose(worker)
