import { labToHex } from '@/core/colour/lab'
import { isDryMoment } from '@/core/piece/looks'
import type { Triple } from '@/core/colour/srgb'
import type { Tx } from '../base/withStudio'
import { measuresOf } from './photos'

/** A colour must take so much of both faces to teach how it dries. Start value of Fika. */
const SEEN = 0.03

/** What carried each colour of a piece: the medium it holds most of, and the share of mediums and water in it. */
const CARRIED = `select lower(b.colour_hex) as hex,
    (array_agg(d.kind order by x.ul desc) filter (where d.kind is not null))[1] as kind,
    coalesce(sum(x.ul) filter (where d.kind is not null), 0)::float8 / sum(x.ul) as share
  from (select l.from_vessel_id as bottle_id, lot.material_id, sum(l.ul) as ul
        from piece p
        join movement_line l on l.studio_id = p.studio_id and l.movement_id = p.movement_id and l.to_vessel_id = p.poured_into
        join lot on lot.studio_id = l.studio_id and lot.id = l.lot_id
        where p.studio_id = $1 and p.id = $2 group by 1, 2) x
  join bottle b on b.studio_id = $1 and b.vessel_id = x.bottle_id and b.colour_hex is not null
  left join medium d on d.studio_id = $1 and d.material_id = x.material_id
  group by 1`

/**
 * Colours of a piece seen wet and dry with a card in both photos, kept as pairs that teach how colours dry; what was kept
 * of it before is replaced. Without a card the light is evened by the palette itself, and such a pair would teach nothing.
 */
export async function keepPairs(tx: Tx, pieceId: string): Promise<void> {
  const carded = (await measuresOf(tx, pieceId)).filter((m) => m.measures.hasCard && !m.measures.trust.not.colours)
  const wet = carded.find((m) => m.moment === 'wet')
  const dry = carded.findLast((m) => isDryMoment(m.moment))
  await tx.q('delete from wet_dry_pair where studio_id = $1 and piece_id = $2', [tx.studioId, pieceId])
  if (!wet || !dry) return
  const carriers = await tx.q<{ hex: string; kind: string | null; share: number }>(CARRIED, [tx.studioId, pieceId])
  const pairs = wet.measures.colours.flatMap((w) => {
    const d = dry.measures.colours.find((c) => c.hex === w.hex)
    const by = carriers.find((c) => c.hex === w.hex.toLowerCase())
    if (!d || !by || w.seen < SEEN || d.seen < SEEN) return []
    return [
      {
        hex: w.hex.toLowerCase(),
        wet: labToHex([...w.lab] as Triple),
        dry: labToHex([...d.lab] as Triple),
        kind: by.kind,
        share: by.kind ? Math.min(0.9999, by.share) : 0,
      },
    ]
  })
  await tx.q(
    `insert into wet_dry_pair (studio_id, piece_id, hex, wet_hex, dry_hex, medium_kind, medium_share)
     select $1, $2, * from unnest($3::text[], $4::text[], $5::text[], $6::text[], $7::numeric[])`,
    [
      tx.studioId,
      pieceId,
      pairs.map((p) => p.hex),
      pairs.map((p) => p.wet),
      pairs.map((p) => p.dry),
      pairs.map((p) => p.kind),
      pairs.map((p) => p.share),
    ],
  )
}
