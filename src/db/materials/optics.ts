import { calibrate, MASSTONE_SIGMA, WHITE_SIGMA, type MeasuredMix } from '@/core/colour/calibrate'
import { hexToLab } from '@/core/colour/lab'
import type { Optics } from '@/core/colour/kubelkaMunk'
import { packOptics, unpackOptics } from '@/core/colour/packOptics'
import { knownOf, paintedOut, spectrumOf, STANDARDS, toCalibrate, type PaintSwatches } from '@/core/colour/paintedOut'
import { isWhite, opticsFromHex, opticsFromMasstone } from '@/core/colour/paintOptics'
import type { OpticsKnown } from '@/core/colour/predict'
import type { Reflectance } from '@/core/colour/reflectance'
import type { Body, Opacity, Sheen, Strength } from '@/core/paint/properties'
import { refreshLook } from '@/db/mixes'
import { pool } from '@/db/base/pool'
import { withStudio, type Tx } from '@/db/base/withStudio'

/** The columns in which a paint's optics are kept. */
export interface KeptOptics {
  readonly optics: string
  readonly sigma: number
  readonly known: OpticsKnown
  readonly mixes: number
  readonly fit: number | null
}

/** What is kept of a paint of which only the masstone is known. @param reflectance of the masstone, 36 bands */
export function opticsOfMasstone(reflectance: Reflectance, hex: string, strength: Strength): KeptOptics {
  const lab = hexToLab(hex)
  return {
    optics: packOptics(opticsFromMasstone(reflectance, lab, strength)),
    sigma: isWhite(lab) ? WHITE_SIGMA : MASSTONE_SIGMA,
    known: 'masstone',
    mixes: 0,
    fit: null,
  }
}

const SWATCHES = `material_id as id, swatch_hex as "swatchHex", strength, tint_hex as "tintHex",
  tint_white_share as "tintWhiteShare", shade_hex as "shadeHex", shade_black_share as "shadeBlackShare", readings, optics,
  json_build_object('whiteId', tint_white_id, 'blackId', shade_black_id) as "paintedWith"`
type Row = PaintSwatches & { readonly optics: string | null }

interface MixRow {
  readonly paint: string
  readonly share: number
  readonly mix: string
  readonly hex: string
  readonly reflectance: number[] | null
}

/** Measured formulas in which any of some paints takes part, as mixes. */
async function measuredMixes(tx: Tx, ids: readonly string[]): Promise<MeasuredMix[]> {
  const rows = await tx.q<MixRow>(
    `select p.paint_id as paint, p.parts / sum(p.parts) over (partition by p.formula_id, p.version) as share,
       p.formula_id || '/' || p.version as mix, v.dry_hex as hex, v.dry_reflectance as reflectance
     from formula_version v
     join formula_part p on p.studio_id = v.studio_id and p.formula_id = v.formula_id and p.version = v.version
     where v.studio_id = $1 and v.dry_hex is not null and v.medium_share = 0
       and exists (select 1 from formula_part own where own.studio_id = v.studio_id and own.formula_id = v.formula_id
                   and own.version = v.version and own.paint_id = any ($2))`,
    [tx.studioId, ids],
  )
  const mixes = new Map<string, MixRow[]>()
  for (const r of rows) mixes.set(r.mix, [...(mixes.get(r.mix) ?? []), r])
  return [...mixes.values()].map((parts) => ({
    parts: parts.map((p) => ({ paintId: p.paint, share: Number(p.share) })),
    ...spectrumOf(parts[0]!.hex, parts[0]!.reflectance),
  }))
}

/**
 * Works out K and S of paints anew from all that is measured of them, and what the bottles that hold them look like.
 * Paints that only take part in the same mixes are held as they are.
 */
