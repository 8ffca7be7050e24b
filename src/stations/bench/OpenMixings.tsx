'use client'

import type { MixingKind } from '@/core/mix/mixingKinds'
import { Link } from '@/ui/frame/Link'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { putAsideAction } from './guide/actions'
import styles from './bench.module.css'

export interface OpenMixing {
  readonly id: string
  readonly kind: MixingKind
  readonly label: string
  readonly createdAt: string
  readonly steps: number
}

/** Mixes that were begun on any device and not finished: to go on, or to put aside. */
export function OpenMixings({ open }: { open: readonly OpenMixing[] }) {
  const { send, pending, refusal } = useSend<null>()
  if (open.length === 0) return null
  return (
    <section className={styles.openMixings} aria-label="Under way">
      {open.map((m) => (
        <div key={m.id} className="row">
          <span className="grow">
            <b>{m.label || 'A mix'}</b> is under way, {m.kind === 'guided' ? 'step by step' : 'poured first'}, {m.steps}{' '}
            {m.steps === 1 ? 'step' : 'steps'} done
          </span>
          <Link className="go" href={m.kind === 'guided' ? `/bench/guide/${m.id}` : `/bench/eye/${m.id}`}>
            Go on
          </Link>
          <button
            type="button"
            className="go second"
            disabled={pending}
            onClick={() => send(() => putAsideAction({ id: m.id }))}
          >
            Put aside
          </button>
        </div>
      ))}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </section>
  )
}
