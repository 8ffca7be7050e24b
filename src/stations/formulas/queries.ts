import type { DriedPair } from '@/core/colour/driedIn'
import { bottlesInUse, type BottleFull } from '@/db/bottles/read'
import { listMixable, type Material } from '@/db/materials/mixable'
import { listFormulas, wetDryPairs, type Formula, type WetDryRow } from '@/db/formulas/formulas'
import { discontinuedPaints } from '@/db/materials/read'
import { houseRules, type RulesRow } from '@/db/people/houseRules'
import { studioFacts } from '@/db/people/studio'
import type { Tx } from '@/db/base/withStudio'
import { colouredOf, driedPairs, type Paints } from './shown'
import type { Coloured } from './target/target'

/** What every desk of the station needs. */
export interface DeskData {
  readonly paints: readonly Material[]
  readonly byId: Paints
  readonly bottles: readonly BottleFull[]
  readonly formulas: readonly Formula[]
  readonly studio: readonly Coloured[]
  readonly wetDry: readonly WetDryRow[]
  readonly discontinued: readonly { id: string; label: string }[]
  readonly facts: Awaited<ReturnType<typeof studioFacts>>
}

/** Paints a desk is given at most: counted ones first. Beyond that a list is no longer looked through. */
const MOST_PAINTS = 400

export async function deskData(tx: Tx): Promise<DeskData> {
  const all = (await listMixable(tx)).filter((m) => m.kind === 'paint')
  const paints =
    all.length > MOST_PAINTS
      ? [...all].sort((a, b) => (b.onHandUl ?? -1) - (a.onHandUl ?? -1)).slice(0, MOST_PAINTS)
      : all
  const byId = new Map(all.map((p) => [p.id, p]))
  const [bottles, formulas] = [await bottlesInUse(tx), await listFormulas(tx)]
  return {
    paints,
    byId,
    bottles,
    formulas,
    studio: colouredOf(new Map(paints.map((p) => [p.id, p])), bottles, formulas),
    wetDry: await wetDryPairs(tx),
    discontinued: await discontinuedPaints(tx),
    facts: await studioFacts(tx),
  }
}

/** What the desk of one formula needs besides: the ratios of the house, and mixes painted out in a medium. */
export async function oneFormulaData(
  tx: Tx,
): Promise<DeskData & { readonly rules: RulesRow; readonly dried: readonly DriedPair[] }> {
  const data = await deskData(tx)
  return { ...data, rules: await houseRules(tx), dried: driedPairs(data.formulas, data.byId) }
}
