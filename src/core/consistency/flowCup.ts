import { mustBeAbove0 } from '../mustBe'
import { Invalid } from '../errors'

/** A flow cup and the formula of its standard: ν in mm²/s of an efflux time in s. */
export interface FlowCup {
  readonly key: string
  readonly name: string
  readonly source: string
  /** Efflux times between which the formula holds, s. */
  readonly rangeS: readonly [number, number]
  viscosity(t: number): number
}

export const FLOW_CUPS: readonly FlowCup[] = [
  {
    key: 'ford-4',
    name: 'Ford no. 4',
    source: 'ASTM D1200: ν = 3.846 (t − 4.49), from memory',
    rangeS: [20, 100],
    viscosity: (t) => 3.846 * (t - 4.49),
  },
  {
    key: 'ford-2',
    name: 'Ford no. 2',
    source: 'ASTM D1200: ν = 1.44 (t − 18.0), from memory',
    rangeS: [40, 100],
    viscosity: (t) => 1.44 * (t - 18),
  },
  {
    key: 'ford-3',
    name: 'Ford no. 3',
    source: 'ASTM D1200: ν = 2.31 (t − 6.58), from memory',
    rangeS: [20, 100],
    viscosity: (t) => 2.31 * (t - 6.58),
  },
  {
    key: 'iso-3',
    name: 'ISO 3 mm',
    source: 'ISO 2431: ν = 0.443 t − 200 / t, from memory',
    rangeS: [30, 100],
    viscosity: (t) => 0.443 * t - 200 / t,
  },
  {
    key: 'iso-4',
    name: 'ISO 4 mm',
    source: 'ISO 2431: ν = 1.37 t − 200 / t, from memory',
    rangeS: [30, 100],
    viscosity: (t) => 1.37 * t - 200 / t,
  },
  {
    key: 'iso-6',
    name: 'ISO 6 mm',
    source: 'ISO 2431: ν = 6.90 t − 570 / t, from memory',
    rangeS: [30, 100],
    viscosity: (t) => 6.9 * t - 570 / t,
  },
]

/** The cup that reads a viscosity best: in the middle of its range, mm²/s. */
export function cupFor(nu: number): FlowCup {
  const off = (cup: FlowCup) => {
    const [least, most] = cup.rangeS.map((t) => cup.viscosity(t)) as [number, number]
    return Math.abs(Math.log(nu / Math.sqrt(least * most)))
  }
  return [...FLOW_CUPS].sort((a, b) => off(a) - off(b))[0]!
}

/**
 * Kinematic viscosity by a flow cup, mm²/s.
 * @throws Invalid for an unknown cup, or a time outside its standard (says which cup to take instead)
 */
export function kinematicViscosity(key: string, seconds: number): number {
  const cup = FLOW_CUPS.find((c) => c.key === key)
  if (!cup) throw new Invalid('Choose a flow cup from the list.', 'cup')
  const [least, most] = cup.rangeS
  if (!(seconds >= least && seconds <= most))
    throw new Invalid(
      `The ${cup.name} cup is good for ${least} to ${most} s. ${seconds > most ? 'Take a wider cup' : 'Take a narrower cup'}, or time the mound instead.`,
      'seconds',
    )
  return cup.viscosity(seconds)
}

/** Seconds of level time per mm²/s, until the studio has read bottles both ways. Start value of Fika. */
export const START_SECONDS_PER_NU = 0.008

/**
 * Seconds of level time per mm²/s, from mixes that were both timed and run through a cup: the geometric mean, the
 * start value counting as one of them.
 */
export function secondsPerNu(pairs: readonly { levelTimeS: number; nu: number }[]): number {
  mustBeAbove0('A level time or a viscosity', ...pairs.flatMap((p) => [p.levelTimeS, p.nu]))
  const logs = pairs.map((p) => Math.log(p.levelTimeS / p.nu))
  return Math.exp((logs.reduce((a, b) => a + b, 0) + Math.log(START_SECONDS_PER_NU)) / (logs.length + 1))
}
