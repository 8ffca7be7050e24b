import type pg from 'pg'

interface Key {
  readonly name: string
  readonly from: string
  readonly to: string
}

/**
 * The statements that spread the schema over the nodes of a distributed engine of the PostgreSQL family, by studio_id,
 * as the catalogue of a database says.
 */
export async function distributionSteps(db: pg.Client): Promise<string> {
  const { rows: tables } = await db.query<{ name: string; tenant: boolean }>(
    `select c.relname as name, exists (select from pg_index i join pg_attribute a on a.attrelid = c.oid
        and a.attnum = (i.indkey::int2[])[0] where i.indrelid = c.oid and i.indisprimary and a.attname = 'studio_id') as tenant
     from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p') order by 1`,
  )
  const { rows: keys } = await db.query<Key>(
    `select conname as name, conrelid::regclass::text as from, confrelid::regclass::text as to from pg_constraint
     where contype = 'f' and connamespace = 'public'::regnamespace order by 2, 1`,
  )
  const { rows: triggers } = await db.query<{ name: string; on: string }>(
    `select tgname as name, tgrelid::regclass::text as on from pg_trigger t join pg_class c on c.oid = t.tgrelid
     where not tgisinternal and c.relnamespace = 'public'::regnamespace order by 2, 1`,
  )
  const isTenant = new Map(tables.map((t) => [t.name, t.tenant]))
  const shared = tables.filter((t) => !t.tenant).map((t) => t.name)
  const stays = ['schema_migration', 'backup_made', 'backup_state']
  const outward = keys.filter((k) => !isTenant.get(k.from) && isTenant.get(k.to))

  // Each after the tables its rows name, so that a key finds its target spread already.
  const left = tables.filter((t) => t.tenant).map((t) => t.name)
  const inTurn: string[] = []
  while (left.length) {
    const free = left.filter((t) => keys.every((k) => k.from !== t || k.to === t || !left.includes(k.to)))
    const next = free.length ? free : left.slice(0, 1)
    for (const t of next) {
      inTurn.push(t)
      left.splice(left.indexOf(t), 1)
    }
  }
  const root = 'studio'
  return [
    '-- Keys that lead from what every node has to what is spread; the app keeps to them by itself.',
    ...outward.map((k) => `alter table ${k.from} drop constraint ${k.name};`),
    '-- On every node.',
    ...shared.filter((t) => !stays.includes(t)).map((t) => `select create_reference_table('${t}');`),
    `-- On the first node alone: ${stays.join(', ')}.`,
    '-- Spread by studio, all of a studio on one node.',
    ...inTurn.map((t) =>
      t === root
        ? `select create_distributed_table('${t}', 'studio_id');`
        : `select create_distributed_table('${t}', 'studio_id', colocate_with => '${root}');`,
    ),
    '-- Triggers that must be allowed on spread tables; each looks at rows of its own studio alone.',
    ...triggers.filter((t) => isTenant.get(t.on)).map((t) => `--   ${t.on}.${t.name}`),
  ].join('\n')
}
