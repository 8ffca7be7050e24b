'use client'

import { formatMl } from '@/core/quantity/format'
import { BOTHERS, offersFor, REMEDIES, type LeftBottle } from '@/core/run/bothers'
import { CAUTIONS } from '@/core/technique/technique'
import { Notice } from '@/ui/frame/Notice'
import { StepKey } from '@/ui/hand/StepKey'
import { Chip } from '@/ui/pictures/Drawdown'
import { Aside } from '../Aside'
import { Key } from '../Key'
import { RunBoard } from '../RunBoard'
import type { RunStepProps } from '../stepProps'
import styles from '../run.module.css'
import { Heat } from './PourStep'

/** What bothers, and what can be done about it now with what is left, best first by what worked here. */
export function BotherStep(props: RunStepProps) {
  const { state, desk, piece, send, next, bottleOf } = props
  const own = state.bothers.filter((b) => b.piece === piece.id)
  const now = own.at(-1)
  const spent = new Map<string, number>()
  for (const g of state.given) spent.set(g.bottle, (spent.get(g.bottle) ?? 0) + g.ul)
  const ownColours = new Set(state.given.filter((g) => g.piece === piece.id).map((g) => g.bottle))
  const left = desk.bottles.map((b): LeftBottle => ({
    id: b.id,
    label: b.label,
    ul: Math.max(0, b.ul - (spent.get(b.id) ?? 0)),
    isOwn: ownColours.has(b.id),
    isSwipe: b.role === 'swipe colour',
  }))
  const offers = now ? offersFor(now.what, left, state.given.length > 0, desk.fared) : []
  const cautions = [...new Set(offers.flatMap((o) => (o.caution ? [o.caution] : [])))]
  return (
    <>
      <StepKey label={own.length ? 'Nothing bothers me any more' : 'Nothing bothers me'} next={next} />
      <h2 className={styles.title}>What bothers you, {piece.title}?</h2>
      <div className={styles.keys} role="group" aria-label="What bothers you">
        {BOTHERS.map((what) => (
          <Key key={what} on={now?.what === what} press={() => void send({ kind: 'bother', piece: piece.id, what })}>
            {what}
          </Key>
        ))}
      </div>
      {now ? (
        <div className={styles.cards}>
          {offers.map((o) => (
            <button
              key={o.key}
              type="button"
              className={styles.key}
              data-testid="offer"
              onClick={() =>
                void send({
                  kind: 'remedy',
                  bother: now.n,
                  which: o.key,
                  piece: piece.id,
                  bottle: o.bottle?.id ?? null,
                  ul: o.ul,
                  how: 'eye',
                })
              }
            >
              {o.bottle ? <Chip hex={bottleOf(o.bottle.id)?.hex ?? null} size={32} /> : null}
              <span>
                {o.say}
                <small>
                  {o.bottle ? `${formatMl(o.ul)} of ${o.bottle.label} · ` : ''}
                  {o.tried ? `worked here ${o.worked} of ${o.tried} times` : 'not tried here yet'}
                </small>
              </span>
            </button>
          ))}
          {offers.length === 0 ? (
            <p className={styles.say}>Nothing is left to mend it with. Leave it, or take another bottle.</p>
          ) : null}
        </div>
      ) : null}
      {offers.some((o) => o.caution === 'torch') ? <Heat {...props} /> : null}
      {cautions
        .filter((c) => c !== 'torch')
        .map((c) => (
          <Notice key={c} kind="warning">
            {CAUTIONS[c]}
          </Notice>
        ))}
      {own.flatMap((b) =>
        b.remedies.map((r) => (
          <div key={r.n} className={styles.keys} data-testid="tried">
            <span className={styles.say}>
              {b.what}: {REMEDIES[r.which].say.toLowerCase()}
              {r.bottle ? `, ${formatMl(r.ul)} of ${bottleOf(r.bottle)?.label ?? 'a bottle'}` : ''}
            </span>
            <Key on={r.worked === true} press={() => void send({ kind: 'worked', remedy: r.n, yes: true })}>
              It worked
            </Key>
            <Key on={r.worked === false} press={() => void send({ kind: 'worked', remedy: r.n, yes: false })}>
              It did not
            </Key>
          </div>
        )),
      )}
      <Aside>
        <RunBoard piece={piece} state={state} />
      </Aside>
    </>
  )
}
