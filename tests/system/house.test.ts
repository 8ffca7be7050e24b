import { CELL_HABITS, DRY_SHINES, GRADES, SHOWS_BENEATH } from '@/core/paint/pouring'
import { TRIAL_KINDS } from '@/core/learning/trial'
import { readdirSync, readFileSync } from 'node:fs'
import { join, relative, sep } from 'node:path'
import pg from 'pg'
import { OPTICS_KNOWN } from '@/core/colour/predict'
import { PAIR_VERDICTS } from '@/core/colour/pairVerdicts'
import { READING_WAYS } from '@/core/consistency/levelTime'
import { DRIPS } from '@/core/quantity/dropSizes'
import { MIXING_KINDS } from '@/core/mix/mixingKinds'
import { THINNERS } from '@/core/mix/thinners'
import { WATER_SCHOOLS } from '@/core/mix/waterLimit'
import { FLAG_RULES } from '@/core/paint/flags'
import { LIGHTFASTNESS } from '@/core/paint/pigments'
import { BODIES, MATERIAL_KINDS, OPACITIES, SHEENS, STRENGTHS } from '@/core/paint/properties'
import { BY_PRODUCTS, FATES } from '@/core/piece/fates'
import { LOOK_MOMENTS, MOMENTS } from '@/core/piece/looks'
import { FINISH_COATS } from '@/core/plan/finish'
import { ROLES } from '@/core/people/roles'
import { PLAN_KINDS, WORK_KINDS } from '@/core/plan/design'
import { PLAN_USES } from '@/core/plan/uses'
import { STAYED_WAYS } from '@/core/run/stayed'
import { UNIT_SYSTEMS } from '@/core/quantity/parse'
import { SURFACE_GRADES, SURFACE_SHAPES } from '@/core/surface/stock'
import { MOVEMENT_KINDS, VESSEL_KINDS } from '@/core/vessel/kinds'
import { LOSSES } from '@/core/vessel/weighIn'

const owner = new pg.Client({ connectionString: process.env.FIKA_OWNER_DATABASE })
beforeAll(() => owner.connect())
afterAll(() => owner.end())

const ROOT = join(process.cwd(), 'src')

/** Every source file below src that is no test, as its path from there and its text. */
const sources = () =>
  readdirSync(ROOT, { recursive: true, withFileTypes: true })
    .filter((e) => e.isFile() && /\.tsx?$/.test(e.name) && !/\.test\.tsx?$/.test(e.name))
    .map((e) => {
      const path = join(e.parentPath, e.name)
      return { path: relative(ROOT, path).split(sep).join('/'), text: readFileSync(path, 'utf8') }
    })

