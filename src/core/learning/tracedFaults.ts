import {
  causeWord,
  enoughToTell,
  traceFault,
  type Cause,
  type CauseWord,
  type Enough,
  type Trace,
  type TracedPiece,
} from './faultCause'
import { factorsOf, isTold, type NamedFactor } from './factors'
import type { PouredFacts } from './pouredFacts'
import { FAULTS } from '../piece/faults'
import type { TechniqueBook } from '../technique/techniques'

/** A cause as it is told: what it is called, how sure that is, and the pieces behind it. */
export interface ToldCause extends Cause {
  readonly names: readonly string[]
  readonly word: CauseWord
}

interface Shown {
  readonly id: string
  readonly title: string
  readonly isFaulty: boolean
}

export interface FaultTraced {
  readonly key: string
  readonly name: string
  readonly pieces: number
  readonly faulty: number
  readonly none: number
  readonly causes: readonly ToldCause[]
}

export interface FaultsTraced {
  /** Every fault that was seen, the commonest first. */
  readonly faults: readonly FaultTraced[]
  readonly shown: string | null
  /** Pieces with and without the first cause of the fault shown. */
  readonly having: readonly Shown[]
  readonly without: readonly Shown[]
  /** Paints of all the pieces, by name. */
  readonly paints: readonly { readonly id: string; readonly name: string }[]
  /** How much more would tell of the first cause; null where it is told or nothing is suspected. */
  readonly enough: Enough | null
  /** The paint, medium or counted container the first cause is, where it is one. */
  readonly material: {
    readonly id: string
    readonly name: string
    readonly lotId: string | null
    readonly kind: string
  } | null
}

/** Causes shown of a fault. */
const SHOWN = 5

/** A fault with its trace, and which pieces it was told of. */
interface Traced extends FaultTraced {
  readonly trace: Trace
  readonly told: readonly TracedPiece[]
}

/** Each fault that was seen, the commonest first, over pieces that were looked at. */
function traceEach(pieces: readonly PouredFacts[], techniques: TechniqueBook): Traced[] {
  const band = (t: string) => techniques.find(t)?.levelTimeS
  const name = (t: string) => techniques.find(t)?.name ?? t
  return FAULTS.flatMap(({ key, name: fault }): Traced[] => {
    const faulty = pieces.filter((p) => p.faults.includes(key)).length
    if (faulty === 0) return []
    const { factors, traced: told } = factorsOf(pieces, key, band, name)
    const trace = traceFault(told, factors)
    const byKey = new Map(factors.map((f) => [f.key, f]))
    const causes = trace.causes.slice(0, SHOWN).map((c) => toldOf(c, byKey))
    return [{ key, name: fault, pieces: trace.pieces, faulty, none: trace.none, causes, trace, told }]
  }).sort((a, b) => b.faulty - a.faulty)
}

/** How much more would tell of the likeliest cause; null where it is told, or nothing speaks for it. */
function enoughOf({ causes: [first], trace }: Traced): Enough | null {
  return first && first.word !== 'likely' && first.withFaulty > 0 ? enoughToTell(first, trace) : null
}

/** Every fault that was seen, traced over everything that is known of the pieces. */
export function traceFaults(
  all: readonly PouredFacts[],
  techniques: TechniqueBook,
  wanted: string | undefined,
): FaultsTraced {
  const pieces = all.filter(isTold)
  const traced = traceEach(pieces, techniques)
  const shown = traced.find((f) => f.key === wanted) ?? traced[0]
  const first = shown?.causes[0]
  const at = (i: number): Shown => ({ id: pieces[i]!.id, title: pieces[i]!.title, isFaulty: shown!.told[i]!.isFaulty })
  const split = (has: boolean) =>
    first
      ? pieces.flatMap((_, i) => ((shown!.told[i]!.strengths.get(first.keys[0]!) ?? 0) > 0 === has ? [at(i)] : []))
      : []
  return {
    faults: traced.map(({ key, name: fault, pieces: n, faulty, none, causes }) => ({
      key,
      name: fault,
      pieces: n,
      faulty,
      none,
      causes,
    })),
    shown: shown?.key ?? null,
    having: split(true),
    without: split(false),
    paints: paintsOf(pieces),
    enough: shown ? enoughOf(shown) : null,
    material: first ? materialOf(first.keys, pieces) : null,
  }
}

function paintsOf(pieces: readonly PouredFacts[]): FaultsTraced['paints'] {
  const names = new Map(
    pieces.flatMap((p) => p.materials.flatMap((m) => (m.kind === 'paint' ? [[m.id, m.name] as const] : []))),
  )
  return [...names].map(([id, name]) => ({ id, name })).sort((a, b) => a.name.localeCompare(b.name))
}

function toldOf(c: Cause, byKey: ReadonlyMap<string, NamedFactor>): ToldCause {
  return { ...c, names: c.keys.map((k) => byKey.get(k)!.name), word: causeWord(c.probability, c) }
}

/** A material that is among what cannot be told apart, and the container it came from where that is. */
function materialOf(keys: readonly string[], pieces: readonly PouredFacts[]): FaultsTraced['material'] {
  const materials = keys.flatMap((k) => (k.startsWith('material ') ? [k.slice('material '.length)] : []))
  const lots = keys.flatMap((k) => (k.startsWith('lot ') ? [k.slice('lot '.length)] : []))
  const lot = pieces.flatMap((p) => p.lots).find((l) => l.id === lots[0])
  const id = materials[0] ?? lot?.materialId
  const material = pieces.flatMap((p) => p.materials).find((m) => m.id === id)
  return material
    ? {
        id: material.id,
        name: material.name,
        kind: material.kind,
        lotId: lot?.materialId === material.id ? lot.id : null,
      }
    : null
}

/** A pair that would settle a suspicion. */
export interface WouldTeach {
  readonly fault: string
  readonly name: string
  readonly materialId: string | null
  readonly pairs: number
}

/** From this probability, and two faulty pieces, on a cause is worth a pair. Start value of Fika. */
const WORTH = 0.15

/** What would teach most: for each fault the likeliest cause that is not told yet, the one that takes fewest pairs first. */
export function wouldTeach(all: readonly PouredFacts[], techniques: TechniqueBook): WouldTeach[] {
  const pieces = all.filter(isTold)
  return traceEach(pieces, techniques)
    .flatMap((traced): WouldTeach[] => {
      const [cause] = traced.causes
      if (!cause || cause.word === 'likely' || cause.probability < WORTH || cause.withFaulty < 2) return []
      const pairs = enoughOf(traced)?.pairs ?? null
      if (pairs === null) return []
      const materialId = materialOf(cause.keys, pieces)?.id ?? null
      return [{ fault: traced.name.toLowerCase(), name: cause.names[0]!, materialId, pairs }]
    })
    .sort((a, b) => a.pairs - b.pairs)
}
