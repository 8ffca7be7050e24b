import { Link } from '@/ui/frame/Link'
import type { TechniqueBook } from '@/core/technique/techniques'
import { formatMl } from '@/core/quantity/format'
import type { PlanWithParts } from '@/db/plans/read'
import type { StudioFacts } from '@/db/people/studio'
import type { OpenRun } from '@/db/runs/read'
import type { StockedSurface } from '@/db/surfaces/read'
import { EmptyState } from '@/ui/frame/Notice'
import { PlanCard } from '@/ui/tables/PlanCard'
import { OpenRuns } from './OpenRuns'
import { WithoutPlan } from './WithoutPlan'

/** Plans still to pour, for choosing what is poured today. */
export function OpenPlans({
  plans,
  techniques,
  runs,
  stock,
  studio,
}: {
  plans: PlanWithParts[]
  techniques: TechniqueBook
  runs: readonly OpenRun[]
  stock: readonly StockedSurface[]
  studio: StudioFacts
}) {
  const shown = plans.filter((p) => !p.pouredAt)
  return (
    <>
      <div className="head">
        <h1>
          Pour <span className="sub">choose what is poured today</span>
        </h1>
        <Link className="go" href="/plan/new" data-key="n">
          New plan
        </Link>
      </div>
      <OpenRuns runs={runs} zone={studio.zone} />
      {shown.length === 0 ? (
        <EmptyState title="Nothing is planned">
          A plan says how much of each bottle a surface takes, what is short, and what it costs.
          <br />
          <Link className="go" href="/plan/new">
            New plan
          </Link>
        </EmptyState>
      ) : (
        <ul className="gallery">
          {shown.map((p) => (
            <li key={p.id}>
              <PlanCard
                plan={p}
                to="pour"
                said={`${techniques.name(p.technique)} · ${formatMl(p.cupUl)} in the cups`}
              />
            </li>
          ))}
        </ul>
      )}
      <WithoutPlan stock={stock} units={studio.units} />
    </>
  )
}
