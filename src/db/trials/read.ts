import type { TrialArm, TrialKind, TrialPiece, TrialSaid, TrialWord } from '@/core/learning/trial'
import { NotFound } from '@/core/errors'
import { isId, type Tx } from '../base/withStudio'

/** A trial, with all that was said of it. */
export interface Trial extends TrialSaid {
  readonly id: string
  readonly question: string
  readonly madeAs: TrialKind
  readonly constants: string
  readonly isBlind: boolean
  readonly begunAt: string
  readonly endedAt: string | null
  readonly said: string
  readonly revision: number
  readonly arms: readonly TrialArm[]
  readonly words: readonly TrialWord[]
  readonly pieces: readonly (TrialPiece & { readonly title: string })[]
}

const TRIAL = `select t.id, t.question, t.made_as as "madeAs", t.constants, t.criteria, t.is_blind as "isBlind", t.begun_at as "begunAt",
    t.ended_at as "endedAt", t.said, t.revision,
    (select json_agg(json_build_object('arm', a.arm, 'what', a.what, 'materialId', a.material_id) order by a.arm)
      from trial_arm a where a.studio_id = t.studio_id and a.trial_id = t.id) as arms,
    coalesce((select json_agg(json_build_object('arm', w.arm, 'repeat', w.repeat, 'criterion', w.criterion, 'who', w.who, 'value', w.value)
        order by w.repeat, w.arm, w.criterion, w.who)
      from trial_word w where w.studio_id = t.studio_id and w.trial_id = t.id), '[]') as words,
    coalesce((select json_agg(json_build_object('arm', p.arm, 'repeat', p.repeat, 'pieceId', p.piece_id, 'title', x.title) order by p.repeat, p.arm)
      from trial_piece p join piece x on x.studio_id = p.studio_id and x.id = p.piece_id
      where p.studio_id = t.studio_id and p.trial_id = t.id and x.fate <> 'undone'), '[]') as pieces
  from trial t`

/** Trials, the open ones first, then the newest. */
export const listTrials = (tx: Tx): Promise<Trial[]> =>
  tx.q<Trial>(`${TRIAL} where t.studio_id = $1 order by t.ended_at is not null, t.begun_at desc limit 200`, [
    tx.studioId,
  ])

/** One trial. @throws NotFound */
export async function findTrial(tx: Tx, id: string): Promise<Trial> {
  if (!isId(id)) throw new NotFound('trial')
  const [row] = await tx.q<Trial>(`${TRIAL} where t.studio_id = $1 and t.id = $2`, [tx.studioId, id])
  if (!row) throw new NotFound('trial')
  return row
}
