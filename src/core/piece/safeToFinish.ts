import { mustBeNumbers } from '../mustBe'
import { CURE, FINISH_WAIT, RECOAT, type FinishCoat } from '../plan/finish'
import { dryingHours, type Climate } from '../schedule/drying'

const HOUR_MS = 3_600_000

/** What the books and the looks say of a piece that is to be finished. Times in ms since 1970. */
export interface FinishFacts {
  readonly pouredAt: number
  /** Wet film that stayed on it, mm, and its volume solids, 0–1. */
  readonly wetMm: number
  readonly solids: number
  readonly climate: Climate
  /** When somebody looked and found it dry; null where nobody has. */
  readonly seenDryAt: number | null
  readonly hasSilicone: boolean
  /** Coats that are on it already, oldest first. */
  readonly coats: readonly { readonly kind: FinishCoat; readonly at: number; readonly cleanedSilicone: boolean }[]
}

/** When a finish is safe, why, and what must be done before. */
export interface SafeToFinish {
  /** First time it is safe, ms since 1970. */
  readonly from: number
  /** One sentence a reason, in the order they add up. */
  readonly reasons: readonly string[]
  /** The dry surface must be cleaned of silicone first. */
  readonly needsCleaning: boolean
}

/** Hours as makers say them. */
const span = (hours: number) =>
  hours < 47
    ? `${Math.round(hours)} h`
    : hours < 24 * 13
      ? `${Math.round(hours / 24)} days`
      : `${Math.round(hours / 168)} weeks`

/**
 * When varnish or resin may go on: once it is dry through by film and climate (the longest it may take, as long as nobody
 * has looked), then the wait of that finish, the window after an earlier coat, and silicone cleaned off first.
 * Waits are common practice; the label and the data sheet of the product go before them.
 * @throws Invalid for what is no number
 */
export function safeToFinish(kind: FinishCoat, f: FinishFacts): SafeToFinish {
  mustBeNumbers('A time', [f.pouredAt, f.seenDryAt, ...f.coats.map((c) => c.at)])
  const hours = dryingHours(f.wetMm, f.solids, f.climate)
  const through = f.seenDryAt === null ? hours.most : hours.through
  const film = `${f.wetMm.toFixed(1)} mm of wet film at ${Math.round(f.climate.celsius)} °C and ${Math.round(100 * f.climate.humidity)} % is dry through after about ${span(through)}`
  const reasons = [
    f.seenDryAt === null
      ? `${film}, at the longest: nobody has looked yet.`
      : `${film}, and somebody has found it dry.`,
  ]
  const dryAt = Math.max(f.pouredAt + through * HOUR_MS, f.seenDryAt ?? 0)
  let from = dryAt + FINISH_WAIT[kind] * HOUR_MS
  reasons.push(
    kind === 'varnish'
      ? `Varnish waits ${span(FINISH_WAIT.varnish)} more, so that what is left of the water gets out.`
      : `Resin waits until it has been dry through for ${span(FINISH_WAIT.resin)}: what is still damp under it stays so.`,
  )
  const last = f.coats.at(-1)
  if (last) {
    const wait = last.kind === kind ? RECOAT[kind] : CURE[last.kind] + FINISH_WAIT.varnish
    const after = last.at + wait * HOUR_MS
    if (after > from) from = after
    reasons.push(
      last.kind === kind
        ? `The next coat of ${kind} goes on ${span(wait)} after the last, or within the window its sheet names.`
        : `There is ${last.kind} on it: whether ${kind} holds on that, its data sheet says; wait at least ${span(wait)}.`,
    )
  }
  const needsCleaning = f.hasSilicone && !f.coats.some((c) => c.cleanedSilicone)
  if (needsCleaning)
    reasons.push(
      'There is silicone or another additive in it: the dry surface is cleaned first, or the finish draws back.',
    )
  return { from, reasons, needsCleaning }
}
