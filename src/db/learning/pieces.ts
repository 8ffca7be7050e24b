import { DEFAULTS_BY_BODY } from '@/core/paint/properties'
import type { PouredFacts, PouredLot, PouredMaterial } from '@/core/learning/pouredFacts'
import type { Surface } from '@/core/surface/shapes'
import { mixFacts } from '@/core/mix/mixFacts'
import { wetFilmMm } from '@/core/surface/wetFilm'
import type { TechniqueBook } from '@/core/technique/techniques'
import { groupBy } from '@/core/groupBy'
import type { Tx } from '../base/withStudio'
import { FAULTS_SEEN, RATING, speaks, SPEAKS_FIRST } from '../pieces/seen'
import { notUndone } from '../ledger'
import { stands } from '../runs/read'
import type { MaterialKind } from '@/core/paint/properties'

/** Most pieces that are learned from, the newest: more than any small studio makes in its life. */
const MOST_PIECES = 2000
/** Binder of a soft tube paint, by volume; from four fifths of it on a mix is not weak. Start value of Fika. */
const FIRM_BINDER = 0.8 * DEFAULTS_BY_BODY.soft.solids * (1 - DEFAULTS_BY_BODY.soft.pigmentShare)

interface PieceRow {
  readonly id: string
  readonly title: string
  readonly technique: string
  readonly surface: Surface
  readonly pouredAt: string
  readonly fate: string
  readonly rating: number | null
  readonly faults: readonly string[]
  readonly isLookedAt: boolean
  readonly nextTime: string
  readonly vesselId: string
  readonly runId: string | null
  readonly stayedHow: string | null
  readonly pouredUl: number
  readonly cupShare: number | null
  readonly restHours: number | null
  readonly cells: number | null
  readonly laceMm: number | null
  readonly measuredMm2: number | null
}

interface ContentRow {
  readonly vesselId: string
  readonly materialId: string
  readonly name: string
  readonly kind: MaterialKind
  readonly mediumKind: string | null
  readonly hex: string | null
  readonly lotId: string
  readonly tracked: boolean
  readonly lotLabel: string
  readonly ul: number
  readonly solids: number
  readonly densityGPerMl: number
  readonly pigmentShare: number
  readonly waterShare: number
}

interface RunRow {
  readonly runId: string
  readonly levelTimeS: number | null
  readonly restHours: number | null
  readonly minutesSinceStirred: number | null
  readonly heatS: number
  readonly celsius: number | null
  readonly humidity: number | null
  readonly film: PouredFacts['film']
  readonly bothers: readonly string[]
}

/** SQL of pieces: what went in less what was poured back, looks, the newest measures. Set by set, so that hundreds cost little more than one. */
const PIECES = `with newest as (
    select p.* from piece p where p.studio_id = $1 and p.fate <> 'undone' order by p.poured_at desc limit $2
  ), given as (
    select p.id, sum(round(l.ul * p.poured_share)) as ul,
      min(extract(epoch from p.poured_at - b.mixed_at) / 3600) as rest
    from newest p
    join movement_line l on l.studio_id = p.studio_id and l.movement_id = p.movement_id and l.to_vessel_id = p.poured_into
    left join bottle b on b.studio_id = l.studio_id and b.vessel_id = l.from_vessel_id
    group by 1
  ), back as (
    select p.id, sum(l.ul) as ul from newest p
    join movement_line l on l.studio_id = p.studio_id and l.from_vessel_id = p.vessel_id
    join movement m on m.studio_id = l.studio_id and m.id = l.movement_id and m.kind = 'pour-back'
    where ${notUndone('m')} group by 1
  ), measured as (
    select distinct on (f.piece_id) f.piece_id as id,
      case when ${speaks('cells')} then jsonb_array_length(f.measures -> 'cells') end as cells,
      case when ${speaks('lacing')} then (f.measures -> 'lacing' ->> 'lengthMm')::float8 end as lace,
      (f.measures ->> 'faceMm2')::float8 as face
    from piece_photo f join newest p on p.studio_id = f.studio_id and p.id = f.piece_id
    where f.studio_id = $1 and ${speaks('colours')}
    order by f.piece_id, ${SPEAKS_FIRST}
  )
  select p.id, p.title, p.technique, p.surface, p.poured_at as "pouredAt", p.fate, p.next_time as "nextTime",
    p.vessel_id as "vesselId", p.run_id as "runId", p.stayed_how as "stayedHow",
    ${RATING} as rating, ${FAULTS_SEEN} as faults,
    exists (select from look k where k.studio_id = p.studio_id and k.piece_id = p.id) as "isLookedAt",
    (coalesce(g.ul, 0) - coalesce(b.ul, 0))::float8 as "pouredUl",
    (select sum(x.ul) filter (where x.use = 'cup')::float8 / nullif(sum(x.ul), 0) from plan_part x
      where x.studio_id = p.studio_id and x.plan_id = p.plan_id) as "cupShare", g.rest::float8 as "restHours",
    m.cells, m.lace as "laceMm", m.face as "measuredMm2"
  from newest p left join given g on g.id = p.id left join back b on b.id = p.id left join measured m on m.id = p.id
  order by p.poured_at desc, p.id desc`

