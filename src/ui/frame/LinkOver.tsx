import type { ReactNode } from 'react'
import { EmptyState } from './Notice'
import styles from './frame.module.css'

/** What stands behind a link that leads nowhere any more. */
export function LinkOver({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className={styles.alone}>
      <EmptyState title={title}>{children}</EmptyState>
    </main>
  )
}
