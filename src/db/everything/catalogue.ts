import type { Tx } from '../base/withStudio'

/**
 * Tables of a studio that are not taken along: who is in it and by which links, which are of this house; requests that
 * came, which will not come again elsewhere; and what counts itself anew.
 */
const LEFT_HERE = ['account_studio', 'session', 'invitation', 'work_link', 'request_made', 'catalogue_version']

/** Columns of the studio itself that are of this house. */
const STAY: Readonly<Record<string, readonly string[]>> = { studio: ['demo', 'created_at'] }

/** A name of the catalogue as it stands in a statement. */
export const quoted = (name: string) => `"${name.replaceAll('"', '""')}"`

export interface TableShape {
  readonly name: string
  /** Columns that are kept, without studio_id and what the database reckons itself. */
  readonly columns: readonly string[]
  /** Of these, what is a picture and kept as a file of its own. */
  readonly pictures: readonly string[]
  /** Of these, what names an account. */
  readonly people: readonly string[]
  /** The primary key without studio_id. */
  readonly key: readonly string[]
  /** Other tables its rows name, and the columns that do so where they may be empty. */
  readonly names: readonly { readonly table: string; readonly mayBeEmpty: readonly string[] }[]
}

/** Every table of a studio that is taken out with it, as the database's own catalogue has it, by name. */
export async function studioTables(tx: Tx): Promise<TableShape[]> {
  return tx.q<TableShape>(
    `with t as (
       select c.oid, c.relname from pg_class c
       join pg_attribute s on s.attrelid = c.oid and s.attname = 'studio_id' and not s.attisdropped
       where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p') and c.relname <> all ($1)
     ), kept as (
       select t.oid, t.relname, a.attname, a.attnum, a.atttypid, a.attnotnull from t
       join pg_attribute a on a.attrelid = t.oid and a.attnum > 0 and not a.attisdropped
       where a.attgenerated = '' and a.attname <> 'studio_id'
         and not coalesce($2::jsonb -> t.relname ? a.attname, false)
     ), refers as (
       select f.oid, f.conrelid, f.confrelid, f.conkey, r.relname as target from pg_constraint f
       join pg_class r on r.oid = f.confrelid where f.contype = 'f'
     )
     select t.relname as name,
       (select json_agg(k.attname order by k.attnum) from kept k where k.oid = t.oid) as columns,
       (select coalesce(json_agg(k.attname order by k.attnum), '[]') from kept k
         where k.oid = t.oid and k.atttypid = 'bytea'::regtype) as pictures,
       (select coalesce(json_agg(k.attname order by k.attnum), '[]') from kept k
         join refers f on f.conrelid = t.oid and f.target = 'account' and k.attnum = any (f.conkey)
         where k.oid = t.oid) as people,
       (select coalesce(json_agg(a.attname order by array_position(i.indkey::int2[], a.attnum)), '[]')
         from pg_index i join pg_attribute a on a.attrelid = i.indrelid and a.attnum = any (i.indkey::int2[])
         where i.indrelid = t.oid and i.indisprimary and a.attname <> 'studio_id') as key,
       (select coalesce(json_agg(json_build_object('table', f.target, 'mayBeEmpty',
           (select coalesce(json_agg(k.attname), '[]') from kept k
             where k.oid = t.oid and k.attnum = any (f.conkey) and not k.attnotnull))), '[]')
         from refers f where f.conrelid = t.oid and f.confrelid <> t.oid
           and f.target in (select relname from t)) as names
     from t order by t.relname`,
    [LEFT_HERE, JSON.stringify(STAY)],
  )
}

/** The step of the schema the database stands at. */
export async function schemaStep(tx: Tx): Promise<string> {
  const [row] = await tx.q<{ name: string }>('select name from schema_migration order by id desc limit 1')
  return row?.name ?? ''
}

export interface Step {
  readonly table: TableShape
  /** Columns that are written afterwards, because what they name comes later. */
  readonly later: readonly string[]
}

/**
 * Puts tables in an order in which each comes after what its rows name. Where two name each other, one is written
 * without the columns that may be empty, which are filled in at the end.
 * @throws Error where two name each other by columns that may not
 */
export function inOrder(tables: readonly TableShape[]): Step[] {
  const steps: Step[] = []
  const done = new Set<string>()
  let left = [...tables]
  while (left.length) {
    const waits = (t: TableShape) => t.names.filter((n) => !done.has(n.table))
    const free = left.filter((t) => waits(t).length === 0)
    const next = free.length ? free : left.filter((t) => waits(t).every((n) => n.mayBeEmpty.length > 0)).slice(0, 1)
    if (next.length === 0) throw new Error(`no order for ${left.map((t) => t.name).join(', ')}`)
    for (const table of next) {
      steps.push({ table, later: [...new Set(waits(table).flatMap((n) => n.mayBeEmpty))] })
      done.add(table.name)
    }
    left = left.filter((t) => !done.has(t.name))
  }
  return steps
}
