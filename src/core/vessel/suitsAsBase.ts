import { deltaE00 } from '../colour/deltaE00'
import { hexToLab, labToLch } from '../colour/lab'

/** Below this chroma a colour lies under anything. */
const QUIET_CHROMA = 14
/** Nearer than this it disappears under the pour. */
const NEAR = 18

export interface Suits {
  readonly suits: boolean
  readonly deltaE: number
  readonly why: string
}

/** Whether a jar of run-off may lie under a pour: near the pour's own mean colour, or quiet enough for anything. */
export function suitsAsBase(jarHex: string, pourHex: string): Suits {
  const [jar, pour] = [hexToLab(jarHex), hexToLab(pourHex)]
  const deltaE = deltaE00(jar, pour)
  if (deltaE <= NEAR) return { suits: true, deltaE, why: 'near the colours of this pour' }
  if (labToLch(jar)[1] <= QUIET_CHROMA && Math.abs(jar[0] - pour[0]) <= 30)
    return { suits: true, deltaE, why: 'a quiet grey' }
  return { suits: false, deltaE, why: 'would show through at the edges' }
}
