'use server'

import type { Answer } from '@/core/answer'
import { archiveFormula, measureFormula, saveFormula } from '@/db/formulas/formulas'
import { change } from '@/server/change'
import { perform } from '@/server/perform'
import { saveBatchSchema } from '@/db/formulas/batchSchema'
import { saveBatch } from '@/db/formulas/batches'
import { bookBatch } from '@/db/mixings/batch'
import { bookBatchSchema } from '@/db/mixings/bookBatchSchema'
import { archiveFormulaSchema, measureSchema, saveFormulaSchema } from '@/db/formulas/schema'

/** Keeps a named colour, or another version of one. */
export async function saveFormulaAction(input: unknown): Promise<Answer<{ id: string; version: number }>> {
  return perform(saveFormulaSchema, input, async (tx, f) => ({
    id: f.id,
    version: await saveFormula(tx, { ...f, standsInFor: f.standsInFor ?? null }),
  }))
}

/** Keeps what a version looks like painted out, wet and dry. */
export async function measureFormulaAction(input: unknown): Promise<Answer<null>> {
  return change(measureSchema, input, (tx, m) => measureFormula(tx, { ...m, mediumKind: m.mediumKind ?? null }))
}

/** Puts a named colour away, or takes it back. */
export async function archiveFormulaAction(input: unknown): Promise<Answer<null>> {
  return change(archiveFormulaSchema, input, (tx, a) => archiveFormula(tx, a.id, a.archived))
}

/** Keeps a large batch as it stands. */
export async function saveBatchAction(input: unknown): Promise<Answer<{ id: string; revision: number }>> {
  return perform(saveBatchSchema, input, async (tx, b) => ({
    id: b.id,
    revision: await saveBatch(tx, b),
  }))
}

/** Books the containers of a large batch as bottles. */
export const bookBatchAction = async (input: unknown): Promise<Answer<null>> =>
  change(bookBatchSchema, input, bookBatch)
