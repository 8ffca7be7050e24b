import { v7 as uuidv7 } from 'uuid'
import { START_SECONDS_PER_NU } from '@/core/consistency/flowCup'
import type { Sheen } from '@/core/paint/properties'
import { planAmounts } from '@/core/plan/amounts'
import { sourceKey } from '@/core/plan/design'
import { heldPath, slopesOf } from '@/core/tilt/hand'
import { toldOf } from '@/core/tilt/kept'
import { rehearsalOf } from '@/core/tilt/ofPlan'
import { Rehearsal } from '@/core/tilt/rehearsal'
import { findPlan } from '@/db/plans/read'
import type { PlanInput } from '@/db/plans/schema'
import { keepRehearsal } from '@/db/rehearsals/write'
import { ofBottle, simpleDesign } from '@/core/plan/simpleDesign'
import { SHIPPED } from '@/core/technique/techniques'
import type { Surface } from '@/core/surface/shapes'
import { pourUl } from '@/core/surface/coverage'
import type { Tx } from '@/db/base/withStudio'
import { wasteRunOff } from '@/db/ledger'
import { pourPlan } from '@/db/pieces/pour'
import { noteCoat } from '@/db/pieces/finish'
import { noteLook, notePiece } from '@/db/pieces/write'
import { savePlan } from '@/db/plans/write'
import { beginTrial, endTrial, sayOfTrial } from '@/db/trials/write'
import { studies, type Study } from '../tests/support/learning/studies'
import { drawn } from './drawn'
import { planOf } from './plans'
import { readByWatch } from './timing'
import type { DemoBottle } from './work'

const flow = [['Kvarnby Flow', 1]] as const
const both = [
  ['Kvarnby Flow', 1],
  ['Torvald Gloss 40', 1],
] as const

/** Bottles the studies of last year were poured from, by the colour they are in the simulation; empty since. */
// prettier-ignore
export const EARLIER: readonly (DemoBottle & { readonly colour: string })[] = [
  { colour: 'black', label: 'Soot black, spring', formula: [['Lamp Soot', 1]], mediums: both, ratio: [1, 3, 0.3], ml: 250, holds: 355, daysAgo: 236 },
  { colour: 'navy', label: 'Ferry navy, spring', formula: [['Ferry Navy', 1]], mediums: both, ratio: [1, 2, 0.2], ml: 420, holds: 480, daysAgo: 235 },
  { colour: 'teal', label: 'Canal teal, spring', formula: [['Canal Teal', 1]], mediums: flow, ratio: [1, 2.6, 0.2], ml: 400, holds: 500, daysAgo: 234, mediumOff: 1.22 },
  { colour: 'white', label: 'Sluice white, spring', formula: [['Sluice White', 1]], mediums: flow, ratio: [1, 2, 0.25], ml: 420, holds: 480, daysAgo: 233 },
  { colour: 'gold', label: 'Lamp gold, spring', formula: [['Old Gold', 1]], mediums: both, ratio: [1, 1.5, 0.1], ml: 420, holds: 480, daysAgo: 233 },
  { colour: 'plum', label: 'Plum, spring', formula: [['Plum Shed', 1]], mediums: flow, ratio: [1, 3, 0.3], ml: 420, holds: 480, daysAgo: 232, mediumOff: 0.76 },
]
/** Containers these were mixed from, ml and minor units; finished since. */
export const SPRING_CONTAINERS: readonly (readonly [string, number, number])[] = [
  ['Ferry Navy', 150, 1240],
  ['Canal Teal', 120, 990],
  ['Sluice White', 150, 870],
  ['Old Gold', 180, 3870],
  ['Plum Shed', 120, 2580],
  ['Kvarnby Flow', 1250, 1970],
  ['Torvald Gloss 40', 400, 1140],
]
/** What stuck in each, ml at the most. */
export const STUCK_ML = 6
const COUNT = 32
const FIRST_DAY = 228
const EVERY_DAYS = 3
const PANEL: Surface = { shape: 'rectangle', lengthMm: 150, widthMm: 200, edgeMm: 12, count: 1 }
const EDGES = (2 * 12 * (150 + 200)) / (150 * 200)
const SEED = 3
/** What each study's panel cost, minor units. */
const PANEL_MINOR = 190
const NEXT: readonly string[] = [
  'leave the black out',
  'a drop thinner',
  'two minutes longer before tilting',
  'smaller cup, higher',
]

