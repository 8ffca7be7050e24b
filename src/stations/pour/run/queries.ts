import { mixFacts } from '@/core/mix/mixFacts'
import { judgeWater } from '@/core/mix/waterLimit'
import { groupBy } from '@/core/groupBy'
import type { TechniqueBook } from '@/core/technique/techniques'
import { factsFromTexts, needsOf } from '@/core/vessel/needs'
import type { Read } from '@/core/vessel/thickening'
import { bottlesInUse, listJars, portionsOf } from '@/db/bottles/read'
import { listWaters } from '@/db/materials/mixable'
import { studioFacts, type StudioFacts } from '@/db/people/studio'
import type { DriedFilm } from '@/core/learning/crackRisk'
import { driedFilms } from '@/core/learning/driedFilms'
import { pouredFacts } from '@/db/learning/pieces'
import { dryingPlaces, roomFacts } from '@/db/room/read'
import { findRun, remediesFared, squeezesWeighed } from '@/db/runs/read'
import { techniqueBook } from '@/db/techniques/read'
import type { Tx } from '@/db/base/withStudio'
import { dayAndTime } from '@/ui/tables/dates'
import type { RunDesk, TableBottle } from './desk'

/** Everything the screen of a run works with. @throws NotFound */
export async function runDesk(tx: Tx, id: string): Promise<RunDesk> {
  const run = await findRun(tx, id)
  const studio = await studioFacts(tx)
  const techniques = await techniqueBook(tx)
  const room = await roomFacts(tx)
  return {
    run,
    bottles: await tableBottles(tx, studio, techniques),
    jars: await listJars(tx),
    waters: (await listWaters(tx)).map(({ id: water, name }) => ({ id: water, name })),
    places: (await dryingPlaces(tx)).map((p) => p.name),
    fared: await remediesFared(tx),
    squeezed: await squeezesWeighed(tx),
    celsius: room.celsius,
    humidity: room.humidity,
    units: studio.units,
    now: Date.now(),
  }
}

/** The studio's own films, for what a film's risk is learned from: every piece is read for it. @throws NotFound for another studio's run */
export async function runFilms(tx: Tx, id: string): Promise<DriedFilm[]> {
  await findRun(tx, id)
  return driedFilms(await pouredFacts(tx, await techniqueBook(tx)))
}

/** Every bottle that may be reached for, with what it needs first. */
async function tableBottles(tx: Tx, { water, zone }: StudioFacts, techniques: TechniqueBook): Promise<TableBottle[]> {
  const bottles = await bottlesInUse(tx)
  const held = groupBy(
    await portionsOf(
      tx,
      bottles.map((b) => b.id),
    ),
    (p) => p.vesselId,
  )
  const now = Date.now()
  return bottles.map((b) => {
    const portions = held.get(b.id) ?? []
    const roomUl = portions.length ? judgeWater(portions, water).roomUl : 0
    const needs = needsOf({ ...factsFromTexts(b, now, techniques), roomUl }, now, (at) => dayAndTime(at, zone))
    return {
      id: b.id,
      code: b.code,
      label: b.label,
      hex: b.hex ?? '#bdbdbd',
      sheen: b.sheen,
      role: b.role,
      ul: b.ul,
      densityGPerMl: mixFacts(portions).densityGPerMl,
      flow: { ...readOf(b), readAt: b.readAt === null ? null : Date.parse(b.readAt), roomUl },
      // How thick it is, is said against this pour and not against what it was mixed for.
      todo: [
        ...needs.filter((n) => n.kind !== 'low' && n.kind !== 'thickened').map(({ short, todo }) => ({ short, todo })),
        ...portions.flatMap((p) =>
          p.lotFlag
            ? [
                {
                  short: `${p.material}: bad container`,
                  todo: `It holds ${p.material} from a container that was flagged: ${p.lotFlag}. Try it on card first.`,
                },
              ]
            : [],
        ),
      ],
      isReference: b.isReference,
      hasAdditive: b.hasAdditive,
    }
  })
}

const readOf = ({ ul, role, technique, levelTimeS, w, readW, curveB, thickens }: Read): Read => ({
  ...{ ul, role, technique, levelTimeS, w, readW, curveB, thickens },
})
