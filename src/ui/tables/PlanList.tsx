import Link from 'next/link'
import { techniqueName } from '@/core/technique/techniques'
import { formatMl } from '@/core/quantity/format'
import type { PlanWithParts } from '@/db/plans/read'
import { day } from './dates'
import { EmptyState } from '@/ui/frame/Notice'
import { SurfacePicture } from '@/ui/pictures/SurfacePicture'

/** Plans, those still to pour first; each with its surface to scale and the colours of its cup. */
export function PlanList({ plans, zone, to }: { plans: PlanWithParts[]; zone: string; to: 'plan' | 'pour' }) {
  const shown = to === 'pour' ? plans.filter((p) => !p.pouredAt) : plans
  return (
    <>
      <div className="head">
        <h1>
          {to === 'plan' ? 'Plan' : 'Pour'}{' '}
          <span className="sub">
            {to === 'plan' ? 'how much, from which bottles, for how much' : 'choose what is poured today'}
          </span>
        </h1>
        <Link className="go" href="/plan/new" data-key="n">
          New plan
        </Link>
      </div>
      {shown.length === 0 ? (
        <EmptyState title={to === 'plan' ? 'No plans yet' : 'Nothing is planned'}>
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
              <Link href={`/${to}/${p.id}`} className="panel" style={{ height: '100%' }} prefetch={false}>
                <SurfacePicture
                  surface={p.surface}
                  colours={p.parts.filter((x) => x.use === 'cup').map((x) => ({ hex: x.hex ?? '#ddd', ul: x.ul }))}
                />
                <b style={{ display: 'block', fontSize: '1.1rem', marginTop: 8 }}>{p.title}</b>
                <span className="muted">
                  {techniqueName(p.technique)} · {formatMl(p.cupUl)} in the cup
                </span>
                <span className="muted block">{p.pouredAt ? `poured ${day(p.pouredAt, zone)}` : <b>to pour</b>}</span>
              </Link>
            </li>
          ))}
        </ul>
      )}
    </>
  )
}
