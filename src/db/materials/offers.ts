import { Invalid, NotFound } from '@/core/errors'
import { checkOffer } from '@/core/purchase/offers'
import type { Tx } from '@/db/base/withStudio'
import { offerOf, type OfferInput } from './offerSchema'

/** Keeps a size and price a material is sold at. The same id again is the same offer. @throws Invalid, NotFound */
export async function saveOffer(tx: Tx, o: OfferInput): Promise<void> {
  const terms = offerOf(o.terms)
  checkOffer(terms)
  if (o.endsOn && o.endsOn < o.startsOn) throw new Invalid('The offer ends before it begins. Check the days.', 'endsOn')
  const [material] = await tx.q('select 1 from material where studio_id = $1 and id = $2', [tx.studioId, o.materialId])
  if (!material) throw new NotFound('paint or medium')
  await tx.q(
    `insert into offer (studio_id, id, material_id, supplier, size_ul, list_minor, terms, starts_on, ends_on)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
     on conflict (studio_id, id) do update set supplier = excluded.supplier, size_ul = excluded.size_ul,
       list_minor = excluded.list_minor, terms = excluded.terms, starts_on = excluded.starts_on, ends_on = excluded.ends_on`,
    [tx.studioId, o.id, o.materialId, o.supplier, o.sizeUl, o.listMinor, JSON.stringify(terms), o.startsOn, o.endsOn],
  )
}

export async function dropOffer(tx: Tx, id: string): Promise<void> {
  const gone = await tx.q('delete from offer where studio_id = $1 and id = $2 returning id', [tx.studioId, id])
  if (gone.length === 0) throw new NotFound('offer')
}
