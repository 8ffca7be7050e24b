import pg from 'pg'

export const admin = new pg.Client({ connectionString: process.env.FIKA_ADMIN_DATABASE })

/** A fingerprint of every row of a studio, table by table, as the catalogue lists them. */
export async function everything(studioId: string): Promise<Record<string, string>> {
  const { rows: tables } = await admin.query<{ name: string }>(
    `select c.relname as name from pg_class c
     join pg_attribute a on a.attrelid = c.oid and a.attname = 'studio_id' and not a.attisdropped
     where c.relnamespace = 'public'::regnamespace and c.relkind in ('r', 'p') and c.relname <> 'session' order by 1`,
  )
  const out: Record<string, string> = {}
  for (const { name } of tables) {
    const { rows } = await admin.query<{ sum: string }>(
      `select count(*) || ' ' || coalesce(md5(string_agg(t::text, '|' order by t::text)), '') as sum
       from ${name} t where studio_id = $1`,
      [studioId],
    )
    out[name] = rows[0]!.sum
  }
  return out
}
