import type { Tx } from '@/db/base/withStudio'
import { finishUndone, undoMovement, type Booked, type Followers } from '@/db/ledger'
import { notWhileBack, useUndone } from '@/db/mixes'
import { settleBack } from '@/db/mixes'
import { pourUndone, setRejoined } from '@/db/pieces/pour'
import { runReopened } from '@/db/runs/write'
import { surfacesReturned } from '@/db/surfaces/write'

/** For every kind of movement, what its undo takes along beside the ledger and the bottles it changed. */
const FOLLOWERS: Followers = {
  purchase: [],
  mix: [useUndone],
  'top-up': [useUndone],
  pour: [notWhileBack, pourUndone, runReopened, surfacesReturned],
  'take-out': [notWhileBack],
  discard: [],
  'weigh-in': [],
  finish: [finishUndone],
  water: [],
  split: [],
  merge: [],
  reclaim: [],
  'pour-back': [],
  'run-off': [],
  'set-split': [setRejoined],
}

/** Undoes a movement with all that followed from it. @throws as `undoMovement` does */
export const undo = (tx: Tx, input: { requestId: string; movementId: string }): Promise<Booked> =>
  undoMovement(tx, input, FOLLOWERS, settleBack)
