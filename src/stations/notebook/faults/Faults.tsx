import { Link } from '@/ui/frame/Link'
import type { CauseWord } from '@/core/learning/faultCause'
import { FAULTS } from '@/core/piece/faults'
import { Bars } from '../charts/Bars'
import { WriteBack } from '../WriteBack'
import type { FaultsTraced, FaultTraced, ToldCause } from '@/core/learning/tracedFaults'
import styles from '../notebook.module.css'

const percent = (x: number) => `${Math.round(100 * x)} %`
const named = (c: ToldCause) => c.names.slice(0, 4).join(', always together with ')

const SAYS: Readonly<Record<CauseWord, (c: ToldCause) => string>> = {
  likely: (c) => `Likely: ${named(c)}.`,
  suspect: (c) => `A suspicion, no more: ${named(c)}.`,
  'not enough yet': () => 'Not enough yet to name a cause.',
}

/** A fault, the pieces that show it beside those that do not, and what they share. */
export function Faults({ facts }: { facts: FaultsTraced }) {
  const fault = facts.faults.find((f) => f.key === facts.shown)
  if (!fault) return null
  const first = fault.causes[0]
  const isTold = first && first.word !== 'not enough yet'
  return (
    <>
      <nav className="places" aria-label="Faults">
        {facts.faults.map((f) => (
          <Link
            key={f.key}
            href={`/notebook/faults?fault=${f.key}`}
            aria-current={f.key === fault.key ? 'page' : undefined}
          >
            {f.name} <span className="muted">· {f.faulty}</span>
          </Link>
        ))}
      </nav>
      <div className="wide-left">
        <section className="panel" aria-label={fault.name}>
          <p className={styles.said} data-testid="traced">
            <b>{first ? SAYS[first.word](first) : 'Nothing that is kept differs between these pieces.'}</b>
          </p>
          <p>
            {fault.faulty} of {fault.pieces} pieces that were looked at show {fault.name.toLowerCase()}.{' '}
            {first ? counted(first) : ''} {enough(facts, fault)}
          </p>
          {first && isTold ? (
            <>
              <h2>With it</h2>
              <Pieces pieces={facts.having} />
              <h2>Without it</h2>
              <Pieces pieces={facts.without} />
              <p className="muted">Dark: shows {fault.name.toLowerCase()}. A tap opens the piece.</p>
            </>
          ) : null}
        </section>
        <div className="grid">
          <section className="panel" aria-label="How sure">
            <h2>How sure is that?</h2>
            <Bars
              label={`Probability of each cause of ${fault.name.toLowerCase()}`}
              unit="that it is the cause, %"
              parts={['probability']}
              to={100}
              rows={[
                ...fault.causes.map((c) => ({
                  name: short(c.names[0]!) + (c.names.length > 1 ? ` + ${c.names.length - 1}` : ''),
                  parts: [100 * c.probability],
                })),
                { name: 'none of what is kept', parts: [100 * fault.none] },
              ]}
            />
            <p className="muted fine">
              One cause or none, from materials, containers, mediums, technique, handling and air; from 60 % on
              “likely”, from 30 % on a suspicion. Usual causes: {usual(fault.key)} (common practice).
            </p>
          </section>
          {first && isTold ? (
            <WriteBack fault={fault.name.toLowerCase()} material={facts.material} others={facts.paints} />
          ) : null}
          {first && first.word !== 'likely' ? (
            <section className="panel">
              <h2>What would tell</h2>
              <p>Pour pairs that differ in this one thing only, and look at them side by side.</p>
              <Link className="go" href={`/notebook/trials/new?${trialSearch(fault, facts)}`}>
                Begin a trial
              </Link>
            </section>
          ) : null}
        </div>
      </div>
    </>
  )
}

const short = (name: string) => (name.length > 24 ? `${name.slice(0, 23)}…` : name)
const usual = (key: string) => FAULTS.find((f) => f.key === key)!.causes

function counted(c: ToldCause): string {
  const rate = (n: number, of: number) => (of > 0 ? `${n} of ${of} (${percent(n / of)})` : 'none')
  return `With ${c.names[0]}: ${rate(c.withFaulty, c.withAll)}; without: ${rate(c.withoutFaulty, c.withoutAll)}.`
}

/** How much more would tell, in pieces and in pairs. */
function enough({ enough: e }: FaultsTraced, fault: FaultTraced): string {
  if (fault.causes[0]?.word === 'likely' || !e) return ''
  const pairs = e.pairs === null ? '' : `${e.pairs} pairs poured alike but for it`
  const pieces = e.pieces === null ? '' : `about ${e.pieces} more pieces poured as usual`
  if (!pairs && !pieces) return 'If there is a cause among them, it is too weak to find by waiting.'
  return `What would tell, eight times in ten: ${[pairs, pieces].filter(Boolean).join(', or ')}.`
}

function trialSearch(fault: FaultTraced, { material }: FaultsTraced): string {
  const search = new URLSearchParams({ fault: fault.name.toLowerCase() })
  if (material) search.set('material', material.id)
  return search.toString()
}

function Pieces({ pieces }: { pieces: FaultsTraced['having'] }) {
  if (pieces.length === 0) return <p className="muted">None.</p>
  return (
    <ul className={styles.pieces}>
      {pieces.map((p) => (
        <li key={p.id}>
          <Link
            href={`/wall/${p.id}`}
            data-faulty={p.isFaulty}
            title={p.title}
            aria-label={`${p.title}${p.isFaulty ? ', shows it' : ''}`}
          >
            {p.isFaulty ? '!' : ''}
          </Link>
        </li>
      ))}
    </ul>
  )
}
