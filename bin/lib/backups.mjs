// Back-ups while Fika runs: one a night at least, kept for seven days, four weeks and twelve months, each proved by
// restoring it beside the database and comparing what it holds.
import { chmodSync, existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { client, psql } from './postgres.mjs'
import { say } from './steps.mjs'

const KEPT = { days: 7, weeks: 4, months: 12 }
const DAY_MS = 86_400_000
/** How often it is looked whether one is due or wished for, and the pause after one that went wrong. */
const LOOK_MS = 20_000
const AFTER_TROUBLE_MS = 3_600_000
const NAME = /^fika-(\d{4})(\d\d)(\d\d)-(\d\d)(\d\d)(\d\d)\.dump$/

/** The name of a back-up made at a time, and back. Times are UTC. */
export const nameAt = (at) => `fika-${at.toISOString().slice(0, 19).replace(/[-:]/g, '').replace('T', '-')}.dump`
export function timeOf(name) {
  const m = NAME.exec(name)
  return m ? new Date(Date.UTC(+m[1], +m[2] - 1, +m[3], +m[4], +m[5], +m[6])) : undefined
}

/** Days since 1970-01-01, weeks since the Monday after it, months since January 1970. */
const dayOf = (at) => Math.floor(at / DAY_MS)
const weekOf = (at) => Math.floor((dayOf(at) + 3) / 7)
const monthOf = (at) => at.getUTCFullYear() * 12 + at.getUTCMonth()

/**
 * Which back-ups stay: the newest of each of the last seven days, four weeks and twelve months that have one.
 * @param times of all of them @returns those that stay, newest first
 */
export function staying(times) {
  const newestFirst = [...times].sort((a, b) => b - a)
  const stay = new Set()
  for (const [of, most] of [
    [dayOf, KEPT.days],
    [weekOf, KEPT.weeks],
    [monthOf, KEPT.months],
  ]) {
    const seen = new Set()
    for (const at of newestFirst) {
      if (seen.size === most && !seen.has(of(at))) break
      if (!seen.has(of(at))) stay.add(at)
      seen.add(of(at))
    }
  }
  return newestFirst.filter((at) => stay.has(at))
}

/** What a database holds: of every table its rows and a sum over them; of pictures their length stands in for them. */
const SUMS = `
select format('select %L, count(*), coalesce(sum(hashtextextended(%s, 0)::numeric), 0) from %I t', c.relname,
  coalesce((select string_agg(
    case when a.atttypid = 'bytea'::regtype then format('coalesce(length(t.%I)::text, '''')', a.attname)
    else format('coalesce(t.%I::text, '''')', a.attname) end, ' || ''|'' || ' order by a.attnum)
    from pg_attribute a where a.attrelid = c.oid and a.attnum > 0 and not a.attisdropped), ''''''), c.relname)
from pg_class c where c.relnamespace = 'public'::regnamespace and c.relkind = 'r'
  and c.relname not like 'backup\\_%' order by c.relname
\\gexec
`

/** One moment of a database: its sums, and a snapshot that pg_dump reads the same moment by. */
async function oneMoment(to, work) {
  const { default: pg } = await import('pg')
  const line = new pg.Client({
    host: '127.0.0.1',
    port: to.port,
    user: to.role,
    password: to.password,
    database: to.database,
  })
  await line.connect()
  try {
    await line.query('begin isolation level repeatable read read only')
    const { rows } = await line.query('select pg_export_snapshot() as snapshot')
    return await work(rows[0].snapshot)
  } finally {
    await line.end().catch(() => undefined)
  }
}

/** What a database holds, line by line; of a snapshot where one is named. */
export const sumsAt = (to, snapshot) =>
  psql(
    to,
    `begin isolation level repeatable read read only; ${snapshot ? `set transaction snapshot '${snapshot}';` : ''} ${SUMS} commit;`,
  )

/**
 * Restores a back-up into a database made for it, as the owner and not as superuser: a file somebody tampered with can
 * do no more than its tables. Where it cannot be restored, nothing of it is left.
 */
export async function restoreInto(cluster, database, file) {
  const admin = cluster.as('admin', 'postgres')
  await psql(admin, `drop database if exists ${database}`)
  await psql(admin, `create database ${database} owner fika_owner`)
  try {
    const args = ['--exit-on-error', '--no-owner', '--no-comments', '-d', database, file]
    await client('pg_restore', cluster.as('owner', database), args)
  } catch (error) {
    await psql(admin, `drop database ${database}`)
    throw error
  }
}

/** Restores a back-up beside the database in use, and says what it holds. */
async function heldBy(cluster, file) {
  const beside = 'fika_proof'
  await restoreInto(cluster, beside, file)
  try {
    return await sumsAt(cluster.as('admin', beside))
  } finally {
    await psql(cluster.as('admin', 'postgres'), `drop database if exists ${beside}`)
  }
}

/**
 * Makes a back-up of one moment, while others write, and proves it.
 * @param folder where it goes @returns its name, size and how long it took, ms
 * @throws Error where it could not be made, or does not hold what the database held
 */
export async function makeBackup(cluster, folder, at = new Date()) {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  // One that was cut short.
  for (const left of readdirSync(folder)) if (/^fika-.*\.partial$/.test(left)) rmSync(join(folder, left))
  const name = nameAt(at)
  const file = join(folder, name)
  const partial = `${file}.partial`
  const from = performance.now()
  try {
    const held = await oneMoment(cluster.as('admin'), async (snapshot) => {
      const sums = await sumsAt(cluster.as('admin'), snapshot)
      await client('pg_dump', cluster.as('admin'), ['-Fc', `--snapshot=${snapshot}`, '-f', partial])
      return sums
    })
    const proof = await heldBy(cluster, partial)
    if (proof !== held) throw new Error('the back-up does not hold what the database held')
    chmodSync(partial, 0o600)
    renameSync(partial, file)
  } catch (error) {
    rmSync(partial, { force: true })
    throw error
  }
  return { file: name, bytes: statSync(file).size, tookMs: Math.round(performance.now() - from) }
}

const kept = (folder) => (existsSync(folder) ? readdirSync(folder).filter((f) => timeOf(f)) : [])

/** Takes away back-ups that need not stay. @returns the names of those that do */
export function thinOut(folder) {
  const names = kept(folder)
  const stay = new Set(staying(names.map(timeOf)).map(nameAt))
  for (const name of names) if (!stay.has(name)) rmSync(join(folder, name))
  return [...stay]
}

const quoted = (text) => `'${text.replaceAll("'", "''")}'`

/** Writes down what became of one, where the app reads it. */
async function writeDown(cluster, folder, made, at) {
  const names = thinOut(folder)
  await psql(
    cluster.as('admin'),
    `begin;
     insert into backup_made (file, at, bytes, took_ms, proved_at)
       values (${quoted(made.file)}, ${quoted(at.toISOString())}, ${made.bytes}, ${made.tookMs}, now());
     delete from backup_made where file <> all (array[${names.map(quoted).join(', ')}]);
     update backup_state set trouble = '', tried_at = now();
     commit`,
  )
}

/**
 * Makes back-ups for as long as Fika runs: where the newest is a day old, where there is none, and when one is wished.
 * @param folder where they are kept
 * @returns the way to stop; what is under way is waited for
 */
export function keepBackups(cluster, folder, { lookMs = LOOK_MS } = {}) {
  let [stopped, notBefore] = [false, 0]
  const isDue = () => {
    // Before the folder is looked into: it may be the trouble.
    if (Date.now() < notBefore) return false
    const newest = Math.max(0, ...kept(folder).map((f) => timeOf(f).getTime()))
    return Date.now() - newest >= DAY_MS
  }
  const isWished = async () => {
    const out = await psql(
      cluster.as('admin'),
      `select coalesce(wished_at > greatest(tried_at, '-infinity'), false) from backup_state`,
    )
    return out.trim() === 't'
  }
  const look = async () => {
    const at = new Date()
    try {
      if (!(isDue() || (await isWished())) || stopped) return
      const made = await makeBackup(cluster, folder, at)
      await writeDown(cluster, folder, made, at)
      say(`Backed up to ${join(folder, made.file)}, and proved it by restoring it`)
    } catch (error) {
      if (stopped) return
      notBefore = Date.now() + AFTER_TROUBLE_MS
      const full = error.code === 'ENOSPC'
      const trouble = full
        ? 'The disk is full. Make room, or name another folder in FIKA_BACKUPS.'
        : 'It could not be made. What the database said stands where Fika was started.'
      say(`The back-up went wrong; it is tried again in an hour.\n${error.message}`)
      await psql(cluster.as('admin'), `update backup_state set trouble = ${quoted(trouble)}, tried_at = now()`).catch(
        () => undefined,
      )
    }
  }
  let timer
  let underWay = Promise.resolve()
  const next = () => {
    timer = setTimeout(() => {
      underWay = look().finally(() => stopped || next())
    }, lookMs)
  }
  next()
  return async () => {
    stopped = true
    clearTimeout(timer)
    await underWay
  }
}
