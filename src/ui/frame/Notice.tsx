import type { ReactNode } from 'react'
import styles from './frame.module.css'

const MARKS = {
  warning: 'M12 3l10 18H2zM12 10v5M12 17.500v1',
  note: 'M12 2a10 10 0 100 20 10 10 0 000-20zM12 10v7M12 6.500v1',
  done: 'M4 12l6 6L20 6',
} as const

/** One clear sentence with its icon; a warning is told by icon and word, not by colour. */
export function Notice({ kind = 'note', children }: { kind?: keyof typeof MARKS; children: ReactNode }) {
  return (
    <div
      className={kind === 'warning' ? `${styles.notice} ${styles.warning}` : styles.notice}
      role={kind === 'warning' ? 'alert' : 'status'}
    >
      <svg
        width="24"
        height="24"
        viewBox="0 0 24 24"
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        strokeLinejoin="round"
        aria-hidden="true"
      >
        <path d={MARKS[kind]} />
      </svg>
      <div>{children}</div>
    </div>
  )
}

/** What a screen says when there is nothing yet, with the next step. */
export function EmptyState({ title, children }: { title: string; children: ReactNode }) {
  return (
    <div className={styles.empty}>
      <h2>{title}</h2>
      <div>{children}</div>
    </div>
  )
}
