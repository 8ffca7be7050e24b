import type { PairVerdict } from '../colour/pairVerdicts'
import { flagAgainst, type RoleFlag } from '../paint/flags'

/** What goes onto the surface, as the maker's own words are held against it. */
export interface Used {
  /** What it is used for: `cup`, or what is planned apart from it. */
  readonly use: string
  readonly label: string
  /** Role the bottle was mixed for; what counts in the cup. */
  readonly role: string
  /** Its paints, with their share of the colour: of the paints alone, 0–1. */
  readonly paints: readonly { readonly id: string; readonly share: number }[]
}

export interface MakersWord {
  readonly paints: Readonly<Record<string, { readonly name: string; readonly flags: readonly RoleFlag[] }>>
  readonly pairs: readonly {
    readonly aId: string
    readonly bId: string
    readonly verdict: PairVerdict
    readonly note: string
  }[]
}

/** A note on a pair is about paints that are seen, not about a trace in a mix. Start value of Fika. */
const SEEN = 0.2

const VERDICT = {
  together: 'always side by side',
  never: 'never beside each other',
  surprising: 'surprisingly good together',
} as const

const isSeen = (paints: Used['paints'], id: string) => paints.some((p) => p.id === id && p.share >= SEEN - 1e-9)

/**
 * What the maker said of two mixes: of a paint of one and a paint of the other, where both are a main colour of theirs.
 * A word against outranks one for.
 */
export function pairWord(a: Used['paints'], b: Used['paints'], pairs: MakersWord['pairs']): PairVerdict | undefined {
  const said = pairs.filter((p) => (isSeen(a, p.aId) && isSeen(b, p.bId)) || (isSeen(a, p.bId) && isSeen(b, p.aId)))
  return (said.find((p) => p.verdict === 'never') ?? said[0])?.verdict
}

/**
 * What the maker has said that bears on a plan: notes on pairs that meet in the cup, those against first, then flags
 * of paints used in a role they are kept out of. One sentence each.
 */
export function wordsOnPlan(used: readonly Used[], word: MakersWord): { against: boolean; text: string }[] {
  const cup = used.filter((u) => u.use === 'cup')
  const inCup = (id: string) => cup.filter((u) => isSeen(u.paints, id))
  const because = (note: string) => (note ? `: ${note}` : '')
  const name = (id: string) => word.paints[id]?.name ?? 'a paint'
  const pairs = word.pairs
    .filter((p) => inCup(p.aId).some((a) => inCup(p.bId).some((b) => b !== a)))
    .map((p) => ({
      against: p.verdict === 'never',
      text: `${name(p.aId)} and ${name(p.bId)}, ${VERDICT[p.verdict]}${because(p.note)}.`,
    }))
  const flags = used.flatMap((u) =>
    u.paints.flatMap(({ id }) => {
      const says = flagAgainst(word.paints[id]?.flags ?? [], u.use === 'cup' ? u.role : u.use)
      return says ? [{ against: true, text: `${name(id)} in ${u.label}: ${says}.` }] : []
    }),
  )
  const unique = new Map(
    [...pairs.sort((a, b) => Number(b.against) - Number(a.against)), ...flags].map((w) => [w.text, w]),
  )
  return [...unique.values()]
}
