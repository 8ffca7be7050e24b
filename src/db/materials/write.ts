import type { PairVerdict } from '@/core/colour/pairVerdicts'
import { spectrumOf } from '@/core/colour/paintedOut'
import { reflectanceFromHex } from '@/core/colour/reflectance'
import { Conflict, Invalid, NotFound } from '@/core/errors'
import { opacityOf } from '@/core/paint/contrastRatio'
import { searchText } from '@/core/paint/fold'
import { opticsOfMasstone, recalibrate } from './optics'
import type { Tx } from '../base/withStudio'
import { v7 as uuidv7 } from 'uuid'
import { columnsOf } from './fields'
import { findMaterial, inputOf } from './read'
import { schemaOf, type MaterialInput, type PaintInput } from './schema'

/** What must come with a material; all else has its default. */
type Draft = Pick<MaterialInput, 'kind' | 'name' | 'densityGPerMl' | 'solids'> & Partial<MaterialInput>

/** Fills what a draft leaves open with its defaults. @throws Invalid in the words of the schema */
const whole = (draft: Draft): MaterialInput => schemaOf(draft.kind).cast(draft) as MaterialInput

/** One material to write: new at revision 0, else the revision it was read at and what it was then. */
export interface Write {
  readonly id: string
  readonly revision: number
  readonly before: MaterialInput | null
  readonly after: MaterialInput
}

/**
 * Writes a new material. A material of the same kind, maker, line and name is left as it is.
 * @returns whether it was new
 */
export async function insertMaterial(tx: Tx, id: string, draft: Draft): Promise<boolean> {
  return (await writeMaterials(tx, [{ id, revision: 0, before: null, after: whole(draft) }])).has(id)
}

/**
 * Changes a material and keeps what it was.
 * @throws Conflict when somebody else changed it since it was opened; NotFound
 */
export async function updateMaterial(tx: Tx, id: string, revision: number, draft: Draft): Promise<void> {
  const before = inputOf(await findMaterial(tx, id))
  const written = await writeMaterials(tx, [{ id, revision, before, after: whole(draft) }])
  if (!written.has(id))
    throw new Conflict('Somebody else changed this since you opened it. Look at both below, and keep what is right.')
}

/** Makes a change undone by writing what was there before it, as a change of its own. @throws Conflict, NotFound */
export async function undoChange(tx: Tx, materialId: string, changeId: string): Promise<void> {
  const [change] = await tx.q<{ before: MaterialInput | null }>(
    'select before from material_change where studio_id = $1 and id = $2 and material_id = $3',
    [tx.studioId, changeId, materialId],
  )
  if (!change) throw new NotFound('change')
  if (!change.before) throw new Conflict('This is how it came into the drawer. Put it away instead of undoing that.')
  const { revision } = await findMaterial(tx, materialId)
  await updateMaterial(tx, materialId, revision, change.before)
}

const MATERIAL = columnsOf('material', 'm')
const MEDIUM = columnsOf('medium', 'md')
const PAINT = columnsOf('paint', 'p')
const RECORD = `jsonb_to_recordset($2) as r (id uuid, revision int, kind text, ${MATERIAL.recordset})`
const record = ({ id, revision, after }: Write) => ({ id, revision, kind: after.kind, ...MATERIAL.record(after) })

/**
 * Writes many materials, new and changed, with their history, in a handful of statements.
 * @returns ids that were written; a new one whose kind, maker, line and name is here already, or a changed one that
 *   somebody else changed since, is not among them
 */
export async function writeMaterials(tx: Tx, writes: readonly Write[]): Promise<Set<string>> {
  const [fresh, changed] = [writes.filter((w) => w.revision === 0), writes.filter((w) => w.revision > 0)]
  const made = fresh.length
    ? await tx.q<{ id: string }>(
        `insert into material (studio_id, id, kind, ${MATERIAL.names})
         select $1, r.id, r.kind, ${MATERIAL.values} from ${RECORD}
         on conflict (studio_id, kind, maker_key, line_key, name_key) do nothing returning id`,
        [tx.studioId, JSON.stringify(fresh.map(record))],
      )
    : []
  const kept = changed.length
    ? await tx.q<{ id: string }>(
        `update material m set ${MATERIAL.changes}, revision = m.revision + 1, updated_at = now()
         from ${RECORD}
         where m.studio_id = $1 and m.id = r.id and m.revision = r.revision and m.kind = r.kind returning m.id`,
        [tx.studioId, JSON.stringify(changed.map(record))],
      )
    : []
  const ids = new Set([...made, ...kept].map((r) => r.id))
  const done = writes.filter((w) => ids.has(w.id))
  await writeMediums(tx, done)
  await writePaints(tx, done)
  await noteChanges(tx, done)
  await noteWords(tx, done)
  return ids
}