const CONTENT = `select c.vessel_id as "vesselId", m.id as "materialId", m.name, m.kind, md.kind as "mediumKind", pt.swatch_hex as hex,
    l.id as "lotId", l.tracked, l.label as "lotLabel", c.ul, m.solids, m.density_g_per_ml as "densityGPerMl", m.pigment_share as "pigmentShare",
    case when m.kind = 'water' then 1 else m.water_share end as "waterShare"
  from vessel_content c
  join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
  join material m on m.studio_id = l.studio_id and m.id = l.material_id
  left join medium md on md.studio_id = m.studio_id and md.material_id = m.id
  left join paint pt on pt.studio_id = m.studio_id and pt.material_id = m.id
  where c.studio_id = $1 and c.vessel_id = any ($2) and c.ul > 0`

/** What happened in runs, each as a whole: pieces of one set are poured from the same cups. */
const RUNS = `with e as (
    select x.run_id, x.n, x.event, x.event ->> 'kind' as kind, x.event -> 'frozen' as f, (x.event ->> 'ul')::float8 as ul
    from run_event x
    where x.studio_id = $1 and x.run_id = any ($2) and x.event ->> 'kind' in ('coat', 'load', 'climate', 'heat', 'left', 'bother')
      and ${stands('x')}
  )
  select run_id as "runId",
    sum(ul * coalesce((f ->> 'readS')::float8, (f ->> 'expectedS')::float8)) filter (where kind = 'load')
      / nullif(sum(ul) filter (where kind = 'load' and coalesce(f ->> 'readS', f ->> 'expectedS') is not null), 0) as "levelTimeS",
    min((f ->> 'hoursRested')::float8) filter (where kind = 'load') as "restHours",
    min((f ->> 'minutesSinceStirred')::float8) filter (where kind = 'load') as "minutesSinceStirred",
    coalesce(sum((event ->> 'seconds')::float8) filter (where kind = 'heat')
      / nullif(count(distinct event ->> 'piece') filter (where kind = 'heat'), 0), 0) as "heatS",
    (array_agg((event ->> 'celsius')::float8 order by n desc) filter (where kind = 'climate'))[1] as celsius,
    (array_agg((event ->> 'humidity')::float8 order by n desc) filter (where kind = 'climate'))[1] as humidity,
    (array_agg(event ->> 'film' order by n desc) filter (where kind = 'left'))[1] as film,
    coalesce(array_agg(distinct event ->> 'what') filter (where kind = 'bother'), '{}') as bothers
  from e group by 1`

/** A reading of a bottle tells of a pour for so many days. Start value of Fika. */
const READ_DAYS = 7

/** Level time of pieces poured without a run: the last readings of their bottles before, by what each gave. */
const READ = `select p.id, (sum(l.ul * r.s) / sum(l.ul))::float8 as "levelTimeS"
  from piece p
  join movement_line l on l.studio_id = p.studio_id and l.movement_id = p.movement_id and l.to_vessel_id = p.poured_into
  cross join lateral (
    select v.level_time_s as s from titration t
    join level_reading v on v.studio_id = t.studio_id and v.titration_id = t.id
    where t.studio_id = p.studio_id and t.vessel_id = l.from_vessel_id
      and v.at <= p.poured_at and v.at > p.poured_at - make_interval(days => $3)
    order by v.at desc limit 1
  ) r
  where p.studio_id = $1 and p.id = any ($2) group by 1`

