import { Link } from '@/ui/frame/Link'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { Drawdown } from '@/ui/pictures/Drawdown'
import { TrayMark } from '@/ui/frame/TrayMark'
import type { DrawerRow } from './find'
import styles from './drawer.module.css'

const price = (m: DrawerRow, currency: string) =>
  m.priceMinor !== null && m.containerUl
    ? `${formatMl(m.containerUl)} · ${formatMoney(m.priceMinor, currency)}`
    : 'no price yet'

/** A paint as a drawdown card. */
export function PaintCard({ m, currency }: { m: DrawerRow; currency: string }) {
  const avoid = m.flags.filter((f) => f.rule === 'avoid')
  const only = m.flags.filter((f) => f.rule === 'only')
  return (
    <div className="card" data-card>
      <Link href={`/paints/${m.id}`}>
        <Drawdown hex={m.swatchHex} body={m.body} opacity={m.opacity} sheen={m.sheen} strength={m.sheenStrength ?? 2} />
        <div className="card-text" style={{ paddingRight: 46 }}>
          <b>{m.name}</b>
          <small>{[m.maker, m.line].filter(Boolean).join(' · ')}</small>
          <small>
            {m.body} · {m.opacity}
            {m.pigments.length ? ` · ${m.pigments.join(' ')}` : ''}
          </small>
          <small>
            {m.onHandUl === null ? price(m, currency) : `${formatMl(m.onHandUl)} in containers`}
            {m.low ? <b className={styles.inline}>, low</b> : null}
          </small>
          {m.discontinued ? <small className={styles.said}>Discontinued</small> : null}
          {avoid.length ? (
            <small className={styles.said}>
              <b className={styles.inline}>Avoid as</b> {avoid.map((a) => a.role).join(', ')}
            </small>
          ) : null}
          {only.length ? (
            <small className={styles.said}>
              <b className={styles.inline}>Good only as</b> {only.map((a) => a.role).join(', ')}
            </small>
          ) : null}
        </div>
      </Link>
      <TrayMark item={{ kind: 'paint', id: m.id, label: m.name, hex: m.swatchHex, sheen: m.sheen }} />
    </div>
  )
}
