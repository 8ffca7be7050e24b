import { readFileSync, writeFileSync } from 'node:fs'
import pg from 'pg'
import { distributionSteps } from '../support/distribution'

const owner = new pg.Client({ connectionString: process.env.FIKA_OWNER_DATABASE })
beforeAll(() => owner.connect())
afterAll(() => owner.end())

const FILE = 'docs/scaling.md'
const BLOCK = /(<!-- steps -->\n\n```sql\n)([\s\S]*?)(\n```)/

describe('the steps to a distributed engine', () => {
  it('are those of the catalogue: docs/scaling.md cannot go stale', async () => {
    const steps = await distributionSteps(owner)
    const text = readFileSync(FILE, 'utf8')
    if (process.env.FIKA_WRITE_DOCS === '1')
      writeFileSync(
        FILE,
        text.replace(BLOCK, (_, a, __, c) => `${a}${steps}${c}`),
      )
    expect(BLOCK.exec(readFileSync(FILE, 'utf8'))?.[2]).toBe(steps)
  })
  it('spread each table once, after the studio itself, and every key between spread tables stays on one node', async () => {
    const steps = await distributionSteps(owner)
    const spread = [...steps.matchAll(/create_distributed_table\('(\w+)'/g)].map((m) => m[1]!)
    expect(new Set(spread).size).toBe(spread.length)
    expect(spread[0]).toBe('studio')
    expect(spread).toEqual(expect.arrayContaining(['movement_line', 'vessel_content', 'account_studio', 'piece_photo']))
    const everywhere = [...steps.matchAll(/create_reference_table\('(\w+)'/g)].map((m) => m[1]!)
    expect(everywhere).toEqual(['account', 'door_try', 'session'])
    const { rows } = await owner.query<{ from: string; to: string; first: string }>(
      `select conrelid::regclass::text as from, confrelid::regclass::text as to,
         (select attname from pg_attribute where attrelid = conrelid and attnum = conkey[1]) as first
       from pg_constraint where contype = 'f' and connamespace = 'public'::regnamespace`,
    )
    for (const k of rows.filter((r) => spread.includes(r.from) && spread.includes(r.to)))
      expect([k.from, k.to, k.first]).toEqual([k.from, k.to, 'studio_id'])
  })
})
