import { groupBy } from '../groupBy'
import type { Body } from '../paint/properties'
import { BATCH_TAU, learn, ofBatch, priorFrom, START_BELIEFS, tauOf, type Belief, type CurvePoint } from './dilution'

/** What a curve is learned for: the paint and the medium there is most of, and their ratio. */
export interface CurveKey {
  readonly paintId: string | null
  readonly mediumId: string | null
  readonly body: Body
  /** Medium : paint by volume. */
  readonly ratio: number
}

/** One mix that was read while it was thinned. */
export interface Logged extends CurveKey {
  readonly id: string
  readonly points: readonly CurvePoint[]
}

export const pairOf = (k: CurveKey) => `${k.paintId} ${k.mediumId}`

/** What the studio believes of mixes it has not read yet, by body: the start values, moved by its own curves. */
export function priorsOf(logs: readonly Logged[]): Map<Body, Belief> {
  // One reading says nothing of how water thins it.
  const telling = logs.filter((log) => new Set(log.points.map((p) => p.w)).size >= 2)
  const curves = new Map<Body, Belief[]>()
  for (const list of groupBy(telling, (log) => `${log.body} ${pairOf(log)}`).values()) {
    const { body } = list[0]!
    const curve = learn(
      START_BELIEFS[body],
      list.map((l) => ({ points: l.points, tau: BATCH_TAU })),
    )
    curves.set(body, [...(curves.get(body) ?? []), curve])
  }
  return new Map(
    (Object.keys(START_BELIEFS) as Body[]).map((body) => [
      body,
      priorFrom(START_BELIEFS[body], curves.get(body) ?? []),
    ]),
  )
}

/** The curve of a paint and medium: the prior of its body, and every titration of that pair, of like ratios most. */
export function curveOf(key: CurveKey, logs: readonly Logged[], priors: ReadonlyMap<Body, Belief>): Belief {
  const same = logs.filter((l) => pairOf(l) === pairOf(key) && l.points.length > 0)
  return learn(
    priors.get(key.body)!,
    same.map((l) => ({ points: l.points, tau: tauOf(key.ratio, l.ratio) })),
  )
}

/**
 * The belief about one mix: the curve of its pair without itself, as far as one batch may lie from it, and then its
 * own readings.
 */
export function beliefOf(
  key: CurveKey,
  own: { id: string; points: readonly CurvePoint[] } | undefined,
  logs: readonly Logged[],
  priors: ReadonlyMap<Body, Belief>,
): Belief {
  const others = own ? logs.filter((l) => l.id !== own.id) : logs
  const batch = ofBatch(curveOf(key, others, priors))
  return own?.points.length ? learn(batch, [{ points: own.points, tau: 0 }]) : batch
}
