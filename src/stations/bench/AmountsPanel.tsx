'use client'

import { Input } from 'antd'
import { dropOf } from '@/core/quantity/dropSizes'
import { formatDrops, formatFlOz, formatGrams, formatMl, formatSpoons, isCounted, massMg } from '@/core/quantity/format'
import type { UnitSystem } from '@/core/quantity/parse'
import { Notice } from '@/ui/frame/Notice'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import { FillLines } from './FillLines'
import { FluidOunceTrap } from './FluidOunceTrap'
import { type Draft, type MixView } from './mixDraft'

/** How much of each, and what was really poured. */
export function AmountsPanel({
  draft,
  change,
  view,
  units,
}: {
  draft: Draft
  change: (d: Partial<Draft>) => void
  view: MixView
  units: UnitSystem
}) {
  const sizes = useDropSizes()
  if (view.lines.length === 0)
    return (
      <section className="panel">
        <h2>Amounts</h2>
        <p className="muted">Choose a paint, a medium and a total; the amounts appear here.</p>
        {view.problems.map((p) => (
          <Notice key={p} kind="warning">
            {p}
          </Notice>
        ))}
      </section>
    )
  return (
    <section className="panel" aria-label="Amounts">
      <table className="sheet">
        <thead>
          <tr>
            <th>Pour</th>
            <th className="num">ml</th>
            <th className="num">fl oz</th>
            <th className="num">g</th>
            <th className="w120">Really poured</th>
          </tr>
        </thead>
        <tbody>
          {view.lines.map((l) => {
            const more = l.pouredUl === undefined ? 0 : l.targetUl - l.pouredUl
            return (
              <tr key={l.materialId} data-testid="amount">
                <td>
                  {l.material.name}
                  {l.kind === 'additive' ? (
                    <small className="block">{formatCounted(l.targetUl, dropOf(sizes, l.kind))}</small>
                  ) : null}
                  {more > 0 ? <b className="block">add {formatMl(more)}</b> : null}
                </td>
                <td className="num sum" title={`${l.targetUl} µl`}>
                  {bare(formatMl(l.targetUl))}
                </td>
                <td className="num">{bare(formatFlOz(l.targetUl))}</td>
                <td className="num">{bare(formatGrams(massMg(l.targetUl, l.material.densityGPerMl)))}</td>
                <td>
                  <Input
                    aria-label={`Really poured: ${l.material.name}`}
                    placeholder="as planned"
                    value={draft.poured[l.materialId] ?? ''}
                    onChange={(e) => change({ poured: { ...draft.poured, [l.materialId]: e.target.value } })}
                  />
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      {view.extraUl > 0 ? (
        <div className="under">
          <Notice kind="note">
            To keep the ratio, pour the rest to the new amounts: the batch becomes {formatMl(view.extraUl)} more,{' '}
            {formatMl(view.totalUl)} in all.
          </Notice>
        </div>
      ) : null}
      {view.lines.map((l) => (
        <FluidOunceTrap
          key={l.materialId}
          typed={draft.poured[l.materialId] ?? ''}
          densityGPerMl={l.material.densityGPerMl}
        />
      ))}
      <p className="muted after fine">
        “Really poured” takes ml, fl oz or g. A scale set to fl oz assumes water: on the scale, use grams.
      </p>
      {view.problems.map((p) => (
        <Notice key={p} kind="warning">
          {p}
        </Notice>
      ))}
      <FillLines lines={view.lines} units={units} />
    </section>
  )
}

/** An additive as one measures it: counted, or by the scoop where that would be too many drops. */
const formatCounted = (ul: number, dropUl: number) =>
  isCounted(ul, dropUl) ? formatDrops(ul, dropUl) : `about ${formatSpoons(ul)}`

const bare = (text: string) => text.replace(/\u00a0.*$/, '')
