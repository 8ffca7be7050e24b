import { Invalid, NotFound } from '@/core/errors'
import { formatMl } from '@/core/quantity/format'
import { combined } from '@/core/vessel/combined'
import { contentUl, takeFrom } from '@/core/vessel/content'
import type { Role } from '@/core/paint/properties'
import { recipeOfContent } from './recipeOf'
import type { Tx } from '../base/withStudio'
import type { Booked, Line } from '../ledger/book'
import { bookMix } from './settle'
import type { OffPour } from '../ledger/runOff'
import { countWater } from './water'

export interface SplitBottle {
  readonly requestId: string
  readonly vesselId: string
  readonly into: readonly {
    vesselId: string
    label: string
    ul: number
    capacityUl: number | null
    tareMg: number | null
  }[]
  readonly at?: Date | undefined
}

/** Fills other bottles from one; each is what the first was. @throws NotEnough, Invalid, NotFound */
export async function splitBottle(tx: Tx, s: SplitBottle): Promise<Booked> {
  if (s.into.length === 0 || s.into.some((i) => !(i.ul > 0)))
    throw new Invalid('Say how much goes into each bottle, more than nothing.', 'amount')
  const small = s.into.find((i) => i.capacityUl !== null && i.ul > i.capacityUl)
  if (small)
    throw new Invalid(
      `${small.label} holds ${formatMl(small.capacityUl!)} at most. Put less into it, or take a larger one.`,
      'capacity',
    )
  return bookMix(tx, {
    kind: 'split',
    requestId: s.requestId,
    payload: { vesselId: s.vesselId, into: s.into },
    vessels: [s.vesselId],
    at: s.at,
    async decide(held) {
      const from = held(s.vesselId)
      const totalUl = s.into.reduce((sum, i) => sum + i.ul, 0)
      // All of it at once, so that a shortfall names the whole.
      takeFrom(from, totalUl)
      const lines: Line[] = []
      const left = from.content.map((p) => ({ ...p }))
      for (const i of s.into) {
        await sameBottle(tx, s.vesselId, i, s.at)
        for (const p of takeFrom({ ...from, content: left }, i.ul)) {
          lines.push({ ...p, from: s.vesselId, to: i.vesselId })
          left.find((l) => l.lotId === p.lotId)!.ul -= p.ul
        }
      }
      return lines
    },
  })
}

/** What a bottle that is filled from another has in common with it; a test holds it to the columns there are. */
export const COPIED = [
  'role',
  'mixed_at',
  'rest_until',
  'keep_until',
  'moved_at',
  'recipe',
  'notes',
  'formula_id',
  'formula_version',
  'palette',
  'technique',
  'batch_id',
  'w',
  'evaporated_share',
  'level_time_s',
  'read_at',
  'read_w',
  'curve_b',
  'thickens',
] as const

/** A bottle that is in all but its name what another is. */
async function sameBottle(tx: Tx, of: string, b: SplitBottle['into'][number], at: Date | undefined): Promise<void> {
  await tx.q(
    `insert into vessel (studio_id, id, kind, label, capacity_ul, created_at)
     select studio_id, $3, kind, $4, $5, coalesce($6, now()) from vessel where studio_id = $1 and id = $2`,
    [tx.studioId, of, b.vesselId, b.label, b.capacityUl, at ?? null],
  )
  const made = await tx.q(
    `insert into bottle (studio_id, vessel_id, tare_mg, ${COPIED.join(', ')})
     select studio_id, $3, $4, ${COPIED.join(', ')} from bottle where studio_id = $1 and vessel_id = $2 returning 1`,
    [tx.studioId, of, b.vesselId, b.tareMg],
  )
  if (made.length === 0) throw new NotFound('bottle')
}

export interface MergeBottles {
  readonly requestId: string
  /** Takes all of the others in. */
  readonly intoId: string
  readonly fromIds: readonly string[]
  readonly restHours: number
  readonly at?: Date | undefined
}

