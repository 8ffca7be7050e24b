import { Invalid, NotEnough } from '@/core/errors'
import { keyOf } from '@/core/consistency/curveKey'
import { waterContent, wAfter } from '@/core/consistency/reference'
import { eyeState, type EyeEvent } from '@/core/mix/byEye'
import { guideState, type GuideEvent } from '@/core/mix/guide'
import { formatMl } from '@/core/quantity/format'
import { findBottle } from '@/db/bottles/read'
import { listBases, listMixable } from '@/db/materials/mixable'
import { beliefFor } from '@/db/bottles/consistency'
import { keepRecipe } from '@/db/bottles/edit'
import { noteReading } from '@/db/bottles/readings'
import { type Source } from '@/db/ledger'
import { mixBottle, waterBottle, watered, recipeOfContent } from '@/db/mixes'
import { addEvent, beginMixing, endMixing, findMixing, type Mixing } from './mixings'
import { studioFacts } from '@/db/people/studio'
import type { Tx } from '@/db/base/withStudio'
import { derivedId } from '@/db/base/derivedId'
import { snapshot } from './sources'
import { keptPlan, type KeptPlan } from './plan'
import type { BeginGuide, BookMixing } from './schema'

export type GuidedMixing = Mixing<KeptPlan, GuideEvent>
export type EyeMixing = Mixing<{ label: string }, EyeEvent>
type AnyMixing = Mixing<KeptPlan, GuideEvent | EyeEvent>

/** Begins a guided mix; sent twice it is one. @throws Invalid where nothing of it is in the drawer any more */
export async function beginGuide(tx: Tx, input: BeginGuide): Promise<string> {
  const materials = new Map([...(await listMixable(tx)), ...(await listBases(tx))].map((m) => [m.id, m]))
  const { water: waterRule } = await studioFacts(tx)
  const key = keyOf(
    input.lines.flatMap((l) => {
      const m = materials.get(l.id)
      return m ? [{ materialId: m.id, kind: m.kind, body: m.body, ul: l.plannedUl }] : []
    }),
  )
  const plan = keptPlan(input, materials, waterRule, await beliefFor(tx, key))
  if (plan.lines.length !== input.lines.length)
    throw new Invalid('Something of this recipe is not in the drawer any more. Choose it anew, then begin again.')
  // Read once from the start, so that a plan that cannot be followed is refused here.
  guideState(plan, [])
  await beginMixing(tx, { id: input.id, kind: 'guided', plan })
  return input.id
}

/** Adds what happened at a mix, once per request, where it fits what stands. */
export function noteEvent(
  tx: Tx,
  mixingId: string,
  input: { requestId: string; after: number; event: GuideEvent | EyeEvent },
): Promise<AnyMixing> {
  return addEvent<KeptPlan, GuideEvent | EyeEvent>(tx, { mixingId, ...input }, (m, events) => {
    if (m.kind === 'guided') guideState(m.plan, events as GuideEvent[])
    else eyeState(events as EyeEvent[])
  })
}

/**
 * Books a finished mix as a bottle: what was poured, its water, and its readings on the curve of its paint. The mix's
 * own id is the request: however often it is sent, one bottle is made.
 * @returns the bottle's id
 * @throws NotEnough where more came from another bottle than its books say, unless that is to be booked as found
 */
export async function bookMixing(tx: Tx, mixingId: string, details: BookMixing): Promise<string> {
  const mixing = await findMixing<KeptPlan, GuideEvent | EyeEvent>(tx, mixingId)
  if (mixing.vesselId) return mixing.vesselId
  const vesselId = derivedId(mixingId, 'bottle')
  try {
    if (mixing.kind === 'guided') await bookGuided(tx, mixing as GuidedMixing, vesselId, details)
    else await bookByEye(tx, mixing as unknown as EyeMixing, vesselId, details)
  } catch (error) {
    throw error instanceof NotEnough ? await pouredAlready(tx, error) : error
  }
  await endMixing(tx, mixingId, vesselId)
  return vesselId
}

/** It is in the cup, whatever the books say: so that is said, and how to go on. */
async function pouredAlready(tx: Tx, { detail }: NotEnough): Promise<NotEnough> {
  const { vesselId, haveUl, needUl } = detail as { vesselId: string; haveUl: number; needUl: number }
  const { label } = await findBottle(tx, vesselId)
  const said =
    haveUl > 0
      ? `${label} held ${formatMl(haveUl)} by the books, and ${formatMl(needUl)} of it went in. Book once more, and the ${formatMl(needUl - haveUl)} are booked as found in it; or undo, and pour what it should be.`
      : `${label} is empty by the books, so nobody knows what came out of it. Undo what emptied it on its page, then book this again.`
  return new NotEnough(said, { vesselId, haveUl, needUl })
}

const usual = (d: BookMixing) => ({
  label: d.label,
  role: d.role,
  palette: d.palette,
  capacityUl: d.capacityUl,
  tareMg: d.tareMg,
  restHours: d.restHours,
  untrackedForRest: true,
  findRest: d.findRest,
})

async function bookGuided(tx: Tx, { id, plan, events }: GuidedMixing, vesselId: string, details: BookMixing) {
  const state = guideState(plan, events)
  if (state.step !== 'label') throw new Invalid('This mix is not finished yet. Go on with the step that is shown.')
  const poured = plan.lines.map((l, i): Source => {
    const ul = state.pouredUl[i] ?? 0
    return l.source === 'bottle' ? { vesselId: l.id, ul } : { materialId: l.id, ul }
  })
  const booked = await mixBottle(tx, {
    requestId: id,
    vesselId,
    ...usual(details),
    recipe: await snapshot(tx, plan.recipe),
    formula: plan.formula,
    poured,
    technique: plan.technique,
  })
  if (booked.replayed) return
  const cup = await watered(tx, vesselId)
  if (state.wateredUl > 0 && plan.water)
    await waterBottle(tx, {
      requestId: derivedId(id, 'water'),
      vesselId,
      waterId: plan.water.id,
      ul: state.wateredUl,
      note: 'to consistency',
    })
  await noteReading(
    tx,
    vesselId,
    state.readings.map((r, i) => ({
      requestId: derivedId(id, `reading ${i}`),
      w: wAfter(waterContent(cup), cup.ul, r.atUl),
      levelTimeS: r.levelTimeS,
      sigma: r.sigma,
      tries: r.tries,
      how: r.how,
    })),
  )
}

async function bookByEye(tx: Tx, { id, events }: EyeMixing, vesselId: string, details: BookMixing) {
  const { additions } = eyeState(events)
  if (additions.length === 0)
    throw new Invalid('Nothing has been poured yet. Pour something in, and the recipe is read back.')
  const poured = additions.map((a): Source =>
    a.source === 'bottle' ? { vesselId: a.id, ul: a.ul } : { materialId: a.id, ul: a.ul },
  )
  const booked = await mixBottle(tx, {
    requestId: id,
    vesselId,
    ...usual(details),
    recipe: { paintParts: 0, paints: [], mediums: [], water: null },
    poured,
  })
  if (!booked.replayed) await keepRecipe(tx, vesselId, await recipeOfContent(tx, vesselId))
}
