'use client'

import { Link } from '@/ui/frame/Link'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import type { Run } from '@/db/runs/read'
import { takeRunBackAction } from '../../actions'
import styles from '../run.module.css'

/** A run that is booked, with the way back; or one that was put aside. */
export function Ended({ run }: { run: Run }) {
  const { send, pending, refusal } = useSend<null>()
  return (
    <section className="panel">
      <h1 className={styles.title}>{run.bookedAt ? 'This pour is booked' : 'This pour was put aside'}</h1>
      <p className={styles.say}>
        {run.bookedAt
          ? `${run.plan.pieces.length > 1 ? 'Its pieces hang' : 'Its piece hangs'} on the wall, and the books have it as it happened.`
          : 'Nothing of it was booked. Begin it anew from its plan.'}
      </p>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <div className={styles.keys}>
        <Link className="go" href={run.bookedAt ? '/wall' : '/pour'}>
          {run.bookedAt ? 'To the wall' : 'To the pours'}
        </Link>
        {run.bookedAt ? (
          <button
            type="button"
            className="go second"
            disabled={pending}
            onClick={() => send(() => takeRunBackAction({ id: run.id }), undefined, 'Taken back')}
          >
            Take the booking back, to put right what was wrong
          </button>
        ) : null}
      </div>
    </section>
  )
}
