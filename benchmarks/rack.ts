import pg from 'pg'
import { findSession } from '@/db/people/sessions'
import { cookieOf, opening } from './http'
import { person, signUp } from '../tests/support/accounts'
import { rackBottles } from '@/db/bottles/rack'
import { studioFacts } from '@/db/people/studio'
import { withStudio, type Tx } from '@/db/base/withStudio'
import { compare, median, type Figure } from './measure'
import { launch } from '../tests/support/chromium'

const BOTTLES = 5_000
const RUNS = 20

/** The rack page, 50 of 5,000 bottles, as served HTML against its own SQL; and that SQL with row-level security and without. */
export async function rackFigures(url: string): Promise<Figure[]> {
  const signed = await signUp({ ...person(), studioName: 'Large rack' })
  await withStudio(signed, (tx) => fillRack(tx, BOTTLES))
  const cookie = await cookieOf(signed.token)
  const page = opening(url, '/rack', cookie, `${BOTTLES}<`)
  const sql = async () => {
    await findSession(signed.token)
    await withStudio(signed, studioFacts)
    await withStudio(signed, (tx) => rackBottles(tx, false))
  }
  const admin = new pg.Client({ connectionString: process.env.FIKA_ADMIN_DATABASE })
  await admin.connect()
  const unguarded: Tx = {
    ...signed,
    role: 'owner',
    touched: new Set(),
    afterCommit: () => undefined,
    q: async <R extends pg.QueryResultRow>(text: string, values: readonly unknown[] = []) =>
      (await admin.query<R>(text, [...values])).rows,
  }
  const repeat = (work: () => Promise<unknown>) => async () => {
    for (let i = 0; i < RUNS; i++) await work()
  }
  try {
    return [
      await compare(
        'time',
        'rack page of 5,000, served HTML against its SQL',
        '≤ 4',
        RUNS,
        repeat(page),
        repeat(sql),
        5,
      ),
      await compare(
        'time',
        'rack SQL with row-level security against none',
        '≤ 1.15',
        RUNS,
        // One transaction around all runs, so that only the policies differ.
        () => withStudio(signed, (tx) => repeat(() => rackBottles(tx, false))()),
        repeat(() => rackBottles(unguarded, false)),
        11,
      ),
      ...(await onScreen(url, cookie, sql)),
    ]
  } finally {
    await admin.end()
  }
}

/** First paint of the rack, and a filter typed into it, in a browser, against the page's own SQL. */
async function onScreen(url: string, cookie: string, sql: () => Promise<unknown>): Promise<Figure[]> {
  const browser = await launch()
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    await context.addCookies([{ name: 'fika', value: cookie.slice('fika='.length), url }])
    const page = await context.newPage()
    const [paints, filters, queries]: [number[], number[], number[]] = [[], [], []]
    for (let i = 0; i < 9; i++) {
      await page.goto(`${url}/rack?by=age`)
      await page.locator('[data-card]').first().waitFor()
      paints.push(await page.evaluate(() => performance.getEntriesByName('first-contentful-paint')[0]!.startTime))
      await page.waitForTimeout(400)
      const from = performance.now()
      await page.getByLabel('Search bottles').fill(`bottle 4${i}`)
      await page.getByRole('heading', { level: 1, name: /Rack \d{3} bottles/ }).waitFor()
      filters.push(performance.now() - from)
      const start = performance.now()
      await sql()
      queries.push(performance.now() - start)
    }
    const reference = median(queries)
    const figure = (name: string, list: number[], aim: string): Figure => ({
      name,
      ours: median(list),
      reference,
      unit: 'ms',
      ratio: median(list) / reference,
      aim,
    })
    return [
      figure('rack of 5,000 in the browser, first paint against its SQL', paints, '≤ 12'),
      figure(
        'rack of 5,000 in the browser, typed filter (180 ms of it are the wait for more letters) against its SQL',
        filters,
        '≤ 20',
      ),
    ]
  } finally {
    await browser.close()
  }
}

const HUES = '{#136a78,#c22a2c,#f5f3ec,#1d4e9e,#e9b310,#4b2a86,#3f8f4f,#7a4a22,#1c1c1c,#b8893a,#edd7a7,#227382}'

/** Bottles of four lots each in twelve colours, the newest first, written in bulk; the ids of the first twelve. */
export async function fillRack(tx: Tx, bottles: number): Promise<string[]> {
  await tx.q(
    `with m as (
       insert into material (studio_id, id, kind, name, density_g_per_ml, solids)
       select $1, gen_random_uuid(), 'paint', 'Paint ' || i, 1.2, 0.3 from generate_series(1, 40) i returning id
     )
     insert into lot (studio_id, id, material_id, tracked, size_ul, price_minor)
     select $1, gen_random_uuid(), id, false, 100000, 990 from m`,
    [tx.studioId],
  )
  const rows = await tx.q<{ id: string }>(
    `with v as (
       insert into vessel (studio_id, id, kind, label, capacity_ul)
       select $1, gen_random_uuid(), 'bottle', 'Bottle ' || i, 240000 from generate_series(1, $2::int) i returning id, label
     ), b as (
       insert into bottle (studio_id, vessel_id, role, mixed_at, rest_until, recipe, colour_hex)
       select $1, id, 'pour', now() - interval '1 hour' * ($2::int - substr(label, 8)::int), now(), '{"paints":[],"mediums":[],"paintParts":1,"water":null}',
              ($3::text[])[1 + substr(label, 8)::int % 12] from v
     )
     insert into vessel_content (studio_id, vessel_id, lot_id, ul)
     select $1, v.id, l.id, 40000
     from v join (select id, row_number() over () as n from lot where studio_id = $1) l on (l.n + substr(v.label, 8)::int) % 10 = 0
     returning vessel_id as id`,
    [tx.studioId, bottles, HUES],
  )
  return [...new Set(rows.map((r) => r.id))].slice(0, 12)
}
