import sharp from 'sharp'
import { v7 as uuidv7 } from 'uuid'
import type { Answer } from '@/core/answer'
import { acceptInvitation } from '@/db/people/invitations'
import { shortCode } from '@/core/vessel/shortCode'
import { findSession, openSession, type Signed } from '@/db/people/sessions'
import { signUp } from './accounts'
import { admin } from './everything'
import { sentForm, typedPaint } from './typed'
import { undoAction } from '@/server/undoAction'
import { bookMixAction } from '@/stations/bench/actions'
import * as consistency from '@/stations/bench/consistency/actions'
import * as guide from '@/stations/bench/guide/actions'
import * as recipes from '@/stations/bench/recipes/actions'
import * as formulas from '@/stations/formulas/actions'
import { flagLotAction } from '@/server/flagLotAction'
import * as notebook from '@/stations/notebook/actions'
import {
  countDropsAction,
  dropDropperAction,
  dropHouseWordAction,
  saveRulesAction,
  takeDropperAction,
} from '@/stations/studio/actions'
import { WHOLE } from '@/core/surface/homography'
import { keptMeasures } from './photo/keptMeasures'
import * as paints from '@/stations/paints/actions'
import {
  changePasswordAction,
  endOthersAction,
  endSessionAction,
  foundStudioAction,
  leaveStudioAction,
  openStudioAction,
} from '@/stations/account/actions'
import { backUpNowAction } from '@/stations/studio/keeping/actions'
import * as people from '@/stations/studio/people/actions'
import { mendAction, openFileAction, previewAction } from '@/stations/paints/exchange/actions'
import * as stock from '@/stations/paints/stock/actions'
import * as surfaces from '@/stations/paints/surfaces/actions'
import { planInput } from './plans'
import { dropPlanAction, savePlanAction } from '@/stations/plan/actions'
import * as rehearse from '@/stations/plan/rehearse/actions'
import { sentRehearsal } from './tilt'
import * as room from '@/stations/studio/room/actions'
import { bringInAction } from '@/stations/plan/starter/actions'
import { removeTechniqueAction, saveTechniqueAction } from '@/stations/plan/techniques/actions'
import { dropWorkAction, endWorkLinkAction, makeWorkLinkAction, saveWorkAction } from '@/stations/plan/works/actions'
import { SHIPPED } from '@/core/technique/techniques'
import * as pouring from '@/stations/pour/actions'
import { noteRunEvent } from '@/db/runs/write'
import { findRun } from '@/db/runs/read'
import { withStudio } from '@/db/base/withStudio'
import * as rack from '@/stations/rack/actions'
import * as wall from '@/stations/wall/actions'

const PASSWORD = 'a long pass phrase'
export const newStudio = (name: string) =>
  signUp({ name, email: `${uuidv7()}@example.org`, password: PASSWORD, studioName: name })
function value<T>(answer: Answer<T>): T {
  if (!answer.ok) throw new Error(answer.message)
  return answer.value
}

const id = () => uuidv7()
const share = (materialId: string) => ({ materialId, parts: 1 })
const recipeBody = (paintId: string) => ({
  paints: [{ id: paintId, parts: '1' }],
  mediums: [],
  drops: [],
  steps: [],
  role: 'pour',
  technique: 'straight',
})
const list = () => new File(['name,body\nQuay Red,soft\n'], 'list.csv')

/** A pour without a plan onto which a little of a bottle went. */
async function pouredRun(who: Pick<Signed, 'studioId' | 'accountId'>, bottle: string): Promise<string> {
  const surface = { shape: 'rectangle', lengthMm: 100, widthMm: 100, edgeMm: 0, count: 1 }
  const run = { id: id(), planId: null, title: 'Card', technique: 'ring', surfaces: [{ surface, stockId: null }] }
  value(await pouring.beginRunAction(run))
  await withStudio(who, async (tx) => {
    const [piece] = (await findRun(tx, run.id)).plan.pieces
    const event = {
      kind: 'load',
      cup: id(),
      layer: null,
      way: 'side',
      piece: piece!.id,
      bottle,
      ul: 500,
      how: 'eye',
    } as const
    await noteRunEvent(tx, run.id, { requestId: id(), event })
  })
  return run.id
}

