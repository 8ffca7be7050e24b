import { Invalid } from '@/core/errors'
import { contentUl, inProportion, takeFrom, takePoured, type Portion } from '@/core/vessel/content'
import type { Tx } from '../base/withStudio'
import { book, type Booked, type HeldVessel, type Line } from './book'
import { perBottle, type FromBottle } from './lots'

/** One surface that is poured on: the vessel that stands for it, made here, and what each bottle gives it. */
export interface PouredOnto {
  readonly vesselId: string
  readonly title: string
  readonly takes: readonly FromBottle[]
}

export interface PourInput {
  readonly requestId: string
  readonly onto: readonly PouredOnto[]
  /** What was poured from a bottle beyond its books is a measuring gain, instead of NotEnough. */
  readonly findRest?: boolean
  readonly at?: Date | undefined
}

/**
 * Pours from bottles onto surfaces in one movement, all or nothing. A bottle that is named twice (cup and reserve)
 * gives the sum; each surface gets it of the bottle's own composition.
 * @throws NotEnough naming the first bottle that holds too little
 */
export async function pour(tx: Tx, input: PourInput): Promise<Booked> {
  const onto = input.onto.map((o) => ({ ...o, takes: perBottle(o.takes) }))
  const bottles = perBottle(onto.flatMap((o) => o.takes))
  if (bottles.length === 0) throw new Invalid('Nothing is poured. Set an amount for at least one bottle.')
  return book(tx, {
    kind: 'pour',
    requestId: input.requestId,
    payload: { onto: onto.map((o) => [o.title, o.takes.map((t) => [t.vesselId, t.ul])]) },
    vessels: bottles.map((t) => t.vesselId),
    at: input.at,
    async decide(held) {
      const lines: Line[] = []
      for (const b of bottles) {
        const bottle = held(b.vesselId)
        const content = input.findRest && contentUl(bottle.content) === 0 ? await filledWith(tx, b.vesselId) : []
        lines.push(...sharedOut(b, onto, bottle, input.findRest ?? false, content))
      }
      await tx.q(
        `insert into vessel (studio_id, id, kind, label, created_at)
         select $1, o.id, 'pour', o.label, coalesce($4, now()) from unnest($2::uuid[], $3::text[]) as o (id, label)`,
        [tx.studioId, onto.map((o) => o.vesselId), onto.map((o) => o.title), input.at ?? null],
      )
      return lines
    },
  })
}

/** What one bottle gives each surface: its content once, shared out so that every lot and every surface sums exactly. */
function sharedOut(
  { vesselId: from, ul }: FromBottle,
  onto: readonly PouredOnto[],
  held: HeldVessel,
  findRest: boolean,
  /** Of a bottle that is empty by the books: what it was filled with. */
  filled: readonly Portion[],
): Line[] {
  const { taken, found } = filled.length
    ? { taken: [], found: inProportion(filled, ul) }
    : findRest
      ? takePoured(held, ul)
      : { taken: takeFrom(held, ul), found: [] }
  const wanted = onto.flatMap(({ vesselId: to, takes }) =>
    takes.flatMap((t) => (t.vesselId === from ? [{ to, ul: t.ul }] : [])),
  )
  // What the books know of goes out first; what was found besides comes after it.
  const stacks = [
    { from, left: taken.map((p) => ({ ...p })) },
    { from: null, left: found.map((p) => ({ ...p })) },
  ]
  return wanted.flatMap(({ to, ul: wants }) => {
    let open = wants
    return stacks.flatMap(({ from: source, left }) => {
      const part = inProportion(left, Math.min(open, contentUl(left)))
      open -= contentUl(part)
      for (const p of part) left.find((l) => l.lotId === p.lotId)!.ul -= p.ul
      return part.map((p) => ({ ...p, from: source, to }))
    })
  })
}

/** All that ever went into a vessel, lot by lot: what a bottle that the books think empty is still made of. */
function filledWith(tx: Tx, vesselId: string): Promise<Portion[]> {
  return tx.q<Portion>(
    `select lot_id as "lotId", sum(ul)::bigint as ul from movement_line
     where studio_id = $1 and to_vessel_id = $2 group by 1 order by 1`,
    [tx.studioId, vesselId],
  )
}
