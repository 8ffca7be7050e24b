import {
  causeWord,
  enoughToTell,
  traceFault,
  type Cause,
  type CauseWord,
  type Enough,
} from '@/core/learning/faultCause'
import { factorsOf, isTold, type NamedFactor } from '@/core/learning/factors'
import type { PouredFacts } from '@/core/learning/pouredFacts'
import { FAULTS } from '@/core/piece/faults'
import type { TechniqueBook } from '@/core/technique/techniques'
import { pouredFacts } from '@/db/learning/pieces'
import { techniqueBook } from '@/db/techniques/read'
import type { Tx } from '@/db/base/withStudio'
import type { Sheet } from '../sheet'

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

export interface FaultsFacts {
  /** Every fault that was seen, the commonest first. */
  readonly faults: readonly FaultTraced[]
  readonly shown: string | null
  /** Pieces with and without the first cause of the fault shown. */
  readonly having: readonly Shown[]
  readonly without: readonly Shown[]
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

/** Every fault that was seen, traced over everything that is known of the pieces. */
export function traceFaults(
  all: readonly PouredFacts[],
  techniques: TechniqueBook,
  wanted: string | undefined,
): FaultsFacts {
  const pieces = all.filter(isTold)
  const band = (t: string) => techniques.find(t)?.levelTimeS
  const name = (t: string) => techniques.find(t)?.name ?? t
  const traced = FAULTS.flatMap(({ key, name: fault }) => {
    const faulty = pieces.filter((p) => p.faults.includes(key)).length
    if (faulty === 0) return []
    const { factors, traced: told } = factorsOf(pieces, key, band, name)
    const trace = traceFault(told, factors)
    const byKey = new Map(factors.map((f) => [f.key, f]))
    const causes = trace.causes.slice(0, SHOWN).map((c) => toldOf(c, byKey))
    return [{ key, name: fault, pieces: trace.pieces, faulty, none: trace.none, causes, trace, told }]
  }).sort((a, b) => b.faulty - a.faulty)
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
    enough: first && first.word !== 'likely' && first.withFaulty > 0 ? enoughToTell(first, shown!.trace) : null,
    material: first ? materialOf(first.keys, pieces) : null,
  }
}

function toldOf(c: Cause, byKey: ReadonlyMap<string, NamedFactor>): ToldCause {
  return { ...c, names: c.keys.map((k) => byKey.get(k)!.name), word: causeWord(c.probability, c) }
}

/** A material that is among what cannot be told apart, and the container it came from where that is. */
function materialOf(keys: readonly string[], pieces: readonly PouredFacts[]): FaultsFacts['material'] {
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

export async function faultsFacts(tx: Tx, search: Readonly<Record<string, string>>): Promise<FaultsFacts> {
  const techniques = await techniqueBook(tx)
  return traceFaults(await pouredFacts(tx, techniques), techniques, search.fault)
}

export function faultsSheet({ faults }: FaultsFacts): Sheet {
  return {
    columns: [
      { name: 'Fault' },
      { name: 'What may cause it' },
      { name: 'How sure' },
      { name: 'Probability', isNumber: true },
      { name: 'With it, faulty', isNumber: true },
      { name: 'With it', isNumber: true },
      { name: 'Without it, faulty', isNumber: true },
      { name: 'Without it', isNumber: true },
    ],
    rows: faults.flatMap((f) =>
      f.causes.map((c) => ({
        key: `${f.key} ${c.keys.join(' ')}`,
        href: `/notebook/faults?fault=${f.key}`,
        cells: [
          f.name,
          c.names.join(', always with '),
          c.word,
          c.probability,
          c.withFaulty,
          c.withAll,
          c.withoutFaulty,
          c.withoutAll,
        ],
      })),
    ),
  }
}