/** One of everything, made through the actions by whoever is signed in. */
export async function oneOfEverything({ studioId, accountId }: Signed) {
  const [paintId, other, water] = [id(), id(), id()]
  value(await paints.saveMaterialAction({ id: paintId, revision: 0, material: typedPaint('Loch Blue') }))
  value(
    await paints.saveMaterialAction({ id: paintId, revision: 1, material: { ...typedPaint('Loch Blue'), notes: 'a' } }),
  )
  value(await paints.saveMaterialAction({ id: other, revision: 0, material: typedPaint('Weir Green') }))
  const thinner = { kind: 'water', name: 'Well water', densityGPerMl: 1, solids: 0, thinner: 'purified' }
  value(await paints.saveMaterialAction({ id: water, revision: 0, material: thinner }))
  const mix = (vesselId: string, label: string, ul = 100_000) => ({
    requestId: id(),
    vesselId,
    into: 'new',
    label,
    role: 'pour',
    paints: [share(paintId)],
    paintParts: 1,
    mediums: [],
    water: null,
    poured: [{ materialId: paintId, ul }],
    capacityUl: 240_000,
    tareMg: 30_000,
    restHours: 12,
  })
  const [bottle, second, third] = [id(), id(), id()]
  value(await bookMixAction(mix(bottle, 'Loch')))
  value(await bookMixAction(mix(second, 'Weir', 40_000)))
  value(await bookMixAction(mix(third, 'Sluice', 20_000)))
  const plan = (planId: string) => planInput([bottle], { id: planId })
  const [poured, open, workId] = [id(), id(), id()]
  const work = { id: workId, revision: null, kind: 'gift', title: 'For a friend', dueOn: '2027-01-05' }
  value(await saveWorkAction(work))
  value(await savePlanAction(plan(poured)))
  const openPlan = plan(open)
  value(await savePlanAction({ ...openPlan, workId }))
  const cup = { id: id(), name: '7 oz cup', sizeUl: 207_000 }
  value(await room.saveCupAction(cup))
  const place = { id: id(), name: 'Table', lengthMm: 600, widthMm: 900, spots: 2 }
  value(await room.savePlaceAction(place))
  value(await room.saveRoomAction({ closedWeekdays: [7], celsius: 21, humidity: 0.4 }))
  const technique = { ...SHIPPED.of('ring'), key: `own-${id()}`, name: 'Our ring' }
  value(await saveTechniqueAction(technique))
  const pour = (planId: string) => ({
    requestId: id(),
    planId,
    pieceId: id(),
    vesselId: id(),
    takes: [{ vesselId: bottle, ul: 16_000 }],
  })
  const piece = pour(poured)
  value(await pouring.pourAction(piece))
  const buy = (c: { lotId: string; vesselId: string }) => ({
    requestId: id(),
    totalMinor: 900,
    containers: [{ materialId: paintId, ...c, label: 'tube', sizeUl: 60_000, worth: 1 }],
  })
  const [tube, empty] = [
    { lotId: id(), vesselId: id() },
    { lotId: id(), vesselId: id() },
  ]
  value(await stock.buyContainersAction(buy(tube)))
  value(await stock.buyContainersAction(buy(empty)))
  value(await stock.finishContainerAction({ requestId: id(), vesselId: empty.vesselId, residueUl: 0 }))
  const offer = {
    id: id(),
    materialId: paintId,
    sizeUl: 60_000,
    listMinor: 990,
    terms: { kind: 'list' },
    startsOn: '2026-01-01',
  }
  value(await stock.saveOfferAction(offer))
  const panel = { id: id(), kind: 'panel', name: 'Panel', shape: 'rectangle', lengthMm: 200, widthMm: 200 }
  const canvas = { ...panel, edgeMm: 10, grade: 'sale' }
  value(await surfaces.saveSurfaceAction(canvas))
  value(await surfaces.moveSurfacesAction({ requestId: id(), surfaceId: canvas.id, count: 5, priceMinor: 900 }))
  const recipe = { requestId: id(), id: id(), name: 'Loch, thin', body: recipeBody(paintId) }
  value(await recipes.saveRecipeAction(recipe))
  const formula = { requestId: id(), id: id(), name: 'Loch at dusk', parts: [{ paintId, parts: 2 }] }
  value(await formulas.saveFormulaAction(formula))
  const batch = {
    id: id(),
    revision: 0,
    title: 'Large',
    formulaId: formula.id,
    formulaVersion: 1,
    state: { paintUl: 400_000, containers: 2, sizeUl: 1_000_000, keptHex: '#1d4e9e' },
  }
  value(await formulas.saveBatchAction(batch))
  const eye = id()
  value(await guide.beginByEyeAction({ id: eye, label: 'By eye' }))
  const weight = { requestId: id(), vesselId: second, grossMg: 60_000, tareMg: 30_000 }
  value(await rack.takeWeightAction(weight))
  value(await rack.nameLossAction({ ...weight, named: 'spilled' }))
  const dropper = { id: id(), name: 'Pipette', drip: 'water', count: 50, massMg: 2_000, densityGPerMl: 1 }
  value(await countDropsAction(dropper))
  const picture = await sharp({ create: { width: 200, height: 160, channels: 3, background: '#1d4e9e' } })
    .png()
    .toBuffer()
  const photo = { id: id(), pieceId: piece.pieceId, moment: 'wet', photo: new File([new Uint8Array(picture)], 'a.png') }
  value(await wall.addPhotoAction(sentForm(photo)))
  const measured = { photoId: photo.id, corners: WHOLE, measures: keptMeasures() }
  value(await wall.keepMeasuresAction(measured))
  value(await wall.noteLookAction({ pieceId: piece.pieceId, moment: 'dry', revision: 0, words: 'Ours' }))
  const coat = {
    id: id(),
    pieceId: piece.pieceId,
    kind: 'varnish',
    product: 'Clear',
    coats: 1,
    doneOn: '2026-05-01',
    allTheSame: true,
  }
  value(await wall.noteCoatAction(coat))
  const product = { id: id(), pieceId: piece.pieceId, kind: 'paper', words: 'A print', madeOn: '2026-05-01' }
  value(await wall.noteByProductAction(product))
  const trial = {
    id: id(),
    question: 'Does it crater?',
    madeAs: 'pieces',
    criteria: ['craters'],
    arms: [{ what: 'with', materialId: paintId }, { what: 'without' }],
  }
  value(await notebook.beginTrialAction(trial))
  value(await notebook.placeTrialPieceAction({ trialId: trial.id, arm: 1, repeat: 1, pieceId: piece.pieceId }))
  const trialWord = { arm: 1, repeat: 1, criterion: 'craters', value: 2 }
  value(await notebook.sayOfTrialAction({ trialId: trial.id, who: 'Ours', words: [trialWord] }))
  const houseWord = { id: id(), words: 'Strain it.', trialId: trial.id }
  value(await notebook.sayHouseWordAction(houseWord))
  const medium = id()
  const flow = { kind: 'medium', name: 'Flow', mediumKind: 'conditioner', densityGPerMl: 1, solids: 0.25 }
  value(await paints.saveMaterialAction({ id: medium, revision: 0, material: flow }))
  const rehearsal = {
    id: id(),
    planId: open,
    surfaceId: openPlan.design.surfaces[0]!.id,
    body: JSON.stringify(sentRehearsal(bottle)),
    picture: new File([new Uint8Array(picture)], 'b.png'),
  }
  value(await rehearse.keepRehearsalAction(sentForm(rehearsal)))
  value(await rehearse.keepCorrectionAction({ technique: 'ring', nuFactor: 1.4, lipMm: 1.9, pieces: 4 }))
  const [run, bookedRun] = [
    await pouredRun({ studioId, accountId }, third),
    await pouredRun({ studioId, accountId }, third),
  ]
  value(await pouring.bookRunAction({ id: bookedRun }))
  const [invitation, workLink] = [
    { id: id(), role: 'maker', forWhom: 'Anyone' },
    { id: id(), workId, forWhom: 'The friend', days: 7 },
  ]
  const link = value(await people.inviteAction({ ...invitation, id: id(), role: 'owner' }))
  const { accountId: partner } = await newStudio('Partner')
  await acceptInvitation(link.split('/').at(-1)!, partner)
  value(await people.inviteAction(invitation))
  value(await makeWorkLinkAction(workLink))
  const rows = await admin.query<{ what: string; id: string }>(
    `select 'change' as what, id::text from material_change where studio_id = $1 and material_id = $2 and revision = 2
     union all select 'movement', id::text from movement where studio_id = $1 and kind = 'finish'
     union all select 'poured', m.id::text from movement m where m.studio_id = $1 and m.kind = 'pour'
       and exists (select from movement_line l where l.studio_id = $1 and l.movement_id = m.id and l.from_vessel_id = $3)
     union all select 'code', code from bottle where studio_id = $1 and vessel_id = $3`,
    [studioId, paintId, bottle],
  )
  const found = Object.fromEntries(rows.rows.map((r) => [r.what, r.id])) as Record<string, string>
  return {
    paintId,
    other,
    water,
    bottle,
    second,
    mix,
    plan,
    work,
    cup,
    place,
    technique,
    open,
    pour,
    piece,
    buy,
    tube,
    empty,
    offer,
    canvas,
    recipe,
    formula,
    batch,
    eye,
    weight,
    photo,
    measured,
    coat,
    product,
    trial,
    trialWord,
    houseWord,
    medium,
    rehearsal,
    run,
    bookedRun,
    dropper,
    found,
    studioId,
    partner,
    invitation,
    workLink,
    /** A further session of the owner, by its id. */
    anotherSession: async () => (await findSession((await openSession(accountId, studioId)).token))!.sessionId,
  }
}

