'use client'

import { formatGrams, formatMl, massMg } from '@/core/quantity/format'
import type { StepProps } from './stepProps'
import { StepKey } from '@/ui/hand/StepKey'
import guideStyles from './guide.module.css'
import benchStyles from '../bench.module.css'

/** Too much went in: what the rest becomes, what the batch grows by, and whether the cup holds it. */
export function OvershootStep({ plan, state, send }: StepProps) {
  const over = state.overshoot!
  const line = plan.lines[over.line]!
  const tooSmall = over.cupHolds === false
  return (
    <>
      <StepKey
        label={tooSmall ? 'Leave it so' : 'Keep the ratio'}
        next={() => send({ kind: tooSmall ? 'keep' : 'follow' })}
      />
      <h2 className={guideStyles.guideTitle} data-testid="overshoot" data-ul={Math.round(over.byUl)}>
        {formatMl(over.byUl)} too much {line.name}
      </h2>
      <p className={benchStyles.guideSay}>
        Nothing is taken out. To keep the ratio the batch grows by <b>{formatMl(over.extraUl)}</b> to{' '}
        <b>{formatMl(over.totalUl)}</b>
        {over.cupHolds === null
          ? '.'
          : over.cupHolds
            ? ', and the cup holds it.'
            : `, and the cup holds only ${formatMl(plan.cupUl!)}: move to a larger one first, or leave it so.`}
      </p>
      <table className={`sheet ${guideStyles.guideTable}`}>
        <thead>
          <tr>
            <th>Ingredient</th>
            <th className="num">In</th>
            <th className="num">Was to be</th>
            <th className="num">Becomes</th>
            <th className="num">Still to pour</th>
          </tr>
        </thead>
        <tbody>
          {plan.lines.map((l, i) => {
            const inUl = state.pouredUl[i] ?? 0
            const more = Math.max(0, over.targetsUl[i]! - inUl)
            return (
              <tr key={`${l.id}-${i}`}>
                <td>{l.name}</td>
                <td className="num">{inUl ? formatMl(inUl) : '—'}</td>
                <td className="num">{formatMl(state.targetsUl[i]!)}</td>
                <td className="num">
                  <b>{formatMl(over.targetsUl[i]!)}</b>
                </td>
                <td className="num">
                  {more ? `${formatGrams(massMg(more, l.densityGPerMl))} · ${formatMl(more)}` : '—'}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <button
        type="button"
        className="go second below"

        onClick={() => send({ kind: over.cupHolds === false ? 'follow' : 'keep' })}
      >
        {over.cupHolds === false ? 'I have a larger cup: keep the ratio' : 'Leave it so, pour the rest as planned'}
      </button>
    </>
  )
}
