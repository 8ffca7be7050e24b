import { Link } from '@/ui/frame/Link'
import { deltaE00, differenceInWords } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import type { Likeness } from '@/core/colour/likeness'
import { effectPigment, lightfastnessOf, needsPigmentCare } from '@/core/paint/pigments'
import { BODY_WORDS } from '@/core/paint/properties'
import { mixedPerMl } from '@/core/purchase/league'
import { formatMl } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import type { ReadOptics } from '@/db/materials/optics'
import { Chip, Drawdown } from '@/ui/pictures/Drawdown'
import { TrayMark } from '@/ui/frame/TrayMark'
import type { DrawerPaint } from '@/db/materials/drawer'
import { pouringWords } from '@/core/paint/pouring'
import { PigmentCaution } from './PigmentCaution'
import { PigmentTable } from './PigmentTable'
import paintsStyles from '../paints.module.css'
import cardStyles from './card.module.css'

interface Props {
  readonly paint: DrawerPaint
  readonly onHandUl: number | null
  /** Cheapest medium, for the price of mixed paint; null where none has a price. */
  readonly mediumPerMl: number | null
  readonly alike: readonly (Likeness & { paint: DrawerPaint })[]
  readonly byId: ReadonlyMap<string, DrawerPaint>
  readonly currency: string
  /** What it is really mixed at. */
  readonly ratio: { readonly medium: number; readonly paint: number; readonly from: string }
  /** How well its action in mixes is known. */
  readonly optics: Pick<ReadOptics, 'known' | 'sigma' | 'mixes' | 'fit'> | undefined
}

