import { daysBetween, START_AGEING } from '../consistency/ageing'
import { undiluted } from '../consistency/reference'
import { aimOf } from '../consistency/waterAdvice'
import { wantedBand } from '../consistency/wanted'
import { SHIPPED, type TechniqueBook } from '../technique/techniques'
import type { Role } from '../paint/properties'

/** Where no curve is known, water thins about so quickly: b of ln t = a − b w. Start value of Fika. */
const USUAL_B = 12
/** This much past the band is worth drops. Start value of Fika. */
const PAST_BAND = 1.1

export interface Read {
  readonly ul: number
  readonly role: string
  /** What it is thinned for; null: anything. */
  readonly technique: string | null
  readonly levelTimeS: number | null
  readonly w: number
  /** Water on its curve when it was read. */
  readonly readW: number | null
  readonly curveB: number | null
  /** What ln of its level time rises by a day, see `Ageing`; null: the start value. */
  readonly thickens: number | null
}

export interface SinceRead {
  /** Its level time as it is now by the water it lost or was given and by standing, s; null where it was never read. */
  readonly expectedS: number | null
  /** What it should be for its technique and role, s; null where it has none. */
  readonly wantedS: readonly [number, number] | null
  /** Water that brings it there, µl; 0 where it is thin enough. */
  readonly thinUl: number
}

/**
 * What a bottle will be at a time, by the water it lost or was given and by standing, and the water that brings it into
 * a band.
 * @param readAt when it was read, ms since 1970; null where it never was
 * @param bandS wanted seconds; null: nothing is wanted of it
 */
export function thinTo(
  { ul, levelTimeS, w, readW, curveB, thickens }: Read,
  readAt: number | null,
  at: number,
  bandS: readonly [number, number] | null,
): { readonly expectedS: number | null; readonly waterUl: number } {
  if (levelTimeS === null || readW === null) return { expectedS: null, waterUl: 0 }
  const b = curveB ?? USUAL_B
  const expectedS =
    levelTimeS * Math.exp(b * (readW - w) + (thickens ?? START_AGEING.perDay) * daysBetween(readAt ?? at, at))
  if (!bandS || expectedS <= PAST_BAND * bandS[1]) return { expectedS, waterUl: 0 }
  return { expectedS, waterUl: Math.round((Math.log(expectedS / aimOf(bandS)) / b) * undiluted(w, ul)) }
}

/**
 * What a bottle has become since it was read, and the water that brings it to what it is meant for.
 * @param readAt when that was, ms since 1970; null where it was never read
 * @param techniques those of the studio
 */
export function sinceRead(
  read: Read,
  readAt: number | null,
  now: number,
  techniques: TechniqueBook = SHIPPED,
): SinceRead {
  const meantFor = read.technique === null ? undefined : techniques.find(read.technique)
  const wantedS = meantFor ? wantedBand(meantFor, 'as usual', read.role as Role) : null
  const { expectedS, waterUl } = thinTo(read, readAt, now, wantedS)
  return { expectedS, wantedS, thinUl: waterUl }
}
