import { Link } from '@/ui/frame/Link'
import { differenceInWords } from '@/core/colour/deltaE00'
import type { Candidate } from '@/core/colour/match/rank'
import { mixReflectance } from '@/core/colour/kubelkaMunk'
import { metamerismIndex } from '@/core/colour/metamerism'
import { mixToHex } from '@/core/colour/mixColour'
import { sureOf } from '@/core/colour/predict'
import { sureWords } from '@/core/colour/sureWords'
import { formatMoney } from '@/core/quantity/money'
import type { Material } from '@/db/materials/mixable'
import { Chip } from '@/ui/pictures/Drawdown'
import { SplitDisc } from '@/ui/pictures/SplitDisc'
import { hidingWords } from '../desk/MixPicture'
import { formulaPaint } from '../formulaPaint'
import type { Target } from '../target/target'
import styles from './match.module.css'

/** From this shift in lamp light on a match is said to change with the light. Start value of Fika. */
const SHIFTS = 1.5

/** One way to the colour: against the target, its parts, and what speaks for and against it. */
export function CandidateCard({
  candidate: c,
  pool,
  target,
  volumeUl,
  currency,
}: {
  candidate: Candidate
  pool: readonly Material[]
  target: Target
  volumeUl: number | undefined
  currency: string
}) {
  const paints = c.set.map((i) => pool[i]!)
  const own = paints.map(formulaPaint)
  const optics = own.map((p) => p.optics)
  const hex = mixToHex(optics, c.parts)!
  const sure = sureWords(
    sureOf(own, c.parts),
    paints.map((p) => p.name),
  )
  const spectrum = mixReflectance(optics, c.parts)
  const lamp = target.reflectance ? metamerismIndex(target.reflectance, spectrum, 'A') : 0
  const query = `paints=${paints.map((p) => p.id).join(',')}&parts=${c.parts.join(',')}`
  return (
    <li className={styles.candidate} data-testid="candidate">
      <div className={`neutral ${styles.candidateDisc}`}>
        <SplitDisc left={target.hex} right={hex} labels={[target.label, 'this mix']} size={118} />
      </div>
      <div>
        <p className={styles.candidateHead}>
          <b>{differenceInWords(c.deltaE)}</b>{' '}
          <span className="muted">
            ΔE00 {c.deltaE.toFixed(1)}, {sure.how}
          </span>
        </p>
        <ul className={styles.candidateParts}>
          {paints.map((p, i) => (
            <li key={p.id} className="chipline">
              <b className="num">{c.parts[i]}</b>
              <Chip hex={p.hex} sheen={p.sheen!} size={24} />
              {p.name}
            </li>
          ))}
        </ul>
        <p className={`muted ${styles.candidateFacts}`}>
          {hidingWords(c.contrastRatio)} ·{' '}
          {c.perMl === null ? 'a price is missing' : `${formatMoney(c.perMl, currency, 3)} a ml`} ·{' '}
          {c.pigments.length
            ? `${c.pigments.length} ${c.pigments.length === 1 ? 'pigment' : 'pigments'}`
            : 'pigments not named'}{' '}
          · {c.sheen}
          {lamp > SHIFTS ? <b> · in lamp light it differs by ΔE00 {lamp.toFixed(1)} more</b> : null}
        </p>
      </div>
      <div className={styles.candidateGo}>
        <Link className="go" href={`/bench?${query}${volumeUl ? `&ul=${volumeUl}` : ''}`}>
          To the bench
        </Link>
        <Link className="go second" href={`/formulas/new?${query}&target=${target.hex.slice(1)}`}>
          Open
        </Link>
      </div>
    </li>
  )
}
