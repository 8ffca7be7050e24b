import { wAfter } from '../consistency/reference'
import { thinWithin } from '../consistency/waterAdvice'
import { thinTo, type Read } from '../vessel/thickening'
import type { Checked, Thinned } from './runState'

/** How a bottle flows as the books have it. */
export interface TableFlow extends Read {
  /** When it was read last, ms; null: never. */
  readonly readAt: number | null
  /** Water its limit leaves room for, µl. */
  readonly roomUl: number
}

/** What a bottle is at the table, and what brings it into the band of this pour. */
export interface TableAdvice {
  /** s; null where nobody ever timed it. */
  readonly expectedS: number | null
  readonly waterUl: number
  /** For what the limit leaves no room for, medium. */
  readonly mediumUl: number
  /** Thinner than wanted by more than a third: only unwatered mix helps. */
  readonly isThin: boolean
}

const THIN = 1.3

/**
 * A bottle as it stands at the table: by what was timed here, else by what the books expect; with the water that was
 * added here since.
 * @param check the last time it was timed here
 * @param thinned water added here, in any order
 */
export function tableAdvice(
  flow: TableFlow,
  check: Checked | undefined,
  thinned: readonly Thinned[],
  bandS: readonly [number, number],
  now: number,
): TableAdvice {
  const sum = (list: readonly Thinned[]) => list.reduce((ul, t) => ul + t.ul, 0)
  const addedUl = sum(thinned)
  const at = (ul: number) => wAfter(flow.w, flow.ul, ul)
  const timed = check?.levelTimeS ?? null
  const read: Read =
    check && timed !== null
      ? { ...flow, levelTimeS: timed, readW: at(sum(thinned.filter((t) => t.n < check.n))) }
      : flow
  const readAt = check && timed !== null ? check.at : flow.readAt
  const { expectedS, waterUl } = thinTo({ ...read, w: at(addedUl), ul: flow.ul + addedUl }, readAt, now, bandS)
  const { waterUl: water, mediumUl } = thinWithin(waterUl, Math.max(0, flow.roomUl - addedUl))
  return { expectedS, waterUl: water, mediumUl, isThin: expectedS !== null && expectedS < bandS[0] / THIN }
}
