'use client'

import { Link } from '@/ui/frame/Link'
import type { Need } from '@/core/vessel/needs'
import { useSend } from '@/ui/hooks/useSend'
import { shakenAction } from './actions'
import styles from './rack.module.css'

/** What a bottle needs, each with what to do about it. */
export function NeedList({ needs, vesselId }: { needs: readonly Need[]; vesselId: string }) {
  const { send, pending, refusal } = useSend<null>()
  if (needs.length === 0) return <p className={styles.needLine}>Ready to pour.</p>
  return (
    <ul className={styles.needList}>
      {needs.map((n) => (
        <li key={n.kind} data-need={n.kind}>
          {n.todo}{' '}
          {n.kind === 'shake' || n.kind === 'check' ? (
            <button
              type="button"
              className="plain"
              disabled={pending}
              onClick={() => send(() => shakenAction({ vesselId }), undefined, 'Noted')}
            >
              Shaken and strained
            </button>
          ) : null}
          {n.kind === 'thickened' || n.kind === 'check' ? (
            <Link href={`/bench/consistency?bottle=${vesselId}`}>Time it</Link>
          ) : null}
          {n.kind === 'low' ? <Link href={`/bench?like=${vesselId}`}>Mix more</Link> : null}
        </li>
      ))}
      {refusal ? <li role="alert">{refusal.message}</li> : null}
    </ul>
  )
}