/**
 * Pours bottles together into one of them. It is then as old as its oldest part, keeps as long as its weakest, and
 * rests anew; its recipe is what is now in it.
 * @throws OverCapacity, NotFound, Invalid
 */
export async function mergeBottles(tx: Tx, m: MergeBottles): Promise<Booked> {
  const fromIds = [...new Set(m.fromIds)]
  if (fromIds.length === 0 || fromIds.includes(m.intoId))
    throw new Invalid('Choose at least one other bottle to pour into this one.', 'from')
  const all = [m.intoId, ...fromIds]
  let ulOf = new Map<string, number>()
  return bookMix(tx, {
    kind: 'merge',
    requestId: m.requestId,
    payload: { intoId: m.intoId, fromIds },
    vessels: all,
    at: m.at,
    decide(held) {
      ulOf = new Map(all.map((id) => [id, contentUl(held(id).content)]))
      const empty = fromIds.find((id) => ulOf.get(id) === 0)
      if (empty) throw new Invalid(`${held(empty).label} is empty, so there is nothing to pour over.`, 'from')
      return fromIds.flatMap((id) => held(id).content.map((p) => ({ ...p, from: id, to: m.intoId })))
    },
    async follow() {
      await becomeOne(tx, m, all, ulOf)
    },
  })
}

/** Makes of a bottle what it and others are together. */
async function becomeOne(
  tx: Tx,
  m: MergeBottles,
  all: readonly string[],
  ulOf: ReadonlyMap<string, number>,
): Promise<void> {
  const rows = await tx.q<{
    id: string
    mixedAt: string
    restUntil: string
    keepUntil: string | null
    dry: number
    w: number
  }>(
    `select vessel_id as id, mixed_at as "mixedAt", rest_until as "restUntil", keep_until as "keepUntil", evaporated_share as dry, w
     from bottle where studio_id = $1 and vessel_id = any ($2)`,
    [tx.studioId, all],
  )
  if (rows.length !== all.length) throw new NotFound('bottle')
  const ms = (text: string) => Date.parse(text)
  const at = m.at?.getTime() ?? Date.now()
  const facts = combined(
    rows.map((r) => ({
      ul: ulOf.get(r.id)!,
      mixedAt: ms(r.mixedAt),
      restUntil: ms(r.restUntil),
      keepUntil: r.keepUntil === null ? null : ms(r.keepUntil),
      dryShare: r.dry,
      w: r.w,
    })),
    at,
    m.restHours * 3_600_000,
  )
  // Its own curve ends here: what it is now was never read.
  await tx.q(
    `update bottle set mixed_at = $3, rest_until = $4, keep_until = $5, recipe = $6, moved_at = $7,
       w = $9, level_time_s = null, read_at = null, read_w = null, evaporated_share = $8, formula_id = null, formula_version = null
     where studio_id = $1 and vessel_id = $2`,
    [
      tx.studioId,
      m.intoId,
      new Date(facts.mixedAt),
      new Date(facts.restUntil),
      facts.keepUntil === null ? null : new Date(facts.keepUntil),
      JSON.stringify(await recipeOfContent(tx, m.intoId)),
      new Date(at),
      facts.dryShare,
      facts.w,
    ],
  )
}

/** A jar run-off goes into. */
export interface IntoJar {
  /** A jar that is there, or the id of a new one. */
  readonly jarId: string
  /** Name, size and empty weight of a new jar; null: pour into one that is there. */
  readonly newJar: { readonly label: string; readonly capacityUl: number | null; readonly tareMg: number | null } | null
}

export interface ReclaimRunOff extends IntoJar {
  readonly requestId: string
  /** The vessel of the pour it ran off. */
  readonly pourId: string
  /** Net weight of what was scraped together, mg. */
  readonly netMg: number
  readonly at?: Date | undefined
}

/** Run-off keeps in a tight jar about as long as its weakest water; at first this long, days. Start value of Fika. */
const JAR_DAYS = 60

/**
 * Puts the run-off of a pour into a jar, by weight: it is of the pour's own mean composition.
 * @throws NotEnough when it weighs more than was poured; OverCapacity, NotFound, Invalid
 */
