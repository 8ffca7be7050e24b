import { v7 as uuidv7 } from 'uuid'
import type { Tx } from '@/db/base/withStudio'
import { movementsOfRun } from '@/db/runs/book'
import { undo } from './undo'

/**
 * Takes the whole booking of a run back, the latest movement first, so that it is open again and can be put right.
 * @throws Conflict where some of it has been used since; then nothing is taken back
 */
export async function takeRunBack(tx: Tx, { id }: { id: string }): Promise<void> {
  for (const movementId of await movementsOfRun(tx, id)) await undo(tx, { requestId: uuidv7(), movementId })
}
