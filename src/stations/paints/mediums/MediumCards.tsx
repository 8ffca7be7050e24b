import { Link } from '@/ui/frame/Link'
import { THINNER_FACTS } from '@/core/mix/thinners'
import { perMl } from '@/core/purchase/cost'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { EmptyState } from '@/ui/frame/Notice'
import { effectsOf, type MediumRow, type WaterRow } from '@/db/materials/read'
import { EffectChart } from './EffectChart'
import { MediumJar } from './MediumJar'
import mediumsStyles from './mediums.module.css'
import paintsStyles from '../paints.module.css'

interface Props {
  readonly rows: readonly (MediumRow | WaterRow)[]
  readonly held: ReadonlyMap<string, number>
  readonly currency: string
}

/** Mediums with what each does as one small chart, and thinners with how long a mix keeps. */
export function MediumCards({ rows, held, currency }: Props) {
  const mediums = rows.flatMap((m) => (m.kind === 'water' ? [] : [m]))
  const thinners = rows.flatMap((m) => (m.kind === 'water' ? [m] : []))
  const stock = (m: MediumRow | WaterRow) => {
    const ul = held.get(m.id)
    return ul === undefined ? 'not counted' : ul === 0 ? 'used up' : `${formatMl(ul)} in containers`
  }
  const price = (m: MediumRow | WaterRow) =>
    m.priceMinor !== null && m.containerUl
      ? `${formatMoney(perMl(m.priceMinor, m.containerUl), currency, 3)} a ml`
      : 'no price yet'
  return (
    <>
      {mediums.length === 0 ? (
        <EmptyState title="No mediums yet">Add the conditioner, glue or pouring medium you thin paint with.</EmptyState>
      ) : (
        <ul className={mediumsStyles.mediumCards}>
          {mediums.map((m) => (
            <li key={m.id} className="card">
              <Link href={`/paints/${m.id}`}>
                <div className="row" style={{ margin: 0, padding: '10px 12px 0' }}>
                  <MediumJar solids={m.solids} kind={m.kind} />
                  <div className="card-text unpadded">
                    <b>{m.name}</b>
                    <small>{m.mediumKind}</small>
                    <small>{price(m)}</small>
                    <small>{stock(m)}</small>
                  </div>
                </div>
                <div style={{ padding: '4px 12px 8px' }}>
                  <EffectChart effects={effectsOf(m)} label={m.name} />
                </div>
              </Link>
            </li>
          ))}
        </ul>
      )}
      {thinners.length ? (
        <table className={`sheet below ${paintsStyles.panelTable}`}>
          <thead>
            <tr>
              <th>Thinner</th>
              <th>Kind</th>
              <th>A mix made with it keeps</th>
              <th className="num">Water</th>
            </tr>
          </thead>
          <tbody>
            {thinners.map((m) => (
              <tr key={m.id}>
                <td>
                  <Link href={`/paints/${m.id}`}>{m.name}</Link>
                </td>
                <td>{m.thinner ? THINNER_FACTS[m.thinner].words : ''}</td>
                <td>{m.thinner ? THINNER_FACTS[m.thinner].keeps : ''}</td>
                <td className="num">{Math.round(m.waterShare * 100)} %</td>
              </tr>
            ))}
          </tbody>
        </table>
      ) : null}
    </>
  )
}
