import type { PlanBottle } from '@/core/plan/bottle'
import { mixFacts } from '@/core/mix/mixFacts'
import { judgeWater } from '@/core/mix/waterLimit'
import { amountsOfPieces, SHARE_SPREAD, sharesKept } from '@/core/learning/amountsOfPieces'
import { driedFilms } from '@/core/learning/driedFilms'
import { amountLine, learnAmounts } from '@/core/learning/learnedAmount'
import { pooledMeans } from '@/core/learning/pooled'
import { wouldTeach } from '@/core/learning/tracedFaults'
import type { PouredFacts } from '@/core/learning/pouredFacts'
import { costOf } from '@/core/purchase/cost'
import { groupBy } from '@/core/groupBy'
import { scheduleAll, type Job } from '@/core/schedule/backwards'
import type { TechniqueBook } from '@/core/technique/techniques'
import { bottlesInUse, portionsOf, type BottleFull, type LotPortion } from '@/db/bottles/read'
import { listFormulas } from '@/db/formulas/formulas'
import { makersWord } from '@/db/materials/makersWord'
import { studioFacts, type StudioFacts } from '@/db/people/studio'
import { pouredFacts } from '@/db/learning/pieces'
import { houseWords } from '@/db/people/houseWords'
import { listPlans, openTakes, type PlanWithParts } from '@/db/plans/read'
import { listRecipes } from '@/db/recipes/recipes'
import { cupSizes, dryingPlaces, roomFacts } from '@/db/room/read'
import { listSurfaces } from '@/db/surfaces/read'
import { techniqueBook } from '@/db/techniques/read'
import { listWorks } from '@/db/works/read'
import type { Tx } from '@/db/base/withStudio'
import type { DeskFacts } from './deskFacts'
import { openingHours, placesOf } from './openingHours'
import { planJob, type DatedRoom } from './planJob'

/** Bottles one can plan with, each with all a plan asks of it. */
export async function planBottles(tx: Tx, facts: StudioFacts): Promise<PlanBottle[]> {
  const bottles = await bottlesInUse(tx)
  const byVessel = groupBy(
    await portionsOf(
      tx,
      bottles.map((b) => b.id),
    ),
    (p) => p.vesselId,
  )
  return bottles.map((b) => planBottle(b, byVessel.get(b.id) ?? [], facts))
}

const ms = (text: string | null) => (text === null ? null : Date.parse(text))

function planBottle(b: BottleFull, portions: readonly LotPortion[], { water }: StudioFacts): PlanBottle {
  const parts = b.recipe.paints.reduce((all, m) => all + m.parts, 0)
  return {
    ...b,
    mixedAt: Date.parse(b.mixedAt),
    restUntil: Date.parse(b.restUntil),
    keepUntil: ms(b.keepUntil),
    movedAt: ms(b.movedAt),
    readAt: ms(b.readAt),
    roomUl: portions.length ? judgeWater(portions, water).roomUl : 0,
    ...mixFacts(portions),
    costPerMl: b.ul > 0 ? (costOf(portions).minor * 1000) / b.ul : 0,
    badLots: portions.flatMap((p) => (p.lotFlag ? [{ name: p.material, flag: p.lotFlag }] : [])),
    paints: b.recipe.paints.map((m) => ({ id: m.materialId, share: parts > 0 ? m.parts / parts : 0 })),
  }
}

/**
 * Everything the plan desk works with, read once.
 * @param ideas with what would teach most
 * @param known what was poured, where somebody has read it already
 */
export async function deskFacts(
  tx: Tx,
  planId: string | null,
  { ideas = false, known }: { ideas?: boolean; known?: readonly PouredFacts[] } = {},
): Promise<DeskFacts> {
  const studio = await studioFacts(tx)
  const bottles = await planBottles(tx, studio)
  const [techniques, room, works] = [await techniqueBook(tx), await roomFacts(tx), await listWorks(tx)]
  const [cups, places] = [await cupSizes(tx), await dryingPlaces(tx)]
  const plans = (await listPlans(tx)).filter((p) => !p.pouredAt && p.id !== planId)
  const pieces = known ?? (await pouredFacts(tx, techniques))
  const sizes = cups.map((c) => c.sizeUl)
  return {
    studio: { units: studio.units, currency: studio.currency, zone: studio.zone, waterDropUl: studio.drops.water },
    bottles,
    formulas: (await listFormulas(tx)).map(({ id, name, versions: [v] }) => ({
      id,
      name,
      hex: v?.dryHex ?? v?.targetHex ?? null,
    })),
    recipes: (await listRecipes<unknown>(tx)).map(({ id, name }) => ({ id, name })),
    cups,
    places,
    room,
    works,
    surfaces: await listSurfaces(tx),
    word: await makersWord(tx),
    takes: (await openTakes(tx)).filter((t) => t.planId !== planId),
    jobs: jobsOf(plans, techniques, {
      bottles: new Map(bottles.map((b) => [b.id, b])),
      works,
      room,
      zone: studio.zone,
      sizes,
    }),
    dried: driedFilms(pieces),
    learned: learnedLines(pieces),
    wouldTeach: ideas ? wouldTeach(pieces, techniques) : [],
    keeps: pooledMeans(sharesKept(pieces), SHARE_SPREAD).groups,
    lessons: lessonsOf(pieces),
    houseWords: await houseWords(tx),
    now: Date.now(),
  }
}

/** The newest "next time" of each technique. */
function lessonsOf(pieces: readonly PouredFacts[]): DeskFacts['lessons'] {
  const of = new Map<string, DeskFacts['lessons'][number]>()
  for (const { technique, title, nextTime } of pieces)
    if (nextTime && !of.has(technique)) of.set(technique, { technique, title, nextTime })
  return [...of.values()]
}

/** Open plans as jobs; one whose technique has been taken off the list is left out of the schedule. */
function jobsOf(plans: readonly PlanWithParts[], techniques: TechniqueBook, among: DatedRoom): Job[] {
  return plans.flatMap((p) => {
    const technique = techniques.find(p.technique)
    return technique ? planJob(p, technique, among) : []
  })
}

/** Pieces of a technique from which on its own factor is offered. Start value of Fika. */
const ENOUGH = 3

/** What techniques were seen to need, those with enough pieces. */
function learnedLines(pieces: readonly PouredFacts[]): DeskFacts['learned'] {
  const learned = learnAmounts(amountsOfPieces(pieces))
  return learned.techniques.map((t) => amountLine(learned, t)).filter((l) => l.ofTechnique >= ENOUGH)
}

/** Everything the list of works shows: works, plans, dates of the open ones, places, and what a new studio has done. */
export async function worksFacts(tx: Tx, now: number) {
  const studio = await studioFacts(tx)
  const [works, plans, techniques] = [await listWorks(tx), await listPlans(tx), await techniqueBook(tx)]
  const [places, room, cups] = [await dryingPlaces(tx), await roomFacts(tx), await cupSizes(tx)]
  const bottles = await planBottles(tx, studio)
  const sizes = cups.map((c) => c.sizeUl)
  const open = plans.filter((p) => !p.pouredAt)
  const jobs = jobsOf(open, techniques, {
    bottles: new Map(bottles.map((b) => [b.id, b])),
    works,
    room,
    zone: studio.zone,
    sizes,
  })
  const scheduled = scheduleAll(jobs, placesOf(places), now, openingHours(room, studio.zone))
  return { studio, works, plans, techniques, places, scheduled }
}
