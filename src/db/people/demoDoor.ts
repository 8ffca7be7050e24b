import { openSession, type Signed } from './sessions'
import { pool } from '@/db/base/pool'

/** Address of the account the one-click demo uses; nobody can sign in to it with a password. */
export const DEMO_EMAIL = 'ilse@lock-house.example'

/** A session in the demo studio; undefined where there is none. */
export async function demoDoor(device: string): Promise<Signed | undefined> {
  const { rows } = await pool().query<{ id: string; studio_id: string }>(
    `select a.id, s.studio_id from account a join account_studio s on s.account_id = a.id
     where a.email_key = $1 and a.password_hash is null and s.ended_at is null
     order by s.since, s.studio_id limit 1`,
    [DEMO_EMAIL],
  )
  return rows[0] && openSession(rows[0].id, rows[0].studio_id, device)
}
