import pg from 'pg'

// Volumes and money are bigint in the database and stay far below 2^53: read them as numbers.
pg.types.setTypeParser(pg.types.builtins.INT8, Number)
pg.types.setTypeParser(pg.types.builtins.NUMERIC, Number)

// Times are plain ISO texts in UTC, the same on the server and in the browser.
pg.types.setTypeParser(pg.types.builtins.TIMESTAMPTZ, (text) => new Date(text).toISOString())

/** How long a request waits for a connection before it is told that Fika is busy, ms. */
const WAIT_MS = 2_000

const shared = globalThis as { fikaPool?: pg.Pool }

/**
 * The name a statement is prepared under. Behind a pooler that hands each transaction another connection
 * (`FIKA_POOLED=1`) nothing is prepared: a name would be known to some of them only.
 */
export const preparedAs = (name: string | undefined): { name?: string } =>
  name && process.env.FIKA_POOLED !== '1' ? { name } : {}

/** Where news are listened for: a line of its own, past a pooler, where `FIKA_NEWS_DATABASE` names one. */
export const newsAddress = (): string | undefined => process.env.FIKA_NEWS_DATABASE ?? process.env.FIKA_DATABASE

/** The pool the app works with, as a role that neither owns the tables nor bypasses row-level security. */
export function pool(): pg.Pool {
  if (!shared.fikaPool) {
    const connectionString = process.env.FIKA_DATABASE
    if (!connectionString)
      throw new Error('FIKA_DATABASE names no database. Start Fika with npm run demo or npm start.')
    shared.fikaPool = new pg.Pool({
      connectionString,
      max: 12,
      idleTimeoutMillis: 30_000,
      connectionTimeoutMillis: WAIT_MS,
    })
    // An idle client may lose its server; the pool replaces it, and there is nothing to do but not to fall over.
    shared.fikaPool.on('error', () => undefined)
  }
  return shared.fikaPool
}

/** The pool while there is one; for what must not open it again. */
export const poolInUse = (): pg.Pool | undefined => shared.fikaPool

/** Ends the pool; for commands and tests. */
export async function endPool(): Promise<void> {
  await shared.fikaPool?.end()
  delete shared.fikaPool
}
