import { Conflict, Invalid, NotFound } from '@/core/errors'
import { isMetric, mostOf } from '@/core/learning/trial'
import type { InferType } from 'yup'
import type { Tx } from '../base/withStudio'
import { findTrial } from './read'
import type { endTrialSchema, TrialInput, trialPieceSchema, TrialWordsInput } from './schema'

/** Begins a trial; one that is begun stays as it is, so that what was said of it keeps its meaning. */
export async function beginTrial(tx: Tx, t: TrialInput): Promise<void> {
  const begun = await tx.q(
    `insert into trial (studio_id, id, question, made_as, constants, criteria, is_blind, by)
     values ($1, $2, $3, $4, $5, $6, $7, $8) on conflict (studio_id, id) do nothing returning 1`,
    [tx.studioId, t.id, t.question, t.madeAs, t.constants, t.criteria, t.isBlind, tx.accountId],
  )
  if (begun.length === 0) return
  await tx.q(
    `insert into trial_arm (studio_id, trial_id, arm, what, material_id)
     select $1, $2, a.arm, a.what, a.material from unnest($3::smallint[], $4::text[], $5::uuid[]) as a (arm, what, material)`,
    [tx.studioId, t.id, t.arms.map((_, i) => i + 1), t.arms.map((a) => a.what), t.arms.map((a) => a.materialId)],
  )
}

async function openTrial(tx: Tx, id: string) {
  const trial = await findTrial(tx, id)
  if (trial.endedAt) throw new Invalid('This trial was ended. Open it again, then go on.')
  return trial
}

/** Puts a piece for an arm of a repeat, another in its place, or takes it out. @throws Invalid, NotFound */
export async function placeTrialPiece(tx: Tx, p: InferType<typeof trialPieceSchema>): Promise<void> {
  const trial = await openTrial(tx, p.trialId)
  if (!trial.arms.some((a) => a.arm === p.arm)) throw new NotFound('arm')
  const elsewhere = trial.pieces.find((x) => x.pieceId === p.pieceId && (x.arm !== p.arm || x.repeat !== p.repeat))
  if (elsewhere)
    throw new Invalid(`“${elsewhere.title}” stands in repeat ${elsewhere.repeat} already. Take it out there first.`)
  await tx.q('delete from trial_piece where studio_id = $1 and trial_id = $2 and arm = $3 and repeat = $4', [
    tx.studioId,
    p.trialId,
    p.arm,
    p.repeat,
  ])
  if (p.pieceId === null) return
  const placed = await tx.q(
    `insert into trial_piece (studio_id, trial_id, arm, repeat, piece_id)
     select $1, $2, $3, $4, id from piece where studio_id = $1 and id = $5 and fate <> 'undone' returning 1`,
    [tx.studioId, p.trialId, p.arm, p.repeat, p.pieceId],
  )
  if (placed.length === 0) throw new NotFound('piece')
}

/** Keeps what one person says; said again it stands in place of what was said before. @throws Invalid, NotFound */
export async function sayOfTrial(tx: Tx, { trialId, who, words }: TrialWordsInput): Promise<void> {
  const trial = await openTrial(tx, trialId)
  for (const w of words) {
    if (!trial.arms.some((a) => a.arm === w.arm) || !trial.criteria.includes(w.criterion))
      throw new Invalid('The trial has no such arm or criterion. Open it again.')
    if (isMetric(w.criterion)) throw new Invalid(`“${w.criterion}” is measured from photos and needs no word.`)
    if ((w.value ?? 0) > mostOf(w.criterion))
      throw new Invalid(`“${w.criterion}” is given from 0 to ${mostOf(w.criterion)}. Give less.`)
  }
  const [back, kept] = [words.filter((w) => w.value === null), words.filter((w) => w.value !== null)]
  await tx.q(
    `delete from trial_word w using unnest($4::smallint[], $5::smallint[], $6::text[]) as x (arm, repeat, criterion)
     where w.studio_id = $1 and w.trial_id = $2 and w.who = $3 and w.arm = x.arm and w.repeat = x.repeat and w.criterion = x.criterion`,
    [tx.studioId, trialId, who, back.map((w) => w.arm), back.map((w) => w.repeat), back.map((w) => w.criterion)],
  )
  await tx.q(
    `insert into trial_word (studio_id, trial_id, who, arm, repeat, criterion, value)
     select $1, $2, $3, x.* from unnest($4::smallint[], $5::smallint[], $6::text[], $7::real[]) as x (arm, repeat, criterion, value)
     on conflict (studio_id, trial_id, arm, repeat, criterion, who) do update set value = excluded.value, at = now()`,
    [
      tx.studioId,
      trialId,
      who,
      kept.map((w) => w.arm),
      kept.map((w) => w.repeat),
      kept.map((w) => w.criterion),
      kept.map((w) => w.value),
    ],
  )
}

/** Ends a trial with what it said, or opens it again. @throws Conflict when somebody else did since it was opened */
export async function endTrial(tx: Tx, t: InferType<typeof endTrialSchema>): Promise<{ revision: number }> {
  const [row] = await tx.q<{ revision: number }>(
    `update trial set said = $4, ended_at = case when $5 then coalesce(ended_at, now()) end, revision = revision + 1
     where studio_id = $1 and id = $2 and (revision = $3 or (said = $4 and (ended_at is not null) = $5)) returning revision`,
    [tx.studioId, t.id, t.revision, t.said, t.isEnded],
  )
  if (row) return row
  await findTrial(tx, t.id)
  throw new Conflict(
    'Somebody else changed this trial since you opened it. Open it again, and bring over what you typed.',
  )
}
