import { offerRhythm } from '@/core/purchase/rhythm'
import { bottlesInUse } from '@/db/bottles/read'
import { listFormulas } from '@/db/formulas/formulas'
import { onHand } from '@/db/materials/onHand'
import { allOffers, PACE_DAYS, paceOf } from '@/db/materials/prices'
import { allMaterials } from '@/db/materials/read'
import { studioFacts } from '@/db/people/studio'
import { listPlans } from '@/db/plans/read'
import { wantedMaterials } from '@/db/plans/wanted'
import type { Tx } from '@/db/base/withStudio'
import { dayOn } from '@/ui/tables/dates'
import type { Sheet } from '../sheet'

export interface RunsOutFacts {
  readonly materials: readonly {
    readonly id: string
    readonly name: string
    readonly hex: string | null
    readonly haveUl: number
    /** What open plans want of it that no bottle holds. */
    readonly plannedUl: number
    readonly paceUlPerDay: number
    /** Days until it is gone, plans taken first; null where it is not used. */
    readonly days: number | null
    /** Day of the next offer, and days until then; null where offers have no rhythm. */
    readonly nextOffer: { readonly day: string; readonly inDays: number } | null
  }[]
  readonly plans: number
}

const DAY = 86_400_000

export async function runsOutFacts(tx: Tx, now: Date): Promise<RunsOutFacts> {
  const { zone } = await studioFacts(tx)
  const plans = (await listPlans(tx)).filter((p) => !p.pouredAt)
  const { materials: wanted } = wantedMaterials(
    { bottles: await bottlesInUse(tx), formulas: await listFormulas(tx) },
    plans,
  )
  const [have, pace, offers] = [await onHand(tx), await paceOf(tx, now), await allOffers(tx)]
  const materials = (await allMaterials(tx)).flatMap((m) => {
    const [held, plannedUl] = [have.get(m.id), wanted.get(m.id) ?? 0]
    if (m.archived || m.kind === 'water' || (held === undefined && plannedUl === 0)) return []
    const haveUl = held ?? 0
    const paceUlPerDay = (pace.get(m.id) ?? 0) / PACE_DAYS
    const left = haveUl - plannedUl
    const began = offers
      .filter((o) => o.materialId === m.id && o.terms.kind !== 'list')
      .map((o) => new Date(o.startsOn))
    const next = offerRhythm(began, now)?.nextAt.getTime()
    return [
      {
        id: m.id,
        name: m.name,
        hex: m.kind === 'paint' ? m.swatchHex : null,
        haveUl,
        plannedUl,
        paceUlPerDay,
        days: left <= 0 ? 0 : paceUlPerDay > 0 ? Math.round(left / paceUlPerDay) : null,
        nextOffer:
          next === undefined ? null : { day: dayOn(next, zone), inDays: Math.round((next - now.getTime()) / DAY) },
      },
    ]
  })
  materials.sort((a, b) => (a.days ?? Infinity) - (b.days ?? Infinity) || a.name.localeCompare(b.name))
  return { materials, plans: plans.length }
}

export function runsOutSheet({ materials }: RunsOutFacts): Sheet {
  return {
    columns: [
      { name: 'Paint or medium' },
      { name: 'On hand, ml', isNumber: true },
      { name: 'Plans want, ml', isNumber: true },
      { name: 'Used a month, ml', isNumber: true },
      { name: 'Days left', isNumber: true },
      { name: 'Next offer about' },
    ],
    rows: materials.map((m) => ({
      key: m.id,
      href: `/paints/${m.id}?tab=stock`,
      cells: [
        m.name,
        m.haveUl / 1000,
        m.plannedUl / 1000,
        (30 * m.paceUlPerDay) / 1000,
        m.days,
        m.nextOffer?.day ?? null,
      ],
    })),
  }
}
