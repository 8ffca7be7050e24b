import { Conflict, Invalid, NotFound } from '@/core/errors'
import type { MediumKind } from '@/core/paint/properties'
import { recalibrate } from '@/db/materials/optics'
import { madeBefore } from '@/db/base/onceOnly'
import type { Tx } from '@/db/base/withStudio'

export interface FormulaPart {
  readonly paintId: string
  readonly parts: number
}

/** One version of a named colour; never changed, only followed by others. What was measured of it may come later. */
export interface FormulaVersion {
  readonly version: number
  readonly at: string
  readonly by: string | null
  readonly note: string
  readonly targetHex: string | null
  readonly dryHex: string | null
  readonly wetHex: string | null
  /** Whether the dry colour is a reading with a spectrum. */
  readonly read: boolean
  readonly mediumKind: MediumKind | null
  readonly mediumShare: number
  readonly parts: readonly FormulaPart[]
}

export interface Formula {
  readonly id: string
  readonly name: string
  readonly notes: string
  readonly standsInFor: string | null
  readonly archived: boolean
  /** Newest first. */
  readonly versions: readonly FormulaVersion[]
}

const VERSIONS = `(select json_agg(json_build_object(
    'version', v.version, 'at', v.at, 'by', a.name, 'note', v.note, 'targetHex', v.target_hex, 'dryHex', v.dry_hex,
    'wetHex', v.wet_hex, 'read', v.dry_reflectance is not null, 'mediumKind', v.medium_kind, 'mediumShare', v.medium_share,
    'parts', (select json_agg(json_build_object('paintId', p.paint_id, 'parts', p.parts) order by p.parts desc, p.paint_id)
              from formula_part p where p.studio_id = v.studio_id and p.formula_id = v.formula_id and p.version = v.version)
  ) order by v.version desc)
  from formula_version v left join account a on a.id = v.by
  where v.studio_id = f.studio_id and v.formula_id = f.id) as versions`
const FORMULA = `f.id, f.name, f.notes, f.stands_in_for as "standsInFor", f.archived_at is not null as archived, ${VERSIONS}`

/** The studio's named colours, those in use, by name. */
export function listFormulas(tx: Tx): Promise<Formula[]> {
  return tx.q<Formula>(
    `select ${FORMULA} from formula f where f.studio_id = $1 and f.archived_at is null order by f.name_key`,
    [tx.studioId],
  )
}

/** The spectra that were read of versions painted out, 36 bands, by `<formula> <version>`. */
export async function readSpectra(tx: Tx): Promise<Map<string, number[]>> {
  const rows = await tx.q<{ key: string; bands: number[] }>(
    `select formula_id || ' ' || version as key, dry_reflectance as bands from formula_version
     where studio_id = $1 and dry_reflectance is not null`,
    [tx.studioId],
  )
  return new Map(rows.map((r) => [r.key, r.bands]))
}

/** One named colour. @throws NotFound */
export async function findFormula(tx: Tx, id: string): Promise<Formula> {
  const [row] = await tx.q<Formula>(`select ${FORMULA} from formula f where f.studio_id = $1 and f.id = $2`, [
    tx.studioId,
    id,
  ])
  if (!row) throw new NotFound('formula')
  return row
}

/** Formulas that can stand in for a paint. */
export function standInsFor(tx: Tx, paintId: string): Promise<Formula[]> {
  return tx.q<Formula>(
    `select ${FORMULA} from formula f where f.studio_id = $1 and f.stands_in_for = $2 and f.archived_at is null order by f.name_key`,
    [tx.studioId, paintId],
  )
}

export interface UsedIn {
  readonly bottleId: string
  readonly label: string
  readonly hex: string | null
  readonly mixedAt: string
  readonly version: number
  readonly empty: boolean
}

/** Bottles mixed by a formula, newest first. */
export function usedIn(tx: Tx, formulaId: string): Promise<UsedIn[]> {
  return tx.q<UsedIn>(
    `select b.vessel_id as "bottleId", v.label, b.colour_hex as hex, b.mixed_at as "mixedAt", b.formula_version as version,
       b.emptied_at is not null as empty
     from bottle b join vessel v on v.studio_id = b.studio_id and v.id = b.vessel_id
     where b.studio_id = $1 and b.formula_id = $2 order by b.mixed_at desc limit 100`,
    [tx.studioId, formulaId],
  )
}

/** Whether another formula in use has a name, whatever its letters. */
async function nameTaken(tx: Tx, name: string, id: string): Promise<boolean> {
  const twins = await tx.q(
    'select 1 from formula where studio_id = $1 and name_key = lower(btrim($2)) and archived_at is null and id <> $3',
    [tx.studioId, name, id],
  )
  return twins.length > 0
}

export interface SaveFormula {
  readonly requestId: string
  /** Made by the caller; an id that is here already gets another version. */
  readonly id: string
  readonly name: string
  readonly notes: string
  readonly standsInFor: string | null
  readonly note: string
  readonly targetHex: string | null
  readonly parts: readonly FormulaPart[]
}

/**
 * Keeps a named colour: a new one, or another version of one. Parts like those of the last version change its name and
 * notes only. A repeated request answers what the first did.
 * @returns the version that holds these parts
 * @throws Conflict where another formula has that name; Invalid for no parts or a paint named twice; NotFound
 */
