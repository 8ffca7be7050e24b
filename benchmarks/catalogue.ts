import pg from 'pg'
import { person, signUp } from '../tests/support/accounts'
import { withStudio, type Tx } from '@/db/base/withStudio'
import { filterSchema, type PaintFilter } from '@/stations/paints/drawer/filter'
import { findPaints } from '@/stations/paints/drawer/find'
import { readCsv } from '@/exchange/csv'
import { guessMapping } from '@/exchange/fields'
import { importFile } from '../tests/support/importing'
import { compare, type Figure } from './measure'

const PAINTS = 10_000
const IMPORTED = 5_000
const RUNS = 10

/** A list of invented paints: eight makers, nine lines, every body, opacity and sheen, 500 colours. */
export function list(count: number, from = 0): string {
  const makers = ['Kvarnby', 'Sallow', 'Torvald', 'Bracken', 'Nimbus', 'Lockside', 'Weir', 'Towpath']
  const bodies = ['ready', 'ink', 'fluid', 'craft', 'soft', 'heavy']
  const opacities = ['transparent', 'semi-transparent', 'semi-opaque', 'opaque']
  const sheens = ['matte', 'satin', 'gloss', 'pearl', 'metallic']
  const words = ['Reed', 'Canal', 'Slate', 'Heron', 'Barge', 'Ember', 'Rowan', 'Saffron', 'Indigo', 'Vermilion']
  const rows = Array.from({ length: count }, (_, k) => {
    const i = from + k
    const hex = (((i % 500) * 33_461) % 0xffffff).toString(16).padStart(6, '0')
    return [
      makers[i % 8],
      `Line ${i % 9}`,
      `${words[i % 10]} ${i}`,
      i % 2 ? 'PB29 PW6' : 'PR254',
      bodies[i % 6],
      opacities[i % 4],
      sheens[i % 5],
      `#${hex}`,
      '60 ml',
      (3 + (i % 90) / 10).toFixed(2),
      i % 3 ? 'sea' : 'house; sea',
    ].join(',')
  })
  return ['maker,line,name,pigments,body,opacity,sheen,swatch,container,price,tags', ...rows].join('\n')
}

/** The bare query of a view: the rows it shows, without counts, order of its own or forgiveness. */
const bare = (where: string) => (tx: Tx) =>
  tx.q(
    `select m.id, m.name, m.maker, m.line, p.body, p.opacity, p.sheen, p.pigments, p.swatch_hex, m.container_ul, m.price_minor
     from material m join paint p on p.studio_id = m.studio_id and p.material_id = m.id
     where m.studio_id = $1 and m.kind = 'paint' and m.archived_at is null and ${where}
     order by m.maker_key, m.line_key, m.name_key limit 120`,
    [tx.studioId],
  )

/** Finding among 10,000 paints, and bringing 5,000 in, against bare SQL of the same. */
export async function catalogueFigures(): Promise<Figure[]> {
  const who = await signUp({ ...person(), studioName: 'Large drawer' })
  const bring = (text: string) => {
    const table = readCsv(text)
    return withStudio(who, (tx) => importFile(tx, { kind: 'table', table }, guessMapping(table.headings), true))
  }
  await bring(list(PAINTS / 2))
  await bring(list(PAINTS / 2, PAINTS / 2))
  await withStudio(who, stock)
  // A server that has run for a minute has looked at its tables; a bulk load just now has not been.
  const admin = new pg.Client({ connectionString: process.env.FIKA_ADMIN_DATABASE })
  await admin.connect()
  await admin.query('analyze')
  await admin.end()
  const views: [string, Partial<PaintFilter>, string][] = [
    ['all of them', {}, 'true'],
    [
      'one maker and body',
      { maker: 'Torvald', body: 'soft|fluid' },
      `m.maker = 'Torvald' and p.body in ('soft', 'fluid')`,
    ],
    ['colour family, round the colours', { hue: 'blue', sort: 'hue' }, 'true'],
    ['in stock, used last first', { stock: 'in stock', sort: 'used' }, 'true'],
    [
      'two words typed',
      { q: 'torvald rowan' },
      `(m.maker_key || ' ' || m.name_key) like all (array['%torvald%', '%rowan%'])`,
    ],
    ['a word with a typo', { q: 'vermillon' }, `word_similarity('vermillon', m.maker_key || ' ' || m.name_key) >= 0.4`],
  ]
  const figures: Figure[] = []
  for (const [name, change, where] of views) {
    const filter = { ...filterSchema.getDefault(), ...change }
    const now = new Date()
    figures.push(
      await compare(
        'time',
        `10,000 paints, ${name}, with every facet counted, against the bare query`,
        'ours < 50 ms',
        RUNS,
        repeat(() => withStudio(who, (tx) => findPaints(tx, filter, now))),
        repeat(() => withStudio(who, bare(where))),
        5,
      ),
    )
  }
  let round = 0
  figures.push(
    await compare(
      'time',
      '5,000 rows imported, against inserting the same rows bare',
      'ours < 10,000 ms',
      1,
      () => bring(list(IMPORTED, 100_000 + IMPORTED * round++)),
      () => withStudio(who, (tx) => insertBare(tx, 900_000 + IMPORTED * round++)),
      3,
    ),
  )
  return figures
}

const repeat = (work: () => Promise<unknown>) => async () => {
  for (let i = 0; i < RUNS; i++) await work()
}

/** Two thousand counted containers and what they were used for. */
export async function stock(tx: Tx): Promise<void> {
  await tx.q(
    `with m as (select id, row_number() over (order by id) as n from material where studio_id = $1 and kind = 'paint' limit 2000),
       v as (insert into vessel (studio_id, id, kind, label) select $1, id, 'container', 'tube' from m returning id),
       l as (insert into lot (studio_id, id, material_id, tracked, label, size_ul, price_minor, container_id)
             select $1, m.id, m.id, true, 'tube', 60000, 900, m.id from m join v on v.id = m.id returning id),
       u as (insert into material_use (studio_id, material_id, role, last_at, bottles)
             select $1, id, case when n % 2 = 0 then 'pour' else 'swipe' end, now() - interval '1 day' * (n % 200), 1 from m)
     insert into vessel_content (studio_id, vessel_id, lot_id, ul) select $1, id, id, 30000 from l`,
    [tx.studioId],
  )
}

/** The rows an import writes (material, paint, its first history entry), straight in and without a reflectance of their own. */
async function insertBare(tx: Tx, from: number): Promise<void> {
  await tx.q(
    `with m as (
       insert into material (studio_id, id, kind, maker, name, density_g_per_ml, solids, tags)
       select $1, gen_random_uuid(), 'paint', 'Bare', 'Bare ' || i, 1.2, 0.38, '{sea}'
       from generate_series($2::int, $2::int + $3::int - 1) i returning id
     ), p as (
       insert into paint (studio_id, material_id, body, opacity, sheen, swatch_hex, reflectance)
       select $1, id, 'soft', 'opaque', 'satin', '#136a78', array_fill(0.5::real, array[36]) from m
     )
     insert into material_change (studio_id, id, material_id, revision, after) select $1, gen_random_uuid(), id, 1, '{}' from m`,
    [tx.studioId, from, IMPORTED],
  )
}
