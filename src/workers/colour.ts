import { expose } from 'comlink'
import { unpackOptics } from '@/core/colour/packOptics'
import { matchSteps, type MatchWish, type Matched } from '@/core/colour/match/match'
import { asSeen, mendSteps, type Mended, type MendWish } from '@/core/colour/match/mend'
import { mixOptics, type Optics } from '@/core/colour/kubelkaMunk'
import { FikaError } from '@/core/errors'

/** What a search answers; null where it was called off. */
export type Answered<T> = { ok: true; value: T } | { ok: false; message: string } | null

/** How long a slice of a search may take before the worker looks whether it was called off, ms. */
const SLICE_MS = 24
/** How often it says how far it is, ms: drawing that must not slow the search. */
const SAID_MS = 150
/** More than a maker would ever look at. */
const SENT = 60

let turn = 0

/** Lets waiting messages in; a timer would wait four milliseconds each time. */
const { port1, port2 } = new MessageChannel()
const breathe = () =>
  new Promise<void>((resolve) => {
    port1.onmessage = () => resolve()
    port2.postMessage(null)
  })

async function run<T>(steps: Generator<number, T>, onProgress: (share: number) => void): Promise<Answered<T>> {
  const mine = ++turn
  try {
    let since = performance.now()
    let said = since
    for (let step = steps.next(); ; step = steps.next()) {
      if (step.done) return { ok: true, value: step.value }
      const now = performance.now()
      if (now - since > SLICE_MS) {
        if (now - said > SAID_MS) {
          onProgress(step.value)
          said = now
        }
        await breathe()
        if (turn !== mine) return null
        since = performance.now()
      }
    }
  } catch (error) {
    if (error instanceof FikaError) return { ok: false, message: error.message }
    throw error
  }
}

export interface CupInHand {
  readonly paints: readonly string[]
  readonly amounts: readonly number[]
  /** Reflectance of the cup as it looks, where that was seen. */
  readonly seen: readonly number[] | null
}

function opticsOfCup({ paints, amounts, seen }: CupInHand): Optics {
  const total = amounts.reduce((a, b) => a + b, 0)
  const sum = mixOptics(paints.map(unpackOptics), amounts)
  const perUnit = { k: sum.k.map((v) => v / total), s: sum.s.map((v) => v / total) }
  return seen ? asSeen(perUnit, Float64Array.from(seen)) : perUnit
}

const worker = {
  /** Formulas near a target. @param paints packed optics of the paints allowed */
  async match(
    target: readonly number[],
    paints: readonly string[],
    wish: MatchWish,
    onProgress: (share: number) => void,
  ): Promise<Answered<Matched>> {
    const found = await run(matchSteps(Float64Array.from(target), paints.map(unpackOptics), wish), onProgress)
    if (!found?.ok) return found
    return { ok: true, value: { exact: found.value.exact.slice(0, SENT), whole: found.value.whole.slice(0, SENT) } }
  },
  /** What to add to a cup. */
  mend(
    target: readonly number[],
    cup: CupInHand,
    paints: readonly string[],
    wish: MendWish,
    onProgress: (share: number) => void,
  ): Promise<Answered<Mended>> {
    return run(mendSteps(Float64Array.from(target), opticsOfCup(cup), paints.map(unpackOptics), wish), onProgress)
  },
  /** Calls off whatever is being searched. */
  cancel(): void {
    turn += 1
  },
}
export type ColourWorker = typeof worker

expose(worker)
