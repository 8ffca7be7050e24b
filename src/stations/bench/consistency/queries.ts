import type { Belief, CurvePoint } from '@/core/consistency/dilution'
import type { Logged } from '@/core/consistency/curves'
import { pairCurves } from '@/core/consistency/pairs'
import { groupBy } from '@/core/groupBy'
import { judgeWater } from '@/core/mix/waterLimit'
import type { Role } from '@/core/paint/properties'
import { bottlesInUse, portionsOf } from '@/db/bottles/read'
import { listWaters, materialNames } from '@/db/materials/mixable'
import { beliefsOf, learnedOf } from '@/db/bottles/consistency'
import { readBothWays } from '@/db/bottles/readings'
import { namedSwatches } from '@/db/materials/read'
import { houseRules } from '@/db/people/houseRules'
import { studioFacts } from '@/db/people/studio'
import type { Tx } from '@/db/base/withStudio'

/** A bottle on the consistency desk. */
export interface DeskBottle {
  readonly id: string
  readonly label: string
  readonly hex: string | null
  readonly sheen: string
  readonly palette: string
  readonly technique: string | null
  readonly role: Role
  readonly ul: number
  readonly w: number
  readonly levelTimeS: number | null
  readonly readAt: string | null
  readonly isReference: boolean
  readonly belief: Belief
  readonly points: readonly CurvePoint[]
  /** Readings of other mixes of the same paint and medium. */
  readonly others: readonly CurvePoint[]
  /** Paint and medium its curve is of. */
  readonly pair: string
  readonly roomUl: number
  readonly limit: string
}

/** Curves shown at once. */
const MOST_PAIRS = 24

/** Everything the consistency desk shows. */
export async function consistencyData(tx: Tx, now: Date) {
  const studio = await studioFacts(tx)
  const bottles = await bottlesInUse(tx)
  const ids = bottles.map((b) => b.id)
  const known = await learnedOf(tx)
  const logs = known.fresh
  const [beliefs, portions] = [await beliefsOf(tx, bottles, known, now), await portionsOf(tx, ids)]
  const names = await materialNames(
    tx,
    [...beliefs.values()].flatMap((k) => [k.key.paintId, k.key.mediumId].filter((x) => x !== null)),
  )
  const content = groupBy(portions, (p) => p.vesselId)
  const waters = await listWaters(tx)
  const desk = bottles.flatMap((b): DeskBottle[] => {
    const k = beliefs.get(b.id)
    if (!k) return []
    const water = judgeWater(content.get(b.id) ?? [], studio.water)
    const same = logs.filter((l) => l.vesselId !== b.id && l.paintId === k.key.paintId && l.mediumId === k.key.mediumId)
    const named = [k.key.paintId, k.key.mediumId].flatMap((id) => (id ? (names.get(id) ?? []) : []))
    return [
      {
        id: b.id,
        label: b.label,
        hex: b.hex,
        sheen: b.sheen,
        palette: b.palette,
        technique: b.technique,
        role: b.role as Role,
        ul: b.ul,
        w: k.w,
        levelTimeS: b.levelTimeS,
        readAt: b.readAt,
        isReference: b.isReference,
        belief: k.belief,
        points: k.points,
        others: same.flatMap((l) => l.points),
        pair: named.join(' with '),
        roomUl: water.roomUl,
        limit: water.sentence,
      },
    ]
  })
  const rules = await houseRules(tx)
  return {
    bottles: desk,
    waters,
    bands: rules.bands,
    ageing: known.ageing,
    learned: await learned(tx, logs),
    pairs: await readBothWays(tx),
    units: studio.units,
    zone: studio.zone,
  }
}

/** The curves the studio has learned, with the names and the swatch of each pair. */
async function learned(tx: Tx, logs: readonly Logged[]) {
  const curves = pairCurves(logs).slice(0, MOST_PAIRS)
  const ids = curves.flatMap(({ key }) => [key.paintId, key.mediumId].filter((x) => x !== null))
  const rows = await namedSwatches(tx, ids)
  const by = new Map(rows.map((r) => [r.id, r]))
  return curves.map(({ key, curve, points, mixes }) => ({
    id: `${key.paintId} ${key.mediumId}`,
    paint: by.get(key.paintId ?? '')?.name ?? 'No paint',
    medium: by.get(key.mediumId ?? '')?.name ?? 'without medium',
    hex: by.get(key.paintId ?? '')?.hex ?? null,
    curve,
    points,
    mixes,
  }))
}

export type ConsistencyData = Awaited<ReturnType<typeof consistencyData>>
