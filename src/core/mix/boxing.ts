import { deltaE00 } from '../colour/deltaE00'
import { mixToLab } from '../colour/mixColour'
import type { Optics } from '../colour/kubelkaMunk'
import type { Triple } from '../colour/srgb'

/** ΔE00 between containers below which they are one batch. */
export const ALIKE = 0.5
const MOST_PASSES = 20

export interface Boxing {
  /** How far the two most unlike containers are apart: before, then after each pass. */
  readonly apart: readonly number[]
  /** Passes until they are alike; undefined where twenty are not enough. */
  readonly passes: number | undefined
}

/** The largest ΔE00 among colours. */
export function farthestApart(labs: readonly Triple[]): number {
  let most = 0
  for (let i = 0; i < labs.length; i++)
    for (let j = i + 1; j < labs.length; j++) most = Math.max(most, deltaE00(labs[i]!, labs[j]!))
  return most
}

/**
 * How many passes of boxing make containers alike. One pass: from each container in turn pour a share into the next,
 * stir, and pour as much from the last back into the first. For two containers a difference falls by
 * (1 − f) / (1 + f) a pass.
 * @param optics what each container holds, as read
 * @param volumes of the containers, any unit
 * @param share how much of a container there is room to pour over, 0–1
 */
export function boxing(optics: readonly Optics[], volumes: readonly number[], share: number, limit = ALIKE): Boxing {
  const n = optics.length
  // Row i: how much of each original container is in container i.
  let holds = volumes.map((v, i) => volumes.map((_, k) => (i === k ? v : 0)))
  const apartNow = () => farthestApart(holds.map((row) => mixToLab(optics, row)))
  const apart = [apartNow()]
  while (apart.at(-1)! >= limit && apart.length <= MOST_PASSES) {
    holds = holds.map((row) => [...row])
    const poured = Math.min(...volumes) * share
    for (let i = 0; i < n; i++) {
      const [from, to] = [holds[i]!, holds[(i + 1) % n]!]
      const part = poured / from.reduce((a, b) => a + b, 0)
      for (let k = 0; k < n; k++) {
        to[k]! += part * from[k]!
        from[k]! *= 1 - part
      }
    }
    apart.push(apartNow())
  }
  return { apart, passes: apart.at(-1)! < limit ? apart.length - 1 : undefined }
}
