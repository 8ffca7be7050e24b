import { MOMENTS } from '@/core/piece/looks'
import type { Metric } from '@/core/photo/trust'

/** Rating of a piece `p`: that of its newest look that has one. */
export const RATING = `(select k.rating from look k where k.studio_id = p.studio_id and k.piece_id = p.id and k.rating is not null
    order by array_position('{${MOMENTS.join(',')}}'::text[], k.moment) desc limit 1)`
/** Faults that were seen at any look at a piece `p`, each once. */
export const FAULTS_SEEN = `array(select distinct f ->> 'fault' from look k, jsonb_array_elements(k.faults) f
    where k.studio_id = p.studio_id and k.piece_id = p.id order by 1)`

/** That a look `d` at a piece `p` should be taken now: its time has come, that of the next has not, and the piece is here. */
export const IS_DUE = `(d.done_at is null and d.due_at <= now() and p.fate not in ('undone', 'sold', 'gift', 'scrap', 'lost')
    and not exists (select 1 from look_due x where x.studio_id = d.studio_id and x.piece_id = d.piece_id
      and x.due_at > d.due_at and (x.due_at <= now() or x.done_at is not null)))`

/**
 * SQL: which measured photo `f` speaks for its piece: dry before wet, newest first. `trusts`: what has to be trusted of
 * it; a photo that is not is passed over.
 */
export const speaks = (trusts: Metric) =>
  `f.measures is not null and not coalesce(f.measures #> '{trust,not}' ? '${trusts}', false)`
export const SPEAKS_FIRST = `f.moment in ('dry', 'month', 'year') desc, f.taken_at desc, f.id desc`

/** The photo that shows a piece `p` best: dry before wet, in even light before raked, newest first; as JSON. */
export const BEST_PHOTO = `(select json_build_object('id', f.id, 'moment', f.moment, 'isFlat', f.flat is not null,
      'width', coalesce(f.flat_width, f.width), 'height', coalesce(f.flat_height, f.height))
    from piece_photo f where f.studio_id = p.studio_id and f.piece_id = p.id
    order by f.is_raked, f.moment in ('dry', 'month', 'year') desc, f.taken_at desc limit 1)`