/** A year of studies, made up by the simulation the learning is tested with: the black craters, thick films craze. */
export async function canalStudies(
  by: () => Tx,
  bottles: ReadonlyMap<string, string>,
  at: (daysAgo: number) => Date,
): Promise<void> {
  const vessel = new Map(EARLIER.map((b) => [b.colour, bottles.get(b.label)!]))
  const made = studies(SEED, COUNT, [...vessel.keys()], EDGES)
  for (const [i, study] of made.entries()) await pourStudy(by(), i, study, vessel, at)
}

async function pourStudy(
  tx: Tx,
  i: number,
  study: Study,
  vessel: ReadonlyMap<string, string>,
  at: (daysAgo: number) => Date,
): Promise<void> {
  const daysAgo = FIRST_DAY - EVERY_DAYS * i
  const title = `Canal study ${i + 1}`
  const pouredUl = Math.round(study.ofRule * pourUl(PANEL, { kind: 'rule-of-28' }))
  const design = simpleDesign(
    {
      surface: PANEL,
      kind: SHIPPED.of(study.technique).cups[0],
      eachMinor: PANEL_MINOR,
      cup: study.colours.map((c, k) => ({ of: ofBottle(vessel.get(c)!), share: k === 0 ? 2 : 1 })),
    },
    uuidv7,
  )
  const plan = planOf(title, study.technique, null, 'test', { ...design, school: { kind: 'own', ul: pouredUl } })
  await savePlan(tx, plan)
  const [pieceId, vesselId] = [uuidv7(), uuidv7()]
  const parts = study.colours.map((_, k) => (k === 0 ? 2 : 1))
  const sum = parts.reduce((s, p) => s + p, 0)
  const takes = study.colours.map((c, k) => ({
    vesselId: vessel.get(c)!,
    ul: Math.round((pouredUl * parts[k]!) / sum),
  }))
  const pouredAt = at(daysAgo)
  if (REHEARSED_STUDIES.includes(i)) await rehearseStudy(tx, plan, at(daysAgo + 0.1))
  const [first] = study.colours
  await timedBefore(tx, first!, vessel.get(first!)!, daysAgo, at)
  await pourPlan(tx, { requestId: uuidv7(), planId: plan.id, pieceId, vesselId, takes, findRest: true }, pouredAt)
  const total = takes.reduce((s, t) => s + t.ul, 0)
  await wasteRunOff(tx, {
    requestId: uuidv7(),
    from: [{ vesselId, ul: Math.round(total * (1 - study.kept)) }],
    at: pouredAt,
  })
  await tx.q(`update piece set stayed_how = 'weighed' where studio_id = $1 and id = $2`, [tx.studioId, pieceId])
  const sold = study.rating >= 4 && i % 3 === 0
  await notePiece(tx, {
    id: pieceId,
    revision: 1,
    title,
    nextTime: i % 8 === 5 ? NEXT[(i >> 3) % NEXT.length]! : '',
    up: 0,
    fate: sold ? 'sold' : study.rating >= 3 ? 'keep' : 'scrap',
    fateOn: null,
    priceMinor: sold ? 3500 + 500 * study.rating : null,
    fateTo: sold ? 'the lock-side market' : '',
    fateReason: '',
  })
  if (sold) await varnished(tx, pieceId, at(daysAgo - 16))
  await noteLook(
    tx,
    {
      pieceId,
      moment: 'dry',
      revision: 0,
      words: study.faults.length ? `Dry. ${study.faults.join(', ')}.` : 'Dry, clean.',
      rating: study.rating,
      weak: [],
      best: null,
      faults: study.faults.map((fault) => ({ fault, spots: [], much: 2 })),
    },
    null,
    at(daysAgo - 4),
  )
}

/** Studies from open cups that were rehearsed before they were poured. */
const REHEARSED_STUDIES: readonly number[] = [17, 21, 25, 29]
/** The hand they were rehearsed with: corners one after the other. */
const STUDY_HAND = heldPath([
  { x: 0, y: 0, seconds: 2 },
  { x: -6, y: -6, seconds: 3 },
  { x: 6, y: -6, seconds: 3 },
  { x: 6, y: 6, seconds: 3 },
  { x: -5, y: 6, seconds: 2 },
])
const STUDY_WIDTH_PX = 320

