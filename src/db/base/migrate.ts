import { join } from 'node:path'
import { runner } from 'node-pg-migrate'

/** Brings a database to the newest schema: migrations, in order, forward only, all or nothing. */
export async function migrate(ownerUrl: string): Promise<string[]> {
  const done = await runner({
    databaseUrl: ownerUrl,
    dir: join(process.cwd(), 'migrations'),
    migrationsTable: 'schema_migration',
    direction: 'up',
    singleTransaction: true,
    log: () => undefined,
  })
  return done.map((m) => m.name)
}