/** Keeps the words a catalogue is written with, for finding the nearest to a mistyped one. */
async function noteWords(tx: Tx, writes: readonly Write[]): Promise<void> {
  const words = new Set(writes.flatMap((w) => searchText(w.after).split(' ')))
  const kept = [...words].filter((w) => w.length >= 3 && w.length <= 40 && !/^[\d.,]+$/.test(w))
  await tx.q(
    'insert into search_word (studio_id, word) select $1, w from unnest($2::text[]) as w order by w on conflict do nothing',
    [tx.studioId, kept],
  )
}

async function noteChanges(tx: Tx, writes: readonly Write[]): Promise<void> {
  const rows = writes.map((w) => ({
    id: uuidv7(),
    material_id: w.id,
    revision: w.revision + 1,
    before: w.before,
    after: w.after,
  }))
  await tx.q(
    `insert into material_change (studio_id, id, material_id, revision, by, before, after)
     select $1, id, material_id, revision, $3, nullif(before, 'null'), after
     from jsonb_to_recordset($2) as r (id uuid, material_id uuid, revision int, before jsonb, after jsonb)`,
    [tx.studioId, JSON.stringify(rows), tx.accountId],
  )
}

async function writeMediums(tx: Tx, writes: readonly Write[]): Promise<void> {
  const rows = writes.flatMap(({ id, after: m }) =>
    m.kind === 'medium' || m.kind === 'additive' ? [{ id, ...MEDIUM.record(m) }] : [],
  )
  if (rows.length === 0) return
  await tx.q(
    `insert into medium (studio_id, material_id, ${MEDIUM.names})
     select $1, r.id, ${MEDIUM.values} from jsonb_to_recordset($2) as r (id uuid, ${MEDIUM.recordset})
     on conflict (studio_id, material_id) do update set ${MEDIUM.excluded}`,
    [tx.studioId, JSON.stringify(rows)],
  )
}

async function writePaints(tx: Tx, writes: readonly Write[]): Promise<void> {
  const paints = writes.flatMap((w) => (w.after.kind === 'paint' ? [{ ...w, after: w.after }] : []))
  if (paints.length === 0) return
  // Reconstructing a reflectance takes longer than all else here: once a colour.
  const spectra = new Map<string, number[]>()
  const spectrum = (hex: string) => {
    const known = spectra.get(hex) ?? [...reflectanceFromHex(hex)]
    spectra.set(hex, known)
    return known
  }
  const rows = paints.map(({ id, after: p }) => {
    const read = p.readings.masstone && spectrumOf(p.swatchHex, p.readings.masstone)
    const reflectance = read?.from === 'reading' ? [...read.reflectance] : spectrum(p.swatchHex)
    return {
      ...PAINT.record(p),
      id,
      opacity: p.contrastRatio === null ? p.opacity : opacityOf(p.contrastRatio),
      readings: p.readings,
      reflectance,
      ...opticsOfMasstone(Float64Array.from(reflectance), p.swatchHex, p.strength),
    }
  })
  await tx.q(
    `insert into paint (studio_id, material_id, ${PAINT.names}, readings, reflectance, optics, optics_sigma, optics_known)
     select $1, r.id, ${PAINT.values}, r.readings, array(select jsonb_array_elements_text(r.reflectance)::real), r.optics, r.sigma, r.known
     from jsonb_to_recordset($2) as r (id uuid, ${PAINT.recordset}, readings jsonb, reflectance jsonb, optics text, sigma real, known text)
     on conflict (studio_id, material_id) do update set ${PAINT.excluded}, readings = excluded.readings,
       reflectance = excluded.reflectance, optics = excluded.optics, optics_sigma = excluded.optics_sigma,
       optics_known = excluded.optics_known, optics_mixes = 0, optics_fit = null`,
    [tx.studioId, JSON.stringify(rows)],
  )
  await hang(tx, 'paint_flag', 'role text, rule text, reason text', paints, (p) => p.flags)
  await hang(tx, 'paint_substitute', 'other_id uuid', paints, (p) => p.substitutes.map((other_id) => ({ other_id })))
  await hang(tx, 'paint_stand_in', 'paint_id uuid, parts numeric', paints, (p) =>
    p.standIn.map((s) => ({ paint_id: s.paintId, parts: s.parts })),
  )
  // After all rows are there: a white of the same import may come after the paint it tints.
  const painted = paints.filter(
    ({ before, after }) => named(after.paintedWith) || (before?.kind === 'paint' && named(before.paintedWith)),
  )
  if (painted.length)
    await tx.q(
      `update paint p set tint_white_id = r."whiteId", shade_black_id = r."blackId"
       from jsonb_to_recordset($2) as r (id uuid, "whiteId" uuid, "blackId" uuid)
       where p.studio_id = $1 and p.material_id = r.id`,
      [tx.studioId, JSON.stringify(painted.map(({ id, after }) => ({ id, ...after.paintedWith })))],
    )
  // A new paint of which only the masstone is known has its optics already.
  const measured = paints.filter(({ before, after }) =>
    before?.kind === 'paint' ? swatchesOf(before) !== swatchesOf(after) || hasMore(after) : hasMore(after),
  )
  await recalibrate(
    tx,
    measured.map((p) => p.id),
  )
}

