import { join } from 'node:path'
import { runner } from 'node-pg-migrate'
import pg from 'pg'

/** A database of a test's own that is brought up step by step, to see what a migration makes of rows. */
export function migrating(name: string) {
  const urlOf = (from: string) => from.replace(/\/[^/]*$/, `/${name}`)
  const admin = new pg.Client({ connectionString: process.env.FIKA_ADMIN_DATABASE })
  const db = new pg.Client({ connectionString: urlOf(process.env.FIKA_ADMIN_DATABASE!) })
  return {
    db,
    async begin() {
      await admin.connect()
      await admin.query(`create database ${name} owner fika_owner`)
      await db.connect()
      await db.query('create extension if not exists pg_trgm')
    },
    async end() {
      await db.end()
      await admin.query(`drop database ${name}`)
      await admin.end()
    },
    up: (count: number) =>
      runner({
        databaseUrl: urlOf(process.env.FIKA_OWNER_DATABASE!),
        dir: join(process.cwd(), 'migrations'),
        migrationsTable: 'schema_migration',
        direction: 'up',
        count,
        singleTransaction: true,
        log: () => undefined,
      }),
  }
}
