import { Link } from '@/ui/frame/Link'
import { planAmounts } from '@/core/plan/amounts'
import { cautionsOf, putOut, type PutOutLine } from '@/core/plan/putOut'
import type { TechniqueBook } from '@/core/technique/techniques'
import type { PlanWithParts } from '@/db/plans/read'
import type { CupSize } from '@/db/room/read'
import { Notice } from '@/ui/frame/Notice'
import { Chip } from '@/ui/pictures/Drawdown'
import { PrintButton } from '../works/PrintButton'
import styles from './lists.module.css'

const GROUPS = ['Surface', 'Cups', 'Bottles', 'Tools', 'On the table'] as const satisfies readonly PutOutLine['group'][]

/** Everything to put out for the day of a plan, to tick on paper. */
export function PutOut({
  plan,
  techniques,
  cups,
}: {
  plan: PlanWithParts
  techniques: TechniqueBook
  cups: readonly CupSize[]
}) {
  const technique = techniques.of(plan.technique)
  const amounts = planAmounts(
    plan.design,
    cups.map((c) => c.sizeUl),
  )
  const names = new Map(plan.parts.map((p) => [p.of.id, p]))
  const lines = putOut(plan.design, amounts, technique, (id) => names.get(id)?.label)
  const hexOf = (what: string) => plan.parts.find((p) => p.label === what)
  return (
    <>
      <div className="head">
        <h1>
          {plan.title} <span className="sub">what to put out, {technique.name.toLowerCase()}</span>
        </h1>
        <PrintButton />
        <Link className="go second" href={`/plan/buy?plan=${plan.id}`}>
          To buy for it
        </Link>
        <Link className="go second" href={`/plan/${plan.id}`}>
          The plan
        </Link>
      </div>
      <div className={styles.groups}>
        {GROUPS.map((group) => (
          <section key={group} className="panel" aria-label={group}>
            <h2>{group}</h2>
            <ul className={styles.ticks}>
              {lines
                .filter((l) => l.group === group)
                .map((l) => (
                  <li key={`${l.what} ${l.how}`}>
                    <span className={styles.box} aria-hidden="true" />
                    {group === 'Bottles' ? (
                      <Chip hex={hexOf(l.what)?.hex ?? null} sheen={hexOf(l.what)?.sheen ?? 'satin'} size={22} />
                    ) : null}
                    <span>
                      <b>{l.what}</b>
                      {l.how ? <small>{l.how}</small> : null}
                    </span>
                  </li>
                ))}
            </ul>
          </section>
        ))}
      </div>
      <div className={styles.cautions}>
        {cautionsOf(technique).map((c) => (
          <Notice key={c} kind="warning">
            {c}
          </Notice>
        ))}
      </div>
    </>
  )
}