const named = (w: PaintInput['paintedWith'] | undefined) => Boolean(w?.whiteId ?? w?.blackId)
const hasMore = (p: PaintInput) => p.tintHex !== null || p.shadeHex !== null
/** All that the optics of a paint hang on. */
const swatchesOf = (p: PaintInput) =>
  JSON.stringify([
    p.swatchHex,
    p.strength,
    p.tintHex,
    p.tintWhiteShare,
    p.shadeHex,
    p.shadeBlackShare,
    p.readings,
    p.paintedWith,
  ])

/** Replaces the rows that hang on paints. Table and columns are ours alone, never what came in. */
async function hang(
  tx: Tx,
  table: 'paint_flag' | 'paint_substitute' | 'paint_stand_in',
  columns: string,
  paints: readonly { id: string; revision: number; after: PaintInput }[],
  rowsOf: (p: PaintInput) => readonly object[],
): Promise<void> {
  const old = paints.filter((p) => p.revision > 0).map((p) => p.id)
  if (old.length) await tx.q(`delete from ${table} where studio_id = $1 and material_id = any ($2)`, [tx.studioId, old])
  const rows = paints.flatMap((p) => rowsOf(p.after).map((r) => ({ ...r, material_id: p.id })))
  if (rows.length === 0) return
  const names = columns.split(', ').map((c) => c.split(' ')[0])
  await tx.q(
    `insert into ${table} (studio_id, material_id, ${names.join(', ')})
     select $1, material_id, ${names.join(', ')} from jsonb_to_recordset($2) as r (material_id uuid, ${columns})
     on conflict do nothing`,
    [tx.studioId, JSON.stringify(rows)],
  )
}

/** Puts materials away, or takes them out again; what was mixed with them stays. @returns how many there are */
export async function archiveMaterials(tx: Tx, ids: readonly string[], archived: boolean): Promise<number> {
  if (ids.length === 0) return 0
  const done = await tx.q(
    `update material set archived_at = case when $3 then coalesce(archived_at, now()) end, updated_at = now()
     where studio_id = $1 and id = any ($2) returning id`,
    [tx.studioId, ids, archived],
  )
  return done.length
}

/**
 * Saves what a form holds: a new material at revision 0, once however often it is sent, else a change of one.
 * @throws Conflict when one of that name is here, or somebody else changed it since it was opened; NotFound
 */
export async function saveMaterial(tx: Tx, id: string, revision: number, material: MaterialInput): Promise<void> {
  if (revision > 0) return updateMaterial(tx, id, revision, material)
  const [mine] = await tx.q('select 1 from material where studio_id = $1 and id = $2', [tx.studioId, id])
  if (!mine && !(await insertMaterial(tx, id, material)))
    throw new Conflict(`${material.name} of this maker and line is here already. Open that one, or change the name.`)
}

export interface PairNote {
  readonly paintId: string
  readonly otherId: string
  readonly verdict: PairVerdict | null
  readonly note: string
}

/** Keeps the maker's own word on two paints; a null verdict takes it back. @throws Invalid, NotFound */
export async function notePair(tx: Tx, { paintId, otherId, verdict, note: text }: PairNote): Promise<void> {
  if (paintId === otherId) throw new Invalid('Choose two different paints.', 'otherId')
  const [a, b] = [paintId, otherId].sort()
  const known = await tx.q('select 1 from paint where studio_id = $1 and material_id = any ($2)', [tx.studioId, [a, b]])
  if (known.length !== 2) throw new NotFound('paint')
  if (verdict === null) {
    await tx.q('delete from pair_note where studio_id = $1 and a_id = $2 and b_id = $3', [tx.studioId, a, b])
    return
  }
  await tx.q(
    `insert into pair_note (studio_id, a_id, b_id, verdict, note) values ($1, $2, $3, $4, $5)
     on conflict (studio_id, a_id, b_id) do update set verdict = excluded.verdict, note = excluded.note, at = now()`,
    [tx.studioId, a, b, verdict, text],
  )
}