export type Things = Awaited<ReturnType<typeof oneOfEverything>>
/** What a stranger is told: the code of the refusal, or nothing where there is nothing to be refused. */
type Told = 'NotFound' | 'Invalid' | 'Conflict' | 'nothing'
type Call = readonly [action: string, told: Told, call: () => Promise<Answer<unknown>>]

/** Every action, with input that is good for the owner. */
export const calls = (t: Things): readonly Call[] => {
  const { paintId, bottle, second } = t
  const r = { requestId: id() }
  // prettier-ignore
  return [
    ['archiveMaterialAction', 'NotFound', () => paints.archiveMaterialAction({ id: paintId, archived: true })],
    ['saveMaterialAction', 'NotFound', () => paints.saveMaterialAction({ id: paintId, revision: 2, material: typedPaint('My own') })],
    ['currentMaterialAction', 'NotFound', () => paints.currentMaterialAction({ id: paintId })],
    ['undoChangeAction', 'NotFound', () => paints.undoChangeAction({ materialId: paintId, changeId: t.found.change })],
    ['notePairAction', 'NotFound', () => paints.notePairAction({ paintId, otherId: t.other, verdict: 'never' })],
    ['buyContainersAction', 'NotFound', () => stock.buyContainersAction(t.buy({ lotId: id(), vesselId: id() }))],
    ['weighContainerAction', 'Invalid', () => stock.weighContainerAction({ ...r, vesselId: t.tube.vesselId, grossMg: 9, tareMg: 1 })],
    ['finishContainerAction', 'Invalid', () => stock.finishContainerAction({ ...r, vesselId: t.tube.vesselId, residueUl: 0 })],
    ['reopenContainerAction', 'NotFound', () => stock.reopenContainerAction({ lotId: t.empty.lotId })],
    ['unsealContainerAction', 'NotFound', () => stock.unsealContainerAction({ lotId: t.tube.lotId })],
    ['saveOfferAction', 'NotFound', () => stock.saveOfferAction({ ...t.offer, id: id() })],
    ['dropOfferAction', 'NotFound', () => stock.dropOfferAction({ id: t.offer.id })],
    ['moveSurfacesAction', 'NotFound', () => surfaces.moveSurfacesAction({ ...r, surfaceId: t.canvas.id, count: -1 })],
    ['putSurfaceAwayAction', 'NotFound', () => surfaces.putSurfaceAwayAction({ id: t.canvas.id })],
    ['openFileAction', 'nothing', () => openFileAction(sentForm({ file: list() }))],
    ['previewAction', 'nothing', () => previewAction(sentForm({ file: list(), mapping: '{"name":"name"}' }))],
    ['mendAction', 'nothing', () => mendAction(sentForm({ file: list(), mapping: '{"name":"name"}' }))],
    ['bookMixAction', 'NotFound', () => bookMixAction(t.mix(id(), 'Mine', 20_000))],
    ['bookMixAction', 'NotFound', () => bookMixAction({ ...t.mix(bottle, '', 20_000), into: 'top-up' })],
    ['takeOutAction', 'NotFound', () => rack.takeOutAction({ ...r, vesselId: bottle, ul: 1_000 })],
    ['pourBackAction', 'NotFound', () => rack.pourBackAction({ ...r, vesselId: bottle, movementId: t.found.poured, ul: 500 })],
    ['weighInAction', 'NotFound', () => rack.weighInAction({ ...r, vesselId: bottle, grossMg: 100_000, tareMg: 30_000, named: 'spilled' })],
    ['editBottleAction', 'NotFound', () => rack.editBottleAction({ vesselId: bottle, label: 'Mine', role: 'pour' })],
    ['discardAction', 'NotFound', () => rack.discardAction({ ...r, vesselId: bottle })],
    ['splitAction', 'NotFound', () => rack.splitAction({ ...r, vesselId: bottle, into: [{ vesselId: id(), label: 'Part', ul: 9_000 }] })],
    ['mergeAction', 'NotFound', () => rack.mergeAction({ ...r, intoId: bottle, fromIds: [second], restHours: 2 })],
    ['addWaterAction', 'Invalid', () => rack.addWaterAction({ ...r, vesselId: bottle, waterId: t.water, ul: 1_000 })],
    ['extendAction', 'Invalid', () => rack.extendAction({ ...r, vesselId: bottle, totalUl: 90_000 })],
    ['shakenAction', 'NotFound', () => rack.shakenAction({ vesselId: bottle })],
    ['findByCodeAction', 'Invalid', () => rack.findByCodeAction({ code: shortCode(t.found.code!) })],
    ['takeWeightAction', 'NotFound', () => rack.takeWeightAction({ ...r, vesselId: bottle, grossMg: 99_000, tareMg: 30_000 })],
    ['nameLossAction', 'NotFound', () => rack.nameLossAction({ ...t.weight, named: 'spilled' })],
    ['dropWeightAction', 'nothing', () => rack.dropWeightAction(t.weight)],
    ['stocktakeAction', 'nothing', () => rack.stocktakeAction({ requestIds: [t.weight.requestId] })],
    ['readBottleAction', 'NotFound', () => consistency.readBottleAction({ ...r, vesselId: bottle, levelTimeS: 2, sigma: 0.1, tries: [2], how: 'stopwatch' })],
    ['waterBottleAction', 'Invalid', () => consistency.waterBottleAction({ ...r, vesselId: bottle, waterId: t.water, ul: 500 })],
    ['correctAction', 'Invalid', () => consistency.correctAction({ ...r, vesselId: bottle, waterId: t.water, ul: 500, likeS: 2 })],
    ['referenceAction', 'NotFound', () => consistency.referenceAction({ vesselId: bottle, isReference: true })],
    ['putRecipeAwayAction', 'nothing', () => recipes.putRecipeAwayAction({ id: t.recipe.id })],
    ['bodyRatioAction', 'nothing', () => recipes.bodyRatioAction({ body: 'soft', ratio: { medium: 3, paint: 1 } })],
    ['paintRatioAction', 'Conflict', () => recipes.paintRatioAction({ paintId, ratio: { medium: 3, paint: 1 } })],
    ['schoolAction', 'nothing', () => recipes.schoolAction({ key: 'swipe', school: null })],
    ['bandsAction', 'nothing', () => recipes.bandsAction({ bands: null })],
    ['rackWarmthAction', 'nothing', () => recipes.rackWarmthAction({ rackC: 25 })],
    ['beginGuideAction', 'Invalid', () => guide.beginGuideAction({ id: id(), lines: [{ source: 'material', id: paintId, plannedUl: 9_000 }], recipe: { paints: [share(paintId)], paintParts: 1, mediums: [], water: null }, role: 'pour', technique: 'straight', bandS: [1, 2] })],
    ['beginByEyeAction', 'nothing', () => guide.beginByEyeAction({ id: id() })],
    ['putAsideAction', 'nothing', () => guide.putAsideAction({ id: t.eye })],
    ['weighOnceAction', 'NotFound', () => guide.weighOnceAction({ materialId: paintId, densityGPerMl: 1.3 })],
    ['saveFormulaAction', 'NotFound', () => formulas.saveFormulaAction({ ...t.formula, ...r, name: 'Mine' })],
    ['measureFormulaAction', 'NotFound', () => formulas.measureFormulaAction({ formulaId: t.formula.id, version: 1, dryHex: '#112233' })],
    ['archiveFormulaAction', 'NotFound', () => formulas.archiveFormulaAction({ id: t.formula.id, archived: true })],
    ['saveBatchAction', 'NotFound', () => formulas.saveBatchAction({ ...t.batch, revision: 1, title: 'Mine' })],
    ['bookBatchAction', 'NotFound', () => formulas.bookBatchAction({ ...r, batchId: t.batch.id, mediumId: t.other, waterId: t.water, restHours: 12, untrackedForRest: true })],
    ['savePlanAction', 'Conflict', () => savePlanAction(t.plan(id()))],
    ['dropPlanAction', 'NotFound', () => dropPlanAction({ id: t.open })],
    ['dropWorkAction', 'NotFound', () => dropWorkAction({ id: t.work.id })],
    ['removeFromRoomAction', 'NotFound', () => room.removeFromRoomAction({ what: 'cup', id: t.cup.id })],
    ['removeFromRoomAction', 'NotFound', () => room.removeFromRoomAction({ what: 'place', id: t.place.id })],
    ['removeTechniqueAction', 'NotFound', () => removeTechniqueAction({ key: t.technique.key })],
    ['saveRoomAction', 'nothing', () => room.saveRoomAction({ closedWeekdays: [1], celsius: 18, humidity: 0.5 })],
    ['bringInAction', 'nothing', () => bringInAction({ keys: ['cup 100', 'medium Pouring medium'] })],
    ['pourAction', 'NotFound', () => pouring.pourAction(t.pour(t.open))],
    ['beginRunAction', 'NotFound', () => pouring.beginRunAction({ id: id(), planId: t.open })],
    ['bookRunAction', 'NotFound', () => pouring.bookRunAction({ id: t.run })],
    ['takeRunBackAction', 'NotFound', () => pouring.takeRunBackAction({ id: t.bookedRun })],
    ['putRunAsideAction', 'NotFound', () => pouring.putRunAsideAction({ id: t.run })],
    ['runPhotoAction', 'NotFound', () => pouring.runPhotoAction(sentForm({ id: id(), runId: t.run, photo: t.photo.photo }))],
    ['notePieceAction', 'Conflict', () => wall.notePieceAction({ id: t.piece.pieceId, revision: 1, title: 'Mine', fate: 'keep' })],
    ['addPhotoAction', 'NotFound', () => wall.addPhotoAction(sentForm({ ...t.photo, id: id() }))],
    ['keepRehearsalAction', 'NotFound', () => rehearse.keepRehearsalAction(sentForm({ ...t.rehearsal, id: id() }))],
    ['removeRehearsalAction', 'nothing', () => rehearse.removeRehearsalAction({ id: t.rehearsal.id })],
    ['keepCorrectionAction', 'nothing', () => rehearse.keepCorrectionAction({ technique: 'ring', nuFactor: 2, lipMm: 1.5, pieces: 3 })],
    ['dropCorrectionAction', 'nothing', () => rehearse.dropCorrectionAction({ technique: 'ring' })],
    ['noteLookAction', 'NotFound', () => wall.noteLookAction({ pieceId: t.piece.pieceId, moment: 'dry', revision: 1, words: 'Mine' })],
    ['keepMeasuresAction', 'NotFound', () => wall.keepMeasuresAction(t.measured)],
    ['noteCoatAction', 'NotFound', () => wall.noteCoatAction({ ...t.coat, id: id() })],
    ['noteByProductAction', 'NotFound', () => wall.noteByProductAction({ ...t.product, id: id() })],
    ['removeCoatAction', 'nothing', () => wall.removeCoatAction({ id: t.coat.id })],
    ['removeByProductAction', 'nothing', () => wall.removeByProductAction({ id: t.product.id })],
    ['removePhotoAction', 'nothing', () => wall.removePhotoAction({ id: t.photo.id })],
    ['reclaimAction', 'Invalid', () => wall.reclaimAction({ ...r, pourId: t.piece.vesselId, jarId: id(), newJar: { label: 'Jar' }, netMg: 5_000 })],
    ['beginTrialAction', 'Conflict', () => notebook.beginTrialAction({ ...t.trial, id: id() })],
    ['placeTrialPieceAction', 'NotFound', () => notebook.placeTrialPieceAction({ trialId: t.trial.id, arm: 1, repeat: 1, pieceId: null })],
    ['sayOfTrialAction', 'NotFound', () => notebook.sayOfTrialAction({ trialId: t.trial.id, who: 'Mine', words: [t.trialWord] })],
    ['endTrialAction', 'NotFound', () => notebook.endTrialAction({ id: t.trial.id, revision: 1, said: 'Mine', isEnded: true })],
    ['noteEffectAction', 'NotFound', () => notebook.noteEffectAction({ mediumId: t.medium, effect: 'cells', value: 3 })],
    ['notePouringAction', 'NotFound', () => notebook.notePouringAction({ paintId, what: 'grade', value: 'craft' })],
    ['notePairBackAction', 'NotFound', () => notebook.notePairBackAction({ paintId, otherId: t.other, verdict: 'never' })],
    ['sayHouseWordAction', 'Conflict', () => notebook.sayHouseWordAction({ ...t.houseWord, id: id() })],
    ['dropHouseWordAction', 'NotFound', () => dropHouseWordAction({ id: t.houseWord.id })],
    ['flagLotAction', 'NotFound', () => flagLotAction({ lotId: t.tube.lotId, flag: 'bad' })],
    ['saveRulesAction', 'nothing', () => saveRulesAction({ name: 'x', units: 'us', waterSchool: 'own', currency: 'USD' })],
    ['takeDropperAction', 'NotFound', () => takeDropperAction({ drip: 'water', id: t.dropper.id })],
    ['dropDropperAction', 'NotFound', () => dropDropperAction({ id: t.dropper.id })],
    ['endSessionAction', 'NotFound', async () => endSessionAction({ id: await t.anotherSession() })],
    ['endOthersAction', 'nothing', () => endOthersAction()],
    ['changePasswordAction', 'nothing', () => changePasswordAction({ old: PASSWORD, chosen: PASSWORD })],
    ['undoAction', 'NotFound', () => undoAction({ ...r, movementId: t.found.movement })],
    ['inviteAction', 'nothing', () => people.inviteAction({ id: id(), role: 'maker' })],
    ['withdrawInvitationAction', 'NotFound', () => people.withdrawInvitationAction({ id: t.invitation.id })],
    ['giveRoleAction', 'NotFound', () => people.giveRoleAction({ accountId: t.partner, role: 'visitor' })],
    ['removeMemberAction', 'NotFound', () => people.removeMemberAction({ accountId: t.partner })],
    ['makeWorkLinkAction', 'NotFound', () => makeWorkLinkAction({ ...t.workLink, id: id() })],
    ['endWorkLinkAction', 'NotFound', () => endWorkLinkAction({ id: t.workLink.id })],
    ['backUpNowAction', 'nothing', () => backUpNowAction()],
    ['openStudioAction', 'NotFound', () => openStudioAction({ studioId: t.studioId })],
    ['foundStudioAction', 'Conflict', () => foundStudioAction({ id: t.studioId, name: 'Mine' })],
    ['leaveStudioAction', 'Conflict', () => leaveStudioAction({ sure: true })],
    // These make something of one's own under an id that another studio uses: theirs stays theirs.
    ['countDropsAction', 'nothing', () => countDropsAction({ ...t.dropper, name: 'Mine' })],
    ['saveSurfaceAction', 'nothing', () => surfaces.saveSurfaceAction({ ...t.canvas, name: 'Mine' })],
    ['saveRecipeAction', 'nothing', () => recipes.saveRecipeAction({ ...t.recipe, ...r, name: 'Mine' })],
    ['saveWorkAction', 'nothing', () => saveWorkAction({ ...t.work, revision: 1, title: 'Mine' })],
    ['saveCupAction', 'nothing', () => room.saveCupAction({ ...t.cup, name: 'Mine' })],
    ['savePlaceAction', 'nothing', () => room.savePlaceAction({ ...t.place, name: 'Mine' })],
    ['saveTechniqueAction', 'nothing', () => saveTechniqueAction({ ...t.technique, name: 'Mine' })],
  ]
}
