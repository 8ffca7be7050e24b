import { mustBeNumbers } from '../mustBe'
import { THINNER_FACTS, type Thinner } from '../mix/thinners'
import type { MediumKind } from '../paint/properties'

/** Days a mix without any water keeps. Start value of Fika. */
const DRY_DAYS = 270
/** The shelf the days are meant for, °C. */
export const USUAL_RACK_C = 20
/** Every 10 °C warmer halves what keeps. Start value of Fika. */
const HALVED_BY_C = 10
/** Mediums that spoil sooner. Start values of Fika. */
const BY_MEDIUM: Readonly<Partial<Record<MediumKind, number>>> = { glue: 0.6, 'enamel or house paint': 0.8 }

export interface KeptMix {
  /** Kinds of water in it; null for one nobody described. */
  readonly thinners: readonly (Thinner | null)[]
  readonly mediums: readonly MediumKind[]
  /** °C of the shelf. */
  readonly rackC: number
}

/** Below this a cold rack may freeze on a cold night, °C; at frost itself a mix is spoiled. Start value of Fika. */
const CHILLY_C = 5

/**
 * Days a mix is expected to keep: its worst water, its worst medium, and how warm it stands. The nearer to frost, the
 * less there is to count on; in frost nothing.
 */
export function keepsDays({ thinners, mediums, rackC }: KeptMix): number {
  mustBeNumbers('The warmth of the rack', [rackC])
  if (rackC <= 0) return 0
  const water = Math.min(DRY_DAYS, ...thinners.map((t) => (t ? THINNER_FACTS[t].keepsDays : 30)))
  const medium = Math.min(1, ...mediums.map((m) => BY_MEDIUM[m] ?? 1))
  const warmth = Math.min(1, 2 ** ((USUAL_RACK_C - rackC) / HALVED_BY_C), rackC / CHILLY_C)
  return Math.max(1, Math.round(water * medium * warmth))
}