export async function recalibrate(tx: Tx, changed: readonly string[]): Promise<void> {
  if (changed.length === 0) return
  // What was painted out with a white or a black leans on it.
  const leaning = await tx.q<{ id: string }>(
    'select material_id as id from paint where studio_id = $1 and (tint_white_id = any ($2) or shade_black_id = any ($2))',
    [tx.studioId, changed],
  )
  const ids = [...new Set([...changed, ...leaning.map((r) => r.id)])]
  const mixes = await measuredMixes(tx, ids)
  const swatches = (list: readonly string[]) =>
    tx.q<Row>(`select ${SWATCHES} from paint where studio_id = $1 and material_id = any ($2)`, [tx.studioId, list])
  const own = await swatches(ids)
  const painted = own.flatMap((p) => Object.values(p.paintedWith).filter((id) => id !== null))
  const partners = new Set([...mixes.flatMap((m) => m.parts.map((p) => p.paintId)), ...painted])
  for (const id of ids) partners.delete(id)
  const held = new Map<string, Optics>(STANDARDS)
  for (const r of await swatches([...partners]))
    held.set(r.id, r.optics ? unpackOptics(r.optics) : opticsFromHex(r.swatchHex, r.strength))
  const known = calibrate(own.map(toCalibrate), [...own.flatMap(paintedOut), ...mixes], held)
  await tx.q(
    `update paint p set optics = r.optics, optics_sigma = r.sigma, optics_known = r.known, optics_mixes = r.mixes, optics_fit = r.fit
     from jsonb_to_recordset($2) as r (id uuid, optics text, sigma real, known text, mixes int, fit real)
     where p.studio_id = $1 and p.material_id = r.id`,
    [
      tx.studioId,
      JSON.stringify(
        own.map((p) => {
          const { optics, sigma, mixes: count, fit } = known.get(p.id)!
          const formulas = mixes.filter((m) => m.parts.some((x) => x.paintId === p.id)).length
          return { id: p.id, optics: packOptics(optics), sigma, known: knownOf(p, formulas), mixes: count, fit }
        }),
      ),
    ],
  )
  await refreshBottles(tx, ids)
}

/** What bottles with some paints in them look like now. */
async function refreshBottles(tx: Tx, materialIds: readonly string[]): Promise<void> {
  const rows = await tx.q<{ vessel_id: string }>(
    `select distinct b.vessel_id from bottle b
     join vessel_content c on c.studio_id = b.studio_id and c.vessel_id = b.vessel_id and c.ul > 0
     join lot l on l.studio_id = c.studio_id and l.id = c.lot_id
     where b.studio_id = $1 and l.material_id = any ($2)`,
    [tx.studioId, materialIds],
  )
  await refreshLook(
    tx,
    rows.map((r) => r.vessel_id),
  )
}

/** Optics of some paints as they are kept, with what they are known by. */
export interface ReadOptics {
  readonly id: string
  readonly hex: string
  readonly strength: Strength
  readonly sheen: Sheen
  readonly body: Body
  readonly opacity: Opacity
  readonly contrastRatio: number | null
  /** Null where none were worked out yet, see `opticsOf`. */
  readonly optics: string | null
  readonly sigma: number | null
  readonly known: OpticsKnown | null
  readonly mixes: number
  readonly fit: number | null
}

export function readOptics(tx: Tx, ids: readonly string[]): Promise<ReadOptics[]> {
  return tx.q<ReadOptics>(
    `select material_id as id, swatch_hex as hex, strength, sheen, body, opacity, contrast_ratio as "contrastRatio", optics, optics_sigma as sigma, optics_known as known,
       optics_mixes as mixes, optics_fit as fit
     from paint where studio_id = $1 and material_id = any ($2)`,
    [tx.studioId, ids],
  )
}

/** How many paints are worked out in one transaction. */
const AT_ONCE = 500

/**
 * Works out the optics of every paint that has none yet, studio by studio: paints written before there were any.
 * @returns how many there were
 */
export async function fillOptics(): Promise<number> {
  const { rows } = await pool().query<{ studio_id: string }>('select distinct studio_id from account_studio')
  let filled = 0
  for (const { studio_id: studioId } of rows)
    for (let more = true; more;) {
      const ids = await withStudio({ studioId, accountId: null }, async (tx) => {
        const paints = await tx.q<{ id: string }>(
          'select material_id as id from paint where studio_id = $1 and optics is null order by 1 limit $2',
          [studioId, AT_ONCE],
        )
        const list = paints.map((p) => p.id)
        await recalibrate(tx, list)
        return list
      })
      filled += ids.length
      more = ids.length === AT_ONCE
    }
  return filled
}
