'use client'

import { besideReference, undiluted, type Beside } from '@/core/consistency/reference'
import { formatMl, formatSmall, isCounted } from '@/core/quantity/format'
import { Chip } from '@/ui/pictures/Drawdown'
import { Mound } from '@/ui/pictures/Mound'
import { Notice } from '@/ui/frame/Notice'
import { useDropSizes } from '@/ui/hooks/useDropSizes'
import { useSend } from '@/ui/hooks/useSend'
import { correctAction, referenceAction } from './actions'
import type { DeskBottle } from './queries'
import styles from './consistency.module.css'

/** Drops a maker adds by eye at the table. */
const SIX = 6

/** What makes a bottle agree, in few words. */
function thinBy({ waterUl, mediumUl }: Beside, dropUl: number): string {
  const water = waterUl >= dropUl ? formatSmall(waterUl, dropUl) : ''
  const medium = mediumUl > 0 ? `${formatMl(mediumUl)} of medium` : ''
  return [water, medium].filter(Boolean).join(', then ')
}

/** All bottles of a palette beside the reference: who is thicker, and how many drops each needs to agree. */
export function ReferenceStrip({
  bottles,
  waterId,
  chosen,
  onChoose,
}: {
  bottles: readonly DeskBottle[]
  waterId: string | undefined
  chosen: string
  onChoose: (id: string) => void
}) {
  const { water: dropUl } = useDropSizes()
  const { send, pending, refusal } = useSend<null>()
  const compared = (b: DeskBottle) => ({
    id: b.id,
    belief: b.belief,
    w: b.w,
    undilutedUl: undiluted(b.w, b.ul),
    roomUl: b.roomUl,
  })
  const reference = bottles.find((b) => b.isReference)
  const beside = reference
    ? new Map(besideReference(compared(reference), bottles.map(compared)).map((x) => [x.id, x]))
    : undefined
  const likeS = reference ? beside!.get(reference.id)!.levelTimeS : undefined
  return (
    <>
      <ol className={styles.strip}>
        {bottles.map((b) => {
          const x = beside?.get(b.id)
          const seconds = x?.levelTimeS ?? Math.exp(b.belief.a - b.belief.b * b.w)
          const drops = x ? Math.round(x.waterUl / dropUl) : 0
          return (
            <li key={b.id} data-chosen={b.id === chosen ? '' : undefined} data-testid="strip">
              <button type="button" className={styles.stripName} onClick={() => onChoose(b.id)}>
                <Chip hex={b.hex} sheen={b.sheen} size={34} />
                <b>{b.label}</b>
              </button>
              <Mound levelTimeS={seconds} width={112} label={`${b.label}: about ${seconds.toFixed(1)} s`} />
              <span>
                {seconds.toFixed(1)} s{b.points.length ? '' : ', expected'}
              </span>
              <span className={styles.stripSay}>
                {b.isReference
                  ? 'the reference'
                  : !x
                    ? ''
                    : x.verdict === 'alike'
                      ? 'agrees'
                      : x.verdict === 'thinner'
                        ? 'thinner'
                        : `thicker: ${thinBy(x, dropUl)}`}
              </span>
              {b.isReference ? (
                <button
                  type="button"
                  className="plain"
                  onClick={() => send(() => referenceAction({ vesselId: b.id, isReference: false }))}
                >
                  Not the reference
                </button>
              ) : reference ? (
                <span className={styles.stripDo}>
                  {[...new Set([SIX, drops])]
                    .filter((n) => n > 0 && n * dropUl <= b.roomUl)
                    .map((n) => (
                      <button
                        key={n}
                        type="button"
                        className="go second"
                        disabled={pending || !waterId}
                        onClick={() =>
                          send(
                            (requestId) =>
                              correctAction({ requestId, vesselId: b.id, waterId, ul: Math.round(n * dropUl), likeS }),
                            undefined,
                            `${formatSmall(n * dropUl, dropUl)} into ${b.label}, taken to agree now`,
                          )
                        }
                      >
                        +{isCounted(n * dropUl, dropUl) ? n : formatMl(n * dropUl)}
                      </button>
                    ))}
                </span>
              ) : (
                <button
                  type="button"
                  className="plain"
                  onClick={() => send(() => referenceAction({ vesselId: b.id, isReference: true }))}
                >
                  Make it the reference
                </button>
              )}
            </li>
          )
        })}
      </ol>
      {reference ? (
        <p className="muted">
          A tap books the drops, and takes the bottle to agree with {reference.label} from now on: its curve learns from
          it. Two whites of different thickness are normal; leave out what has another role.
        </p>
      ) : (
        <p className="muted">Make one bottle the measure, and the others are brought to it.</p>
      )}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </>
  )
}