/** Everything the studio can learn from, newest piece first. */
export async function pouredFacts(tx: Tx, techniques: TechniqueBook): Promise<PouredFacts[]> {
  const rows = await tx.q<PieceRow>(PIECES, [tx.studioId, MOST_PIECES])
  const content = groupBy(
    await tx.q<ContentRow>(CONTENT, [tx.studioId, rows.map((r) => r.vesselId)]),
    (c) => c.vesselId,
  )
  const runIds = [...new Set(rows.flatMap((r) => r.runId ?? []))]
  const runs = new Map((await tx.q<RunRow>(RUNS, [tx.studioId, runIds])).map((r) => [r.runId, r]))
  const runOf = (r: PieceRow) => (r.runId ? runs.get(r.runId) : undefined)
  const untimed = rows.flatMap((r) => (runOf(r)?.levelTimeS ? [] : r.id))
  const readings = await tx.q<{ id: string; levelTimeS: number }>(READ, [tx.studioId, untimed, READ_DAYS])
  const read = new Map(readings.map((r) => [r.id, r.levelTimeS]))
  return rows.map((r) => factsOf(r, content.get(r.vesselId) ?? [], runOf(r), read.get(r.id) ?? null, techniques))
}

function factsOf(
  r: PieceRow,
  content: readonly ContentRow[],
  run: RunRow | undefined,
  readS: number | null,
  techniques: TechniqueBook,
): PouredFacts {
  const held = content.reduce((sum, c) => sum + c.ul, 0)
  const runOff = techniques.find(r.technique)?.runOffShare ?? 0
  // Where nobody said what stayed, the books still hold all that was poured.
  const leftUl = r.stayedHow === null ? r.pouredUl * (1 - runOff) : held
  // Without a measured face nobody knows how many cells there are to a square decimetre.
  const perDm2 = r.measuredMm2 ? 10_000 / r.measuredMm2 : null
  return {
    id: r.id,
    title: r.title,
    technique: r.technique,
    surface: r.surface,
    pouredAt: Date.parse(r.pouredAt),
    fate: r.fate,
    isLookedAt: r.isLookedAt,
    rating: r.rating,
    faults: r.faults,
    nextTime: r.nextTime,
    pouredUl: r.pouredUl,
    cupShare: r.cupShare ?? 1,
    leftUl,
    isWeighed: r.stayedHow === 'weighed' || r.stayedHow === 'by run-off',
    wetMm: wetFilmMm(leftUl, [r.surface]),
    ...mixOf(content, held),
    levelTimeS: run?.levelTimeS ?? readS,
    restHours: run?.restHours ?? (r.restHours === null ? null : Math.max(0, r.restHours)),
    minutesSinceStirred: run?.minutesSinceStirred ?? null,
    heatS: run?.heatS ?? null,
    celsius: run?.celsius ?? null,
    humidity: run?.humidity ?? null,
    film: run?.film ?? null,
    bothers: run?.bothers ?? [],
    cellsPerDm2: r.cells === null || perDm2 === null ? null : r.cells * perDm2,
    laceMPerDm2: r.laceMm === null || perDm2 === null ? null : (r.laceMm / 1000) * perDm2,
  }
}

function mixOf(content: readonly ContentRow[], held: number) {
  const shareOf = (ul: number) => (held > 0 ? ul / held : 0)
  const sum = (f: (c: ContentRow) => number) => content.reduce((all, c) => all + c.ul * f(c), 0)
  const dry = sum((c) => Number(c.kind === 'paint' || c.kind === 'medium'))
  const binder = sum((c) => (c.kind === 'paint' || c.kind === 'medium' ? c.solids * (1 - c.pigmentShare) : 0))
  const materials = [...groupBy(content, (c) => c.materialId).values()].map((of): PouredMaterial => {
    const [{ materialId: id, name, kind, mediumKind, hex }] = of as [ContentRow, ...ContentRow[]]
    return { id, name, kind, mediumKind, hex, share: shareOf(of.reduce((s, c) => s + c.ul, 0)) }
  })
  const lots = content.flatMap((c): PouredLot[] =>
    c.tracked && c.kind !== 'water'
      ? [
          {
            id: c.lotId,
            materialId: c.materialId,
            name: `${c.lotLabel || 'a container'} of ${c.name}`,
            share: shareOf(c.ul),
          },
        ]
      : [],
  )
  return {
    materials: materials.sort((a, b) => b.share - a.share),
    lots,
    waterOfPaint: held > 0 ? mixFacts(content).waterOfPaint : 0,
    antiCraze: dry > 0 ? sum((c) => Number(c.mediumKind === 'anti-craze medium')) / dry : 0,
    weakBinder: dry > 0 ? Math.max(0, Math.min(1, 1 - binder / dry / FIRM_BINDER)) : 0,
  }
}