/** Tables a file writes: named in a statement, or one of the names a statement with a blank is filled with. */
function writtenTables(text: string): string[] {
  const named = [...text.matchAll(/\b(?:insert\s+into|update|delete\s+from)\s+([a-z_]+)\b/g)].map((m) => m[1]!)
  const filled = /\b(?:insert\s+into|update|delete\s+from)\s+\$\{/.test(text)
    ? [...text.matchAll(/\btable: ((?:'[a-z_]+'(?: \| )?)+)/g)].flatMap((m) =>
        m[1]!.split(' | ').map((t) => t.replaceAll("'", '')),
      )
    : []
  return [...named, ...filled]
}

/** The ledger, the mixes and the bottles keep these three between them. */
const SHARED: Readonly<Record<string, readonly string[]>> = {
  bottle: ['db/bottles', 'db/ledger', 'db/mixes'],
  vessel: ['db/bottles', 'db/ledger', 'db/mixes'],
  lot: ['db/bottles', 'db/ledger'],
}
/** Written by functions of the database alone. */
const BY_DATABASE = ['movement', 'catalogue_version', 'schema_migration']
/** Written by whoever starts Fika. */
const BY_COMMAND = ['backup_made']

describe('every noun has one room', () => {
  it('finds what a text writes, also where the table is filled in', () => {
    expect(
      writtenTables('await tx.q(`insert into  paint (a) …`); q("update lot set x"); q(`delete from offer`)'),
    ).toEqual(['paint', 'lot', 'offer'])
    expect(writtenTables("(table: 'paint_flag' | 'pair_note') => q(`insert into ${table} (a)`)")).toEqual([
      'paint_flag',
      'pair_note',
    ])
  })
  it('one folder writes a table, and no table is written by nobody', async () => {
    const { rows } = await owner.query<{ name: string }>(
      `select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind in ('r', 'p')`,
    )
    const writers = new Map(rows.map((r) => [r.name, new Set<string>()]))
    for (const { path, text } of sources())
      for (const table of writtenTables(text)) writers.get(table)?.add(path.split('/').slice(0, 2).join('/'))
    const several = [...writers].filter(([, w]) => w.size > 1).map(([t, w]) => [t, [...w].sort()] as const)
    expect(several.filter(([t, w]) => JSON.stringify(SHARED[t]) !== JSON.stringify(w))).toEqual([])
    expect(
      [...writers]
        .filter(([, w]) => w.size === 0)
        .map(([t]) => t)
        .sort(),
    ).toEqual([...BY_DATABASE, ...BY_COMMAND].sort())
  })
  it('SQL stands in db alone', () => {
    const above = sources().filter(
      ({ path, text }) =>
        !path.startsWith('db/') &&
        /\.q[<(]|\b(?:insert into|delete from) [a-z_]+ ?\(|\bselect .+ from [a-z_]+ where\b/.test(text),
    )
    expect(above.map((f) => f.path)).toEqual([])
  })
})

/** Every column the database keeps to a list of words, with that list in the core. */
const LISTS: Readonly<Record<string, readonly string[]>> = {
  'account_studio.role': ROLES,
  'invitation.role': ROLES,
  'studio.units': UNIT_SYSTEMS,
  'studio.water_school': WATER_SCHOOLS,
  'material.kind': MATERIAL_KINDS,
  'material.thinner': THINNERS,
  'paint.body': BODIES,
  'paint.opacity': OPACITIES,
  'paint.sheen': SHEENS,
  'paint.strength': STRENGTHS,
  'paint.cells': ['', ...CELL_HABITS],
  'paint.dry_shine': ['', ...DRY_SHINES],
  'paint.shows_beneath': ['', ...SHOWS_BENEATH],
  'paint.grade': ['', ...GRADES],
  'trial.made_as': TRIAL_KINDS,
  'paint.lightfastness': ['', ...LIGHTFASTNESS],
  'paint.optics_known': OPTICS_KNOWN,
  'paint_flag.rule': FLAG_RULES,
  'pair_note.verdict': PAIR_VERDICTS,
  'vessel.kind': VESSEL_KINDS,
  'movement.kind': MOVEMENT_KINDS,
  'movement.loss': LOSSES,
  'level_reading.how': READING_WAYS,
  'mixing.kind': MIXING_KINDS,
  'dropper.drip': DRIPS,
  'stocktake_weight.named': LOSSES,
  'plan_part.use': PLAN_USES,
  'plan.kind': PLAN_KINDS,
  'work.kind': WORK_KINDS,
  'piece.fate': FATES,
  'piece_photo.moment': MOMENTS,
  'look.moment': MOMENTS,
  'by_product.kind': BY_PRODUCTS,
  'finish_coat.kind': FINISH_COATS,
  'piece.stayed_how': STAYED_WAYS,
  'look_due.moment': LOOK_MOMENTS,
  'surface_stock.shape': SURFACE_SHAPES,
  'surface_stock.grade': SURFACE_GRADES,
}

describe('a list of words is kept once', () => {
  it('every check of the database has its list in the core, and they are the same', async () => {
    const { rows } = await owner.query<{ name: string; text: string }>(
      `select c.conrelid::regclass::text as name, pg_get_constraintdef(c.oid) as text
       from pg_constraint c join pg_class t on t.oid = c.conrelid and t.relnamespace = 'public'::regnamespace
       where c.contype = 'c' and pg_get_constraintdef(c.oid) ~ '= ANY \\(ARRAY\\['`,
    )
    const kept = Object.fromEntries(
      rows.map(({ name, text }) => {
        const [, column, list] = /\((\w+) = ANY \(ARRAY\[(.*?)\]\)/.exec(text)!
        return [`${name}.${column}`, [...list!.matchAll(/'([^']*)'::text/g)].map((m) => m[1]!).sort()]
      }),
    )
    const ours = Object.fromEntries(Object.entries(LISTS).map(([k, list]) => [k, [...list].sort()]))
    expect(kept).toEqual(ours)
  })
})
