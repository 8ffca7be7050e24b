import { pool } from '../base/pool'

export interface BackupFile {
  readonly file: string
  readonly at: string
  readonly bytes: number
  readonly provedAt: string | null
}

export interface Backups {
  /** Newest first. */
  readonly kept: readonly BackupFile[]
  /** What went wrong the last time; empty where nothing did. */
  readonly trouble: string
  /** Whether one was wished for and is not made yet. */
  readonly wished: boolean
}

/** What is known of the back-ups of this house. */
export async function listBackups(): Promise<Backups> {
  const kept = await pool().query<BackupFile>(
    'select file, at, bytes, proved_at as "provedAt" from backup_made order by at desc limit 100',
  )
  const state = await pool().query<Omit<Backups, 'kept'>>(
    `select trouble, coalesce(wished_at > greatest(tried_at, '-infinity'), false) as wished from backup_state`,
  )
  return { kept: kept.rows, trouble: state.rows[0]?.trouble ?? '', wished: state.rows[0]?.wished ?? false }
}

/** Wishes for a back-up now; whoever started Fika makes it within the minute. */
export async function wishForBackup(): Promise<void> {
  await pool().query('update backup_state set wished_at = now()')
}
