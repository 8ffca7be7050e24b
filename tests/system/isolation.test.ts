import pg from 'pg'
import { v7 as uuidv7 } from 'uuid'
import { makeStudio } from '../support/studio'
import { takeOut } from '@/db/ledger'
import { undo } from '@/server/undo'
import { endPool, pool } from '@/db/base/pool'

const owner = new pg.Client({ connectionString: process.env.FIKA_OWNER_DATABASE })
beforeAll(() => owner.connect())
afterAll(async () => {
  await owner.end()
  await endPool()
})

/** Tables that stand outside the studios, by name. */
const EXEMPT = ['account', 'session', 'door_try', 'schema_migration', 'backup_made', 'backup_state']
/** Read before a studio is known, so without row-level security; keyed by studio all the same. */
const UNGUARDED = ['account_studio']

describe('the catalogue keeps studios apart', () => {
  const tenants = async () =>
    (
      await owner.query<{ relname: string; oid: number; guarded: boolean; forced: boolean }>(
        `select relname, oid, relrowsecurity as guarded, relforcerowsecurity as forced from pg_class
         where relnamespace = 'public'::regnamespace and relkind in ('r', 'p') and relname <> all ($1)`,
        [EXEMPT],
      )
    ).rows
  const firstColumn = (oid: number, attnum: number) =>
    owner
      .query<{ attname: string; attnotnull: boolean }>(
        'select attname, attnotnull from pg_attribute where attrelid = $1 and attnum = $2',
        [oid, attnum],
      )
      .then((r) => r.rows[0]!)

  it('every tenant table has studio_id first in its primary key and every unique key', async () => {
    const tables = await tenants()
    expect(tables.length).toBeGreaterThanOrEqual(15)
    for (const table of tables) {
      const { rows } = await owner.query<{ key: number; name: string; primary: boolean }>(
        `select (indkey::int2[])[0] as key, indexrelid::regclass::text as name, indisprimary as primary
         from pg_index where indrelid = $1 and indisunique`,
        [table.oid],
      )
      expect([table.relname, rows.some((r) => r.primary)]).toEqual([table.relname, true])
      for (const index of rows)
        expect([table.relname, index.name, await firstColumn(table.oid, index.key)]).toEqual([
          table.relname,
          index.name,
          { attname: 'studio_id', attnotnull: true },
        ])
    }
  })

  it('every foreign key between tenant tables goes by studio_id first, to a studio_id', async () => {
    const { rows } = await owner.query<{
      name: string
      from_table: string
      to_table: string
      from_col: string
      to_col: string
    }>(
      `select conname as name, conrelid::regclass::text as from_table, confrelid::regclass::text as to_table,
         (select attname from pg_attribute where attrelid = conrelid and attnum = conkey[1]) as from_col,
         (select attname from pg_attribute where attrelid = confrelid and attnum = confkey[1]) as to_col
       from pg_constraint where contype = 'f' and connamespace = 'public'::regnamespace`,
    )
    const between = rows.filter((r) => !EXEMPT.includes(r.to_table))
    expect(between.length).toBeGreaterThanOrEqual(20)
    for (const r of between) expect(r).toMatchObject({ from_col: 'studio_id', to_col: 'studio_id' })
  })

  it('row-level security is enabled and forced: one policy says whose, three say who may write', async () => {
    for (const table of await tenants()) {
      if (UNGUARDED.includes(table.relname)) continue
      expect(table).toMatchObject({ guarded: true, forced: true })
      const { rows } = await owner.query<{ qual: string; with_check: string; cmd: string; permissive: string }>(
        'select cmd, permissive, qual, with_check from pg_policies where tablename = $1 order by cmd',
        [table.relname],
      )
      expect([table.relname, ...rows.map((r) => `${r.cmd} ${r.permissive}`)]).toEqual([
        table.relname,
        'ALL PERMISSIVE',
        'DELETE RESTRICTIVE',
        'INSERT RESTRICTIVE',
        'UPDATE RESTRICTIVE',
      ])
      expect(rows[0]!.qual).toMatch(/studio_id = \( SELECT \(current_setting\('app\.studio_id'::text\)\)::uuid/)
      const by = table.relname === 'invitation' ? 'may_decide' : 'may_work'
      for (const { cmd, qual, with_check } of rows.slice(1)) {
        if (cmd !== 'INSERT') expect(qual).toContain(`SELECT ${by}()`)
        if (cmd !== 'DELETE') expect(with_check).toContain(`SELECT ${by}()`)
      }
    }
  })

  it('nothing goes around it: no view, no definer function, and a role that owns and bypasses nothing', async () => {
    const { rows: around } = await owner.query(
      `select proname from pg_proc where pronamespace = 'public'::regnamespace and prosecdef
       union all select relname from pg_class where relnamespace = 'public'::regnamespace and relkind in ('v', 'm')`,
    )
    expect(around).toEqual([])
    const { rows } = await pool().query(
      `select current_user as name, rolsuper, rolbypassrls,
         (select count(*)::int from pg_class where relowner = r.oid) as owns
       from pg_roles r where rolname = current_user`,
    )
    expect(rows[0]).toEqual({ name: 'fika_app', rolsuper: false, rolbypassrls: false, owns: 0 })
  })
})

describe('another studio’s ids', () => {
  it('cannot be read, written, taken from or undone, though they are known', async () => {
    const [ours, theirs] = [await makeStudio(), await makeStudio()]
    const paint = await theirs.paint('Teal')
    const bottle = await theirs.bottle('Teal 1', [{ materialId: paint, ul: 60_000 }])
    const taken = await theirs.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottle, ul: 1_000 }))

    for (const table of [
      'material',
      'paint',
      'bottle',
      'vessel',
      'lot',
      'movement',
      'movement_line',
      'vessel_content',
      'studio',
    ])
      expect([
        table,
        await ours.run((tx) => tx.q(`select 1 from ${table} where studio_id = $1`, [theirs.who.studioId])),
      ]).toEqual([table, []])
    await expect(
      ours.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottle, ul: 1_000 })),
    ).rejects.toMatchObject({ code: 'NotFound' })
    await expect(
      ours.run((tx) => undo(tx, { requestId: uuidv7(), movementId: taken.movementId })),
    ).rejects.toMatchObject({ code: 'NotFound' })
    await expect(ours.bottle('Stolen', [{ materialId: paint, ul: 5 }])).rejects.toMatchObject({ code: 'NotFound' })
    expect(
      await ours.run((tx) => tx.q('update material set name = $2 where id = $1 returning 1', [paint, 'Mine'])),
    ).toEqual([])
    await expect(
      ours.run((tx) =>
        tx.q(`insert into vessel (studio_id, id, kind, label) values ($1, $2, 'jar', 'x')`, [
          theirs.who.studioId,
          uuidv7(),
        ]),
      ),
    ).rejects.toMatchObject({ code: '42501' })
    expect(await theirs.holds(bottle)).toBe(59_000)
  })

  it('a query without a studio set fails loudly', async () => {
    await expect(pool().query('select 1 from material')).rejects.toThrow(
      /app\.studio_id|invalid input syntax for type uuid/,
    )
  })

  it('movements cannot be changed or removed by the app', async () => {
    const studio = await makeStudio()
    for (const sql of [
      'update movement set note = $2 where studio_id = $1',
      'delete from movement_line where studio_id = $1 and note = $2',
    ])
      await expect(studio.run((tx) => tx.q(sql, [tx.studioId, 'x']))).rejects.toMatchObject({
        code: expect.stringMatching(/42501|42703/),
      })
    await expect(
      studio.run((tx) => tx.q('delete from movement_line where studio_id = $1', [tx.studioId])),
    ).rejects.toMatchObject({ code: '42501' })
  })
})
