import { compareArms, whatDiffers } from '@/core/learning/trial'
import { pouredFacts } from '@/db/learning/pieces'
import { listMixable } from '@/db/materials/mixable'
import { findMaterial } from '@/db/materials/read'
import { studioFacts } from '@/db/people/studio'
import { techniqueBook } from '@/db/techniques/read'
import { findTrial, listTrials } from '@/db/trials/read'
import type { Tx } from '@/db/base/withStudio'

const PIECES_OFFERED = 300

/** Trials with the pieces they stand on. */
export async function trialListFacts(tx: Tx) {
  const facts = await pouredFacts(tx, await techniqueBook(tx))
  return {
    trials: await listTrials(tx),
    facts: new Map(facts.map((f) => [f.id, f])),
    zone: (await studioFacts(tx)).zone,
  }
}

/** One trial with what it says, what else differs, and what it may be written back to. @throws NotFound */
export async function trialFacts(tx: Tx, id: string) {
  const trial = await findTrial(tx, id)
  const all = await pouredFacts(tx, await techniqueBook(tx))
  const facts = new Map(all.map((f) => [f.id, f]))
  const materialId = trial.arms.find((a) => a.materialId)?.materialId
  const material = materialId ? await findMaterial(tx, materialId) : undefined
  return {
    trial,
    compared: compareArms(trial, facts),
    differs: whatDiffers(trial, facts),
    pieces: all.slice(0, PIECES_OFFERED).map(({ id: piece, title }) => ({ id: piece, title })),
    paints: (await listMixable(tx)).flatMap((m) => (m.kind === 'paint' ? [{ id: m.id, name: m.name }] : [])),
    material: material ? { id: material.id, name: material.name, kind: material.kind, lotId: null } : null,
  }
}

/** What a new trial may be about: every paint and medium, and the one it is begun from. */
export async function newTrialFacts(tx: Tx, materialId: string | undefined) {
  const materials = (await listMixable(tx)).flatMap((m) => (m.kind === 'water' ? [] : [{ id: m.id, name: m.name }]))
  return { materials, material: materials.find((m) => m.id === materialId) ?? null }
}
