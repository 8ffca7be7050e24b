import dayjs from 'dayjs'
import { THINNER_FACTS } from '@/core/mix/thinners'
import { keepsDays, USUAL_RACK_C } from '@/core/vessel/keepsDays'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { perMl } from '@/core/purchase/cost'
import { effectsOf, type MediumRow, type WaterRow } from '@/db/materials/read'
import { EffectChart } from './EffectChart'
import { MediumJar } from './MediumJar'

/** The day a mix made today with a thinner keeps until, on a usual shelf. */
const keptUntil = (thinner: WaterRow['thinner']) =>
  dayjs()
    .add(keepsDays({ thinners: [thinner], mediums: [], rackC: USUAL_RACK_C }), 'day')
    .format('D MMM YYYY')

/** A medium or thinner as it is known: what it does, what it weighs, what it costs, how long it keeps. */
export function MediumSheet({
  medium: m,
  onHandUl,
  currency,
}: {
  medium: MediumRow | WaterRow
  onHandUl: number | null
  currency: string
}) {
  return (
    <div className="two">
      <section className="panel" aria-label="What it does">
        <div className="row">
          <MediumJar solids={m.solids} kind={m.kind} />
          <h2>{m.kind === 'water' ? THINNER_FACTS[m.thinner].words : m.mediumKind}</h2>
        </div>
        {m.kind === 'water' ? (
          <p>
            A mix thinned with it keeps <b>{THINNER_FACTS[m.thinner].keeps}</b>: mixed today, until about{' '}
            {keptUntil(m.thinner)}. Common practice, no published source.
          </p>
        ) : (
          <>
            <EffectChart effects={effectsOf(m)} label={m.name} />
            {m.effects ? null : (
              <p className="muted">The usual profile of its kind: start values of Fika after what makers say.</p>
            )}
          </>
        )}
      </section>
      <section className="panel" aria-label="Facts">
        <dl className="facts">
          <dt>On hand</dt>
          <dd>{onHandUl === null ? 'not counted' : formatMl(onHandUl)}</dd>
          <dt>Price</dt>
          <dd>
            {m.priceMinor !== null && m.containerUl
              ? `${formatMl(m.containerUl)} for ${formatMoney(m.priceMinor, currency)}, ${formatMoney(perMl(m.priceMinor, m.containerUl), currency, 3)} a ml`
              : 'none yet'}
          </dd>
          <dt>Density</dt>
          <dd>{m.densityGPerMl} g/ml</dd>
          <dt>Solids</dt>
          <dd>{Math.round(m.solids * 100)} % by volume</dd>
          <dt>Water in it</dt>
          <dd>{Math.round(m.waterShare * 100)} %</dd>
          {m.supplier ? (
            <>
              <dt>Supplier</dt>
              <dd>{m.supplier}</dd>
            </>
          ) : null}
          {m.notes ? (
            <>
              <dt>Notes</dt>
              <dd className="as-typed">{m.notes}</dd>
            </>
          ) : null}
        </dl>
      </section>
    </div>
  )
}