/** A paint as it is known: its card, its colours side by side, its pigments, its price, and what could replace it. */
export function PaintSheet({ paint, onHandUl, mediumPerMl, alike, byId, currency, ratio, optics }: Props) {
  const k = ratio.medium / ratio.paint
  const money = (minor: number) => formatMoney(minor, currency, 3)
  const light = paint.lightfastness || lightfastnessOf(paint.pigments)
  const pours = pouringWords(paint)
  const effect = effectPigment(paint.pigments)
  return (
    <>
      <div className="wide-left">
        <section className="panel" aria-label="Drawdown card">
          <Drawdown
            hex={paint.swatchHex}
            body={paint.body}
            opacity={paint.opacity}
            sheen={paint.sheen}
            strength={paint.sheenStrength ?? 2}
            height={250}
          />
          <Swatches paint={paint} />
          <h2 className="below">
            {paint.pigments.length > 1
              ? `${paint.pigments.length} pigments`
              : paint.pigments.length === 1
                ? 'One pigment'
                : 'No pigments named'}
          </h2>
          {paint.pigments.length ? <PigmentTable names={paint.pigments} /> : null}
          {effect ? <p className="muted">{effect}</p> : null}
          {needsPigmentCare(paint.pigments) ? <PigmentCaution /> : null}
        </section>
        <section className="panel" aria-label="Facts">
          <Flags paint={paint} />
          <dl className="facts">
            <dt>Body</dt>
            <dd>{BODY_WORDS[paint.body]}</dd>
            <dt>Opacity</dt>
            <dd>
              {paint.opacity}
              {paint.contrastRatio === null ? '' : `, contrast ratio ${paint.contrastRatio}`}
            </dd>
            <dt>Sheen</dt>
            <dd>
              {paint.sheen}
              {paint.sheenStrength === 1 ? ', faint' : paint.sheenStrength === 3 ? ', strong' : ''}
            </dd>
            <dt>Strength</dt>
            <dd>
              {paint.strength} in mixes
              {optics ? <small className="muted said-under">{knownWords(optics)}</small> : null}
            </dd>
            <dt>Lightfastness</dt>
            <dd>
              {light ? `ASTM ${light}` : 'not known'}
              {paint.lightfastness || !light ? '' : ', by its weakest pigment'}
            </dd>
            {pours.length ? (
              <>
                <dt>How it pours</dt>
                <dd>{pours.join(', ')}</dd>
              </>
            ) : null}
            <dt>On hand</dt>
            <dd>
              {onHandUl === null ? 'not counted' : formatMl(onHandUl)}
              {paint.lowUl === null ? '' : `, low below ${formatMl(paint.lowUl)}`}
            </dd>
            <dt>Price</dt>
            <dd>
              {paint.perMl === null
                ? paint.priceMinor === null
                  ? 'none yet'
                  : `${formatMoney(paint.priceMinor, currency)}, size not known`
                : `${formatMl(paint.containerUl!)} for ${formatMoney(paint.priceMinor!, currency)}, ${money(paint.perMl)} a ml`}
            </dd>
            {paint.perMl !== null && (k === 0 || mediumPerMl !== null) ? (
              <>
                <dt>Mixed</dt>
                <dd>
                  {money(mixedPerMl(paint.perMl, { medium: k, water: 0, mediumPerMl: mediumPerMl ?? 0 }))} a ml at{' '}
                  {ratio.medium} : {ratio.paint}, {ratio.from}
                </dd>
              </>
            ) : null}
            <dt>Density</dt>
            <dd>
              {paint.densityGPerMl} g/ml, solids {Math.round(paint.solids * 100)} %
            </dd>
            {paint.supplier ? (
              <>
                <dt>Supplier</dt>
                <dd>{paint.supplier}</dd>
              </>
            ) : null}
            {paint.barcode ? (
              <>
                <dt>Barcode</dt>
                <dd>{paint.barcode}</dd>
              </>
            ) : null}
            {paint.tags.length ? (
              <>
                <dt>Tags</dt>
                <dd>{paint.tags.join(', ')}</dd>
              </>
            ) : null}
            {paint.notes ? (
              <>
                <dt>Notes</dt>
                <dd className="as-typed">{paint.notes}</dd>
              </>
            ) : null}
          </dl>
          <Replaced paint={paint} byId={byId} />
        </section>
      </div>
      <section className="panel below" aria-label="What could replace it">
        <h2>Same pigment, other maker; and what comes near</h2>
        {alike.length === 0 ? (
          <p className="muted">Nothing in the drawer shares its pigments or comes near its swatch.</p>
        ) : (
          <table className="sheet">
            <thead>
              <tr>
                <th>Paint</th>
                <th>Side by side</th>
                <th>Pigments</th>
                <th>Body</th>
                <th className="num">Per ml</th>
                <th />
              </tr>
            </thead>
            <tbody>
              {alike.slice(0, 10).map((a) => (
                <tr key={a.id}>
                  <td>
                    <Link href={`/paints/${a.id}`} className="chipline">
                      <Chip hex={a.paint.swatchHex} sheen={a.paint.sheen} />
                      <span>
                        {a.paint.name} <small className="muted">{a.paint.maker}</small>
                      </span>
                    </Link>
                  </td>
                  <td>
                    <span className="chipline">
                      <Touching one={paint.swatchHex} two={a.paint.swatchHex} />
                      {differenceInWords(a.deltaE)} <small className="muted">ΔE00 {a.deltaE.toFixed(1)}</small>
                    </span>
                  </td>
                  <td>
                    {a.pigments === 'same' ? 'the same' : a.pigments === 'shared' ? 'some shared' : 'other'}{' '}
                    <small className="muted">{a.paint.pigments.join(' ')}</small>
                  </td>
                  <td>{a.sameBody ? 'the same' : a.paint.body}</td>
                  <td className="num">{a.paint.perMl === null ? '' : money(a.paint.perMl)}</td>
                  <td className={paintsStyles.trayCell}>
                    <TrayMark
                      item={{
                        kind: 'paint',
                        id: a.id,
                        label: a.paint.name,
                        hex: a.paint.swatchHex,
                        sheen: a.paint.sheen,
                      }}
                    />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
    </>
  )
}

/** Masstone, wet and tint, touching, so that the difference is seen. */
function Swatches({ paint }: { paint: DrawerPaint }) {
  const list = [
    [paint.swatchHex, 'masstone, dry'],
    [paint.wetHex, paint.wetHex ? `wet, ${wetWords(paint.wetHex, paint.lab)}` : ''],
    [paint.tintHex, paint.tintWhiteShare ? `tint, ${Math.round(paint.tintWhiteShare * 100)} % white` : 'tint'],
    [paint.shadeHex, paint.shadeBlackShare ? `shade, ${Math.round(paint.shadeBlackShare * 100)} % black` : 'shade'],
  ].filter((s): s is [string, string] => Boolean(s[0]))
  return (
    <div className={cardStyles.swatches}>
      {list.map(([hex, words]) => (
        <figure key={words}>
          <div style={{ background: hex }} />
          <figcaption>
            {words} <small className="muted">{hex}</small>
          </figcaption>
        </figure>
      ))}
      {list.length === 1 ? (
        <figure className={cardStyles.wanting}>
          <figcaption className="muted">
            Add a tint in white (10 % paint) and a wet swatch: mixes are then predicted far better.
          </figcaption>
        </figure>
      ) : null}
    </div>
  )
}

/** How well a paint's action in mixes is known, and what would make it surer. */
function knownWords({ known, sigma, mixes, fit }: NonNullable<Props['optics']>): string {
  if (known === null || known === 'masstone' || sigma === null)
    return 'estimated from the masstone and this class; paint a 10 % tint in white to know it'
  const off = Math.round(100 * (Math.exp(sigma) - 1))
  const from = mixes === 1 ? 'one measured mix' : `${mixes} measured mixes`
  const fits = fit === null ? '' : `, which fit within ΔE00 ${fit.toFixed(1)}`
  const next = known === 'tint' ? '; a 20 % black shade would make it surer' : ''
  return `known to about ± ${off} % from ${from}${fits}${next}`
}

/** How the wet paint differs from the dry one. */
function wetWords(wetHex: string, dry: DrawerPaint['lab']): string {
  const wet = hexToLab(wetHex)
  const words = differenceInWords(deltaE00(wet, dry))
  if (words === 'cannot tell') return 'the same'
  return `${words === 'plain' ? 'plainly' : 'a hair'} ${wet[0] > dry[0] ? 'lighter' : 'darker'}`
}

function Touching({ one, two, size = 28 }: { one: string; two: string; size?: number }) {
  return (
    <svg width={size * 1.6} height={size} viewBox="0 0 32 20" aria-hidden="true" className="rigid">
      <rect width="16" height="20" fill={one} />
      <rect x="16" width="16" height="20" fill={two} />
    </svg>
  )
}

function Flags({ paint }: { paint: DrawerPaint }) {
  if (paint.flags.length === 0) return null
  return (
    <ul className={paintsStyles.saidList}>
      {paint.flags.map((f) => (
        <li key={f.role}>
          <b>
            {f.rule === 'avoid' ? 'Avoid as' : 'Good only as'} {f.role}
          </b>
          {f.reason ? `: ${f.reason}` : ''}
        </li>
      ))}
    </ul>
  )
}

function Replaced({ paint, byId }: { paint: DrawerPaint; byId: ReadonlyMap<string, DrawerPaint> }) {
  const name = (id: string) => byId.get(id)?.name ?? 'a paint put away'
  return (
    <>
      {paint.discontinued ? (
        <p className="under">
          <b>Discontinued.</b> What stands in for it is listed below.
        </p>
      ) : null}
      {paint.substitutes.length ? (
        <p className="under">
          Can be replaced by{' '}
          {paint.substitutes.map((id, i) => (
            <span key={id}>
              {i ? ', ' : ''}
              <Link href={`/paints/${id}`}>{name(id)}</Link>
            </span>
          ))}
          .
        </p>
      ) : null}
    </>
  )
}