export async function reclaimRunOff(tx: Tx, r: ReclaimRunOff): Promise<Booked & { ul: number }> {
  if (!(r.netMg > 0)) throw new Invalid('The scale shows nothing. Weigh the jar with the run-off in it.', 'gross')
  const { density } = await lyingOn(tx, [r.pourId])
  if (!density) throw new Invalid('Nothing of that pour is left to be scraped together.', 'pourId')
  const ul = Math.round(r.netMg / density)
  return { ...(await keepRunOff(tx, { ...r, from: [{ vesselId: r.pourId, ul }] })), ul }
}

/** Mean density of what lies on pours, g/ml, and whether an additive is in it. */
async function lyingOn(
  tx: Tx,
  pours: readonly string[],
): Promise<{ density: number | null; additive: boolean | null }> {
  const [row] = await tx.q<{ density: number | null; additive: boolean | null }>(
    `select sum(c.ul * m.density_g_per_ml) / nullif(sum(c.ul), 0) as density,
       bool_or(c.ul > 0 and m.kind = 'additive') as additive
     from vessel_content c join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
     join material m on m.studio_id = l.studio_id and m.id = l.material_id
     where c.studio_id = $1 and c.vessel_id = any ($2)`,
    [tx.studioId, pours],
  )
  return row!
}

/**
 * Puts what ran off pours into a jar, from each of its own mean composition.
 * @throws NotEnough when it is more than was poured; OverCapacity, NotFound, Invalid
 */
export async function keepRunOff(
  tx: Tx,
  r: IntoJar & { requestId: string; from: readonly OffPour[]; at?: Date | undefined },
): Promise<Booked> {
  const from = r.from.filter((f) => f.ul > 0)
  const pours = from.map((f) => f.vesselId)
  const ul = from.reduce((sum, f) => sum + f.ul, 0)
  return bookMix(tx, {
    kind: 'reclaim',
    requestId: r.requestId,
    payload: { from: from.map((f) => [f.vesselId, f.ul]), jarId: r.jarId },
    vessels: r.newJar ? pours : [...pours, r.jarId],
    at: r.at,
    async decide(held) {
      const lines = from.flatMap((f) =>
        takeFrom(held(f.vesselId), f.ul).map((p) => ({ ...p, from: f.vesselId, to: r.jarId })),
      )
      // What holds silicone must never lie under a pour.
      if (r.newJar) await jar(tx, r, ul, (await lyingOn(tx, pours)).additive ? 'pour' : 'base coat')
      return lines
    },
    async follow() {
      await tx.q(
        'update bottle set recipe = $3, moved_at = coalesce($4, now()) where studio_id = $1 and vessel_id = $2',
        [tx.studioId, r.jarId, JSON.stringify(await recipeOfContent(tx, r.jarId)), r.at ?? null],
      )
      await countWater(tx, r.jarId)
    },
  })
}

async function jar(tx: Tx, r: IntoJar & { at?: Date | undefined }, ul: number, role: Role): Promise<void> {
  const { label, capacityUl, tareMg } = r.newJar!
  if (capacityUl !== null && ul > capacityUl)
    throw new Invalid(
      `The jar holds ${formatMl(capacityUl)} and ${formatMl(ul)} would go in. Take a larger one.`,
      'capacity',
    )
  await tx.q(
    `insert into vessel (studio_id, id, kind, label, capacity_ul, created_at) values ($1, $2, 'jar', $3, $4, coalesce($5, now()))`,
    [tx.studioId, r.jarId, label, capacityUl, r.at ?? null],
  )
  await tx.q(
    `insert into bottle (studio_id, vessel_id, role, mixed_at, rest_until, keep_until, recipe, tare_mg)
     values ($1, $2, $6, coalesce($3, now()), coalesce($3, now()), coalesce($3, now()) + make_interval(days => $4), '{"paintParts":0,"paints":[],"mediums":[],"water":null}', $5)`,
    [tx.studioId, r.jarId, r.at ?? null, JAR_DAYS, tareMg, role],
  )
}
