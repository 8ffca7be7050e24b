import type { Tx } from '../base/withStudio'
import { notUndone } from './notUndone'

export interface MonthPoured {
  /** `2026-11` in the studio's zone. */
  readonly month: string
  readonly pouredUl: number
  readonly wastedUl: number
}

/**
 * Poured and wasted in each of the last twelve months that saw either, oldest first; undone ones left out, and what was
 * poured back into its bottle is not poured.
 * @param zone the studio's time zone
 * Waste is all that went to waste: thrown away, spilled, stuck to a wall or left in a finished container.
 */
export function pouredByMonth(tx: Tx, zone: string): Promise<MonthPoured[]> {
  return tx.q<MonthPoured>(
    `select to_char(m.at at time zone $2, 'YYYY-MM') as month,
       coalesce(sum(case m.kind when 'pour' then l.ul else -l.ul end) filter (where m.kind = 'pour' or f.kind = 'pour'), 0)::bigint as "pouredUl",
       coalesce(sum(l.ul) filter (where t.kind = 'waste'), 0)::bigint as "wastedUl"
     from movement m
     join movement_line l on l.studio_id = m.studio_id and l.movement_id = m.id
     left join vessel f on f.studio_id = l.studio_id and f.id = l.from_vessel_id and m.kind = 'pour-back'
     left join vessel t on t.studio_id = l.studio_id and t.id = l.to_vessel_id
     where m.studio_id = $1 and (m.kind = 'pour' or f.kind = 'pour' or t.kind = 'waste') and m.kind <> 'undo' and m.at > now() - interval '1 year'
       and ${notUndone('m')}
     group by 1 order by 1`,
    [tx.studioId, zone],
  )
}
