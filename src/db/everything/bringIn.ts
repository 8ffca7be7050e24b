import { v7 as uuidv7 } from 'uuid'
import { array, lazy, mixed, number, object, string } from 'yup'
import { Conflict, Invalid } from '@/core/errors'
import { addPlaceholder } from '../people/accounts'
import { addMember } from '../people/members'
import type { Tx } from '../base/withStudio'
import { idSchema } from '../base/idSchema'
import { inOrder, quoted, schemaStep, studioTables, type Step, type TableShape } from './catalogue'
import { sumsOfStudio, tablePath, type Manifest } from './takeOut'

const manifestSchema = object({
  format: string().oneOf(['fika studio']).required(),
  version: number().oneOf([1]).required(),
  schema: string().max(200).required(),
  takenAt: string().max(40).required(),
  name: string().max(120).required(),
  people: array(object({ id: idSchema, name: string().trim().max(120).required() }))
    .max(10_000)
    .required(),
  tables: lazy((tables: unknown) =>
    object(
      Object.fromEntries(
        Object.keys(Object(tables)).map((name) => [
          name,
          object({ rows: number().integer().min(0).required(), sum: string().length(64).required() }),
        ]),
      ),
    ).required(),
  ),
  extra: mixed().strip(),
})

/** Files of an archive, by their path. @throws Invalid where one is not there */
export type Files = (path: string) => Promise<Buffer>

/** What an archive says of itself. @throws Invalid where it is none of ours */
export async function readManifest(files: Files): Promise<Manifest> {
  try {
    return manifestSchema.validateSync(JSON.parse((await files('fika.json')).toString('utf8')), {
      strict: true,
    }) as Manifest
  } catch (error) {
    if (error instanceof Invalid) throw error
    throw new Invalid('That is no archive of a studio. Choose one that was made by “Take everything out”.')
  }
}

/**
 * Who the people of an archive are here: the same account where that person is known here by that id and name, else a
 * new one that nobody can sign in to, so that their name stands in the journal.
 */
async function peopleHere(tx: Tx, people: Manifest['people']): Promise<Map<string, string>> {
  const here = new Map<string, string>()
  for (const { id, name } of people) {
    const [known] = await tx.q<{ name: string }>('select name from account where id = $1', [id])
    const as = !known || known.name === name ? id : uuidv7()
    if (!known || as !== id) await addPlaceholder(tx, { id: as, name })
    here.set(id, as)
  }
  return here
}

/** Whether everybody of an archive is here under the id they had. */
const asTheyWere = (people: ReadonlyMap<string, string>) => [...people].every(([from, to]) => from === to)

/** Rows of a table with their people as they are here. */
function renamed(table: TableShape, rows: string, people: ReadonlyMap<string, string>): string {
  if (table.people.length === 0 || asTheyWere(people)) return rows
  const parsed = JSON.parse(rows) as Record<string, unknown>[]
  for (const row of parsed)
    for (const column of table.people)
      if (typeof row[column] === 'string') row[column] = people.get(row[column]) ?? null
  return JSON.stringify(parsed)
}

async function writeTable(tx: Tx, { table, later }: Step, rows: string, files: Files): Promise<void> {
  const columns = table.columns.filter((c) => !later.includes(c))
  const list = columns.map(quoted).join(', ')
  const into = `insert into ${quoted(table.name)} (studio_id, ${list})`
  if (table.pictures.length === 0) {
    const values = columns.map((c) => `r.${quoted(c)}`).join(', ')
    await tx.q(`${into} select $1, ${values} from jsonb_populate_recordset(null::${quoted(table.name)}, $2::jsonb) r`, [
      tx.studioId,
      rows,
    ])
    return
  }
  // Row by row, each with its pictures.
  for (const row of JSON.parse(rows) as Record<string, string | null>[]) {
    const paths: string[] = []
    const values = columns.map((c) => {
      const path = row[c]
      if (!table.pictures.includes(c)) return `r.${quoted(c)}`
      if (path === null || path === undefined) return 'null'
      return `$${paths.push(path) + 2}::bytea`
    })
    const contents = await Promise.all(paths.map(files))
    const plain = Object.fromEntries(Object.entries(row).filter(([c]) => !table.pictures.includes(c)))
    await tx.q(
      `${into} select $1, ${values.join(', ')} from jsonb_populate_record(null::${quoted(table.name)}, $2::jsonb) r`,
      [tx.studioId, JSON.stringify(plain), ...contents],
    )
  }
}

/** Fills in what was left open because what it names came later. */
async function writeLater(tx: Tx, { table, later }: Step, rows: string): Promise<void> {
  const set = later.map((c) => `${quoted(c)} = r.${quoted(c)}`).join(', ')
  const same = table.key.map((k) => `t.${quoted(k)} = r.${quoted(k)}`).join(' and ')
  const any = later.map((c) => `r.${quoted(c)} is not null`).join(' or ')
  await tx.q(
    `update ${quoted(table.name)} t set ${set}
     from jsonb_populate_recordset(null::${quoted(table.name)}, $2::jsonb) r where t.studio_id = $1 and ${same} and (${any})`,
    [tx.studioId, rows],
  )
}

/**
 * Makes a studio of an archive, as its owner, inside the new studio's own transaction. Whole or not at all: at the end
 * everything is summed anew and must be what the archive says.
 * @returns its name
 * @throws Invalid where it is none of ours or not whole; Conflict where it is of another step of the schema
 */
export async function bringInEverything(tx: Tx, accountId: string, files: Files): Promise<string> {
  const manifest = await readManifest(files)
  const step = await schemaStep(tx)
  if (manifest.schema !== step)
    throw new Conflict(
      `That archive was taken out by ${manifest.schema < step ? 'an older' : 'a newer'} Fika. Bring both to the same version, take it out again there, then bring it in.`,
    )
  const people = await peopleHere(tx, manifest.people)
  const tables = await studioTables(tx)
  const steps = inOrder(tables)
  const rowsOf = async (table: TableShape) =>
    renamed(table, (await files(tablePath(table.name))).toString('utf8'), people)
  try {
    for (const s of steps) await writeTable(tx, s, await rowsOf(s.table), files)
    for (const s of steps) if (s.later.length) await writeLater(tx, s, await rowsOf(s.table))
  } catch (error) {
    if (error instanceof Invalid) throw error
    const refused = new Invalid('That archive is not whole, or was changed since. Take it out again, then bring it in.')
    refused.cause = error
    throw refused
  }
  const sums = await sumsOfStudio(tx)
  const asTaken = asTheyWere(people)
  for (const [table, { rows, sum }] of Object.entries(manifest.tables)) {
    const here = sums[table]
    if (here?.rows !== rows || (asTaken && here.sum !== sum))
      throw new Invalid(
        `Of that archive, ${table} did not come in as it was taken out, so nothing was kept. Take it out again.`,
      )
  }
  await addMember(tx, accountId, 'owner')
  return manifest.name
}
