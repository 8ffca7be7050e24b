import { createHash } from 'node:crypto'
import type { Tx } from '../base/withStudio'
import { quoted, schemaStep, studioTables, type TableShape } from './catalogue'

/** What an archive says of itself, in `fika.json`. */
export interface Manifest {
  readonly format: 'fika studio'
  readonly version: 1
  /** Step of the schema its tables have. */
  readonly schema: string
  readonly takenAt: string
  readonly name: string
  /** People whose names stand in the journal; of them nothing else is taken out. */
  readonly people: readonly { readonly id: string; readonly name: string }[]
  /** Of each table its rows, and SHA-256 of them and the pictures they name, in hexadecimal. */
  readonly tables: Readonly<Record<string, { readonly rows: number; readonly sum: string }>>
}

/** Where a table's rows stand in an archive. */
export const tablePath = (table: string) => `tables/${table}.json`

/** A row as JSON without the studio; pictures are named by the file they are kept in. */
function rowText({ name, columns, pictures, key }: TableShape): string {
  const file = (column: string) =>
    `'pictures/${name}/' || concat_ws('.', ${[...key.map((k) => `t.${quoted(k)}`), `'${column}'`].join(', ')})
       || case get_byte(t.${quoted(column)}, 0) when 255 then '.jpg' when 137 then '.png' else '.webp' end`
  const kept = columns.map((c) => {
    const value = pictures.includes(c)
      ? `case when t.${quoted(c)} is null then null else ${file(c)} end`
      : `t.${quoted(c)}`
    return `'${c}', ${value}`
  })
  // A function takes a hundred arguments at most.
  const parts: string[] = []
  for (let i = 0; i < kept.length; i += 40) parts.push(`jsonb_build_object(${kept.slice(i, i + 40).join(', ')})`)
  return `(${parts.join(' || ')})::text`
}

const byKey = ({ key }: TableShape) => (key.length ? `order by ${key.map((k) => `t.${quoted(k)}`).join(', ')}` : '')

/** Reads the rows of a table and its pictures one by one, and says their sum. */
async function readTable(
  tx: Tx,
  table: TableShape,
  picture: (path: string, content: Buffer) => Promise<void>,
): Promise<{ rows: string[]; sum: string }> {
  const found = await tx.q<{ row: string }>(
    `select ${rowText(table)} as row from ${quoted(table.name)} t where t.studio_id = $1 ${byKey(table)}`,
    [tx.studioId],
  )
  const sum = createHash('sha256')
  for (const { row } of found) {
    sum.update(row).update('\n')
    for (const column of table.pictures) {
      const said = JSON.parse(row) as Record<string, string | null>
      const path = said[column]
      if (path === null || path === undefined) continue
      const where = table.key.map((k, i) => `t.${quoted(k)}::text = $${i + 2}`).join(' and ')
      const [kept] = await tx.q<{ content: Buffer }>(
        `select t.${quoted(column)} as content from ${quoted(table.name)} t where t.studio_id = $1 and ${where}`,
        [tx.studioId, ...table.key.map((k) => said[k])],
      )
      sum.update(kept!.content)
      await picture(path, kept!.content)
    }
  }
  return { rows: found.map((f) => f.row), sum: sum.digest('hex') }
}

/** Sums of every table of a studio, without keeping anything of them. */
export async function sumsOfStudio(tx: Tx): Promise<Manifest['tables']> {
  const out: Record<string, { rows: number; sum: string }> = {}
  for (const table of await studioTables(tx)) {
    const { rows, sum } = await readTable(tx, table, async () => undefined)
    out[table.name] = { rows: rows.length, sum }
  }
  return out
}

/**
 * Takes out everything a studio has: rows as JSON by schema, the same as `table` for reading elsewhere, and pictures.
 * @param keep is given each file as it is read
 * @param table is given each table's rows as JSON texts
 * @returns what the archive says of itself
 */
export async function takeOutEverything(
  tx: Tx,
  keep: (path: string, content: Buffer | string) => Promise<void>,
  table: (name: string, columns: readonly string[], rows: readonly string[]) => Promise<void>,
): Promise<Manifest> {
  const shapes = await studioTables(tx)
  const tables: Record<string, { rows: number; sum: string }> = {}
  const people = new Set<string>()
  for (const shape of shapes) {
    const { rows, sum } = await readTable(tx, shape, keep)
    tables[shape.name] = { rows: rows.length, sum }
    if (shape.people.length)
      for (const row of rows) {
        const said = JSON.parse(row) as Record<string, string | null>
        for (const column of shape.people) if (said[column]) people.add(said[column])
      }
    await keep(tablePath(shape.name), `[${rows.join(',\n')}]\n`)
    await table(shape.name, shape.columns, rows)
  }
  const [studio] = await tx.q<{ name: string }>('select name from studio where studio_id = $1', [tx.studioId])
  return {
    format: 'fika studio',
    version: 1,
    schema: await schemaStep(tx),
    takenAt: new Date().toISOString(),
    name: studio!.name,
    people: await tx.q('select id, name from account where id = any ($1) order by id', [[...people]]),
    tables,
  }
}
