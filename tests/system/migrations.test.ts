import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

/** Migrations from before this was kept; they ran where there were no rows. */
const FROM = '0008'

/**
 * Tables whose rows of every studio a migration reads or rewrites without lifting their policies first: it passes in an
 * empty database and fails, or finds nothing, in one that holds a studio. A table the migration makes itself is empty.
 */
function lacking(sql: string): string[] {
  const text = sql.replace(/--.*$/gm, '')
  const of = (pattern: RegExp) => [...text.matchAll(pattern)].map((m) => m[1]!)
  const touched = [
    ...of(/^\s*update (\w+)/gim),
    ...of(/alter table (\w+)[^;]*?\badd constraint \w+ foreign key/gi),
    ...of(/alter table (\w+)[^;]*?\badd column \w+ \w+[^;,]*?\breferences\b/gi),
    // The other end of a foreign key is read as well.
    ...of(/alter table \w+[^;]*?\bforeign key[^;]*?\breferences (\w+)/gi),
  ]
  const made = of(/create (?:temporary )?table (\w+)/gi)
  const lifted = of(/alter table (\w+) no force row level security/gi)
  const kept = of(/alter table (\w+) force row level security/gi)
  return [...new Set(touched)].filter((t) => !made.includes(t) && !(lifted.includes(t) && kept.includes(t)))
}

describe('a migration that meets rows', () => {
  it('is told from one that lifts the policies, puts them back, or touches its own tables alone', () => {
    const key = 'alter table bottle add constraint x foreign key (studio_id, b) references batch (studio_id, id);'
    const lift = (t: string) => `alter table ${t} no force row level security;`
    const keep = (t: string) => `alter table ${t} force row level security;`
    expect(lacking(key)).toEqual(['bottle', 'batch'])
    expect(lacking(`${lift('bottle')} ${key} ${keep('bottle')}`)).toEqual(['batch'])
    expect(lacking(`${lift('bottle')} ${lift('batch')} ${key} ${keep('bottle')}`)).toEqual(['batch'])
    expect(lacking(`${lift('bottle')} ${lift('batch')} ${key} ${keep('bottle')} ${keep('batch')}`)).toEqual([])
    expect(lacking('-- update bottle\nupdate bottle set w = 0;')).toEqual(['bottle'])
    expect(lacking('create table note (a int); update note set a = 1;')).toEqual([])
  })
  it('lifts them, in every migration there is', () => {
    const files = readdirSync('migrations').filter((f) => f >= FROM)
    expect(files.length).toBeGreaterThanOrEqual(3)
    for (const file of files)
      expect([file, lacking(readFileSync(join('migrations', file), 'utf8'))]).toEqual([file, []])
  })
})