export async function saveFormula(tx: Tx, f: SaveFormula): Promise<number> {
  if (f.parts.length === 0) throw new Invalid('Choose a paint and give it parts before you keep the formula.', 'parts')
  if (new Set(f.parts.map((p) => p.paintId)).size < f.parts.length)
    throw new Invalid('A paint is named twice. Add its parts together.', 'parts')
  await madeBefore(tx, f.requestId, 'formula', f)
  const [done] = await tx.q<{ version: number }>(
    'select version from formula_version where studio_id = $1 and request_id = $2',
    [tx.studioId, f.requestId],
  )
  if (done) return done.version
  if (await nameTaken(tx, f.name, f.id))
    throw new Conflict(
      `There is a formula called “${f.name.trim()}” already. Open it to make another version, or choose another name.`,
    )
  await tx.q(
    `insert into formula (studio_id, id, name, notes, stands_in_for) values ($1, $2, $3, $4, $5)
     on conflict (studio_id, id) do update set name = excluded.name, notes = excluded.notes,
       stands_in_for = excluded.stands_in_for, archived_at = null`,
    [tx.studioId, f.id, f.name.trim(), f.notes, f.standsInFor],
  )
  // Two who save at once wait here for each other, and get one version after the other.
  await tx.q('select 1 from formula where studio_id = $1 and id = $2 for update', [tx.studioId, f.id])
  const { versions } = await findFormula(tx, f.id)
  const last = versions?.[0]
  if (last && sameParts(last.parts, f.parts)) return last.version
  const version = (last?.version ?? 0) + 1
  await tx.q(
    `insert into formula_version (studio_id, formula_id, version, request_id, by, note, target_hex)
     values ($1, $2, $3, $4, $5, $6, $7)`,
    [tx.studioId, f.id, version, f.requestId, tx.accountId, f.note, f.targetHex],
  )
  const written = await tx.q(
    `insert into formula_part (studio_id, formula_id, version, paint_id, parts)
     select $1, $2, $3, r.id, r.parts from jsonb_to_recordset($4) as r (id uuid, parts numeric)
     join paint p on p.studio_id = $1 and p.material_id = r.id returning 1`,
    [tx.studioId, f.id, version, JSON.stringify(f.parts.map((p) => ({ id: p.paintId, parts: p.parts })))],
  )
  if (written.length < f.parts.length) throw new NotFound('paint')
  return version
}

/** Whether two lists of parts are one formula: the same paints in the same ratio. */
export function sameParts(one: readonly FormulaPart[], two: readonly FormulaPart[]): boolean {
  const sum = (list: readonly FormulaPart[]) => list.reduce((s, p) => s + p.parts, 0)
  const [a, b] = [sum(one), sum(two)]
  return (
    one.length === two.length &&
    one.every((p) => {
      const other = two.find((x) => x.paintId === p.paintId)
      return other !== undefined && Math.abs(p.parts / a - other.parts / b) < 1e-6
    })
  )
}

export interface Measured {
  readonly formulaId: string
  readonly version: number
  readonly dryHex: string | null
  readonly dryReflectance: readonly number[] | null
  readonly wetHex: string | null
  readonly mediumKind: MediumKind | null
  readonly mediumShare: number
}

/** Keeps what a version looks like painted out; its paints are calibrated from it. @throws NotFound */
export async function measureFormula(tx: Tx, m: Measured): Promise<void> {
  const rows = await tx.q(
    `update formula_version set dry_hex = $4,
       dry_reflectance = case when $5::real[] is null and dry_hex = $4 then dry_reflectance else $5 end, wet_hex = $6, medium_kind = $7, medium_share = $8
     where studio_id = $1 and formula_id = $2 and version = $3 returning 1`,
    [tx.studioId, m.formulaId, m.version, m.dryHex, m.dryReflectance, m.wetHex, m.mediumKind, m.mediumShare],
  )
  if (rows.length === 0) throw new NotFound('formula')
  const paints = await tx.q<{ id: string }>(
    'select paint_id as id from formula_part where studio_id = $1 and formula_id = $2 and version = $3',
    [tx.studioId, m.formulaId, m.version],
  )
  await recalibrate(
    tx,
    paints.map((p) => p.id),
  )
}

/** Puts a formula away, or takes it back. @throws NotFound; Conflict where its name is taken meanwhile */
export async function archiveFormula(tx: Tx, id: string, archived: boolean): Promise<void> {
  if (!archived) {
    const { name } = await findFormula(tx, id)
    if (await nameTaken(tx, name, id))
      throw new Conflict(`Another formula is called “${name}” now. Rename that one first.`)
  }
  const rows = await tx.q(
    'update formula set archived_at = case when $3 then now() end where studio_id = $1 and id = $2 returning 1',
    [tx.studioId, id, archived],
  )
  if (rows.length === 0) throw new NotFound('formula')
}

/** A colour seen wet and dry, see core/colour/wetDry. */
export interface WetDryRow {
  readonly wetHex: string
  readonly dryHex: string
  readonly mediumKind: MediumKind | null
  readonly mediumShare: number
}

/** Every pair of wet and dry the studio has: of its paints, of formulas painted out, and of pieces measured with a card. */
export function wetDryPairs(tx: Tx): Promise<WetDryRow[]> {
  return tx.q<WetDryRow>(
    `select wet_hex as "wetHex", swatch_hex as "dryHex", null as "mediumKind", 0::numeric as "mediumShare"
     from paint where studio_id = $1 and wet_hex is not null
     union all
     select wet_hex, dry_hex, medium_kind, medium_share from formula_version
     where studio_id = $1 and wet_hex is not null and dry_hex is not null
     union all
     select wet_hex, dry_hex, medium_kind, medium_share from wet_dry_pair where studio_id = $1`,
    [tx.studioId],
  )
}
