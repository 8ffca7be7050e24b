import { Link } from '@/ui/frame/Link'
import type { PlanWithParts } from '@/db/plans/read'
import { SurfacePicture } from '@/ui/pictures/SurfacePicture'

/** A plan as a card: its first surface to scale in the colours of its cups. */
export function PlanCard({
  plan,
  to,
  said,
  state,
}: {
  plan: PlanWithParts
  to: 'plan' | 'pour'
  /** A line of facts, and how it stands. */
  said: string
  state?: string
}) {
  const more = plan.design.surfaces.length - 1
  return (
    <Link href={`/${to}/${plan.id}`} className="panel full">
      <SurfacePicture
        surface={plan.design.surfaces[0]!.surface}
        colours={plan.parts.filter((x) => x.use === 'cup').map((x) => ({ hex: x.hex ?? '#ddd', ul: x.ul }))}
      />
      <b className="block near said">{plan.title}</b>
      <span className="muted">
        {said}
        {more > 0 ? ` · and ${more} more ${more === 1 ? 'surface' : 'surfaces'}` : ''}
      </span>
      <span className="muted block">{state ?? <b>to pour</b>}</span>
    </Link>
  )
}