/** Rehearses a study and keeps it with its plan, as the screen does. */
async function rehearseStudy(tx: Tx, plan: PlanInput, at: Date): Promise<void> {
  const surfaceId = plan.design.surfaces[0]!.id
  const parts = new Map((await findPlan(tx, plan.id)).parts.map((p) => [sourceKey(p.of), p]))
  const { task, of } = rehearsalOf(plan.design, planAmounts(plan.design), surfaceId, (o) => {
    const part = parts.get(sourceKey(o))!
    const { colour } = EARLIER.find((b) => b.label === part.label)!
    return { hex: part.hex!, sheen: part.sheen as Sheen, nu: SPRING_LEVEL_S[colour]! / START_SECONDS_PER_NU }
  })
  const rehearsal = new Rehearsal(task, 4, { seed: 1 })
  rehearsal.advance(STUDY_HAND.at(-1)!.t + 1, slopesOf(STUDY_HAND))
  const { picture, width, height } = drawn(rehearsal, STUDY_WIDTH_PX)
  const named = of.map((o, i) => {
    const { hex, label } = parts.get(sourceKey(o))!
    return { of: o, hex: hex!, label, nu: task.colours[i]!.nu }
  })
  await keepRehearsal(tx, {
    id: uuidv7(),
    planId: plan.id,
    surfaceId,
    path: STUDY_HAND,
    told: toldOf(rehearsal.readings(), named),
    width,
    height,
    image: await picture.jpeg().toBuffer(),
    at,
  })
}

/** Level times of the spring bottles when they were mixed, s; each became thicker by this a day. */
const SPRING_LEVEL_S: Readonly<Record<string, number>> = {
  black: 2.4,
  navy: 1.5,
  teal: 1.9,
  white: 1.1,
  gold: 3.4,
  plum: 0.9,
}
const THICKER_A_DAY = 0.002

/** A bottle is timed before it is poured, three tries by the watch. */
async function timedBefore(
  tx: Tx,
  colour: string,
  vesselId: string,
  daysAgo: number,
  at: (daysAgo: number) => Date,
): Promise<void> {
  const age = EARLIER.find((b) => b.colour === colour)!.daysAgo - daysAgo
  const seconds = SPRING_LEVEL_S[colour]! * Math.exp(THICKER_A_DAY * age)
  const tries = [0.97, 1, 1.04].map((share) => Math.round(100 * share * seconds) / 100)
  await readByWatch(tx, vesselId, tries, at(daysAgo + 0.02))
}

/** A coat of varnish on what was sold, a fortnight after the pour. */
async function varnished(tx: Tx, pieceId: string, at: Date): Promise<void> {
  await noteCoat(tx, {
    id: uuidv7(),
    pieceId,
    kind: 'varnish',
    product: 'Torvald Gloss Varnish',
    lots: '',
    coats: 2,
    doneOn: at.toISOString().slice(0, 10),
    cleanedSilicone: false,
    allTheSame: false,
    costMinor: 85,
    words: '',
  })
}

/** Two trials on cards: one that has said enough, one that has only begun. */
export async function cardTrials(by: () => Tx, materials: ReadonlyMap<string, string>): Promise<void> {
  const tx = by()
  const shine = uuidv7()
  await beginTrial(tx, {
    id: shine,
    question: 'Does gloss medium in the mix make the gold shine more?',
    madeAs: 'cards',
    constants: 'Same gold, same size, same spoon; looked at dry, raked light.',
    criteria: ['gloss', 'cells'],
    isBlind: true,
    arms: [
      { what: 'half gloss medium', materialId: materials.get('Torvald Gloss 40')! },
      { what: 'conditioner only', materialId: null },
    ],
  })
  const say = (trialId: string, who: string, criterion: string, rows: readonly (readonly [number, number])[]) =>
    sayOfTrial(tx, {
      trialId,
      who,
      words: rows.flatMap(([a, b], i) => [
        { arm: 1, repeat: i + 1, criterion, value: a },
        { arm: 2, repeat: i + 1, criterion, value: b },
      ]),
    })
  // prettier-ignore
  await say(shine, 'Ilse', 'gloss', [[3, 1], [3, 2], [2, 1], [3, 1], [3, 1], [2, 0]])
  // prettier-ignore
  await say(shine, 'Tobiah', 'gloss', [[3, 2], [2, 1], [3, 1], [2, 1], [3, 2], [3, 1]])
  // prettier-ignore
  await say(shine, 'Ilse', 'cells', [[1, 2], [2, 2], [1, 1], [2, 1], [1, 2], [1, 1]])
  await endTrial(tx, {
    id: shine,
    revision: 1,
    said: 'It shines, and costs no cells that we could see.',
    isEnded: true,
  })
  const black = uuidv7()
  await beginTrial(tx, {
    id: black,
    question: 'Does Lamp Soot make craters?',
    madeAs: 'cards',
    constants: 'Navy and white beside it, same cup, same hand.',
    criteria: ['craters'],
    isBlind: false,
    arms: [
      { what: 'with Lamp Soot', materialId: materials.get('Lamp Soot')! },
      { what: 'without', materialId: null },
    ],
  })
  // prettier-ignore
  await say(black, 'Runa', 'craters', [[2, 0], [3, 0]])
}
