import { deltaE00 } from '../colour/deltaE00'
import { hexToLab, labToLch, labToSrgb } from '../colour/lab'
import { srgbToHex, type Triple } from '../colour/srgb'

/** What bottles become when they are poured together. Times in ms. */
export interface Kept {
  readonly ul: number
  readonly mixedAt: number
  readonly restUntil: number
  readonly keepUntil: number | null
  /** Water it lost and did not get back, ml per ml of what it holds. */
  readonly dryShare: number
}

/** A merged bottle is as old as its oldest part, keeps as long as its weakest and lacks the water they lack; it rests anew. */
export function combined(parts: readonly Kept[], now: number, restMs: number): Omit<Kept, 'ul'> {
  const filled = parts.filter((p) => p.ul > 0)
  const keeps = filled.flatMap((p) => (p.keepUntil === null ? [] : [p.keepUntil]))
  const ul = filled.reduce((sum, p) => sum + p.ul, 0)
  return {
    dryShare: filled.reduce((sum, p) => sum + p.ul * p.dryShare, 0) / ul,
    mixedAt: Math.min(...filled.map((p) => p.mixedAt)),
    restUntil: Math.max(now + restMs, ...filled.map((p) => p.restUntil)),
    keepUntil: keeps.length ? Math.min(...keeps) : null,
  }
}

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

/** The mean of colours by amount, in L*a*b*: what a pour looks like from across the room. Undefined without any. */
export function meanColour(colours: readonly { hex: string; amount: number }[]): string | undefined {
  const total = colours.reduce((s, c) => s + c.amount, 0)
  if (!(total > 0)) return undefined
  const lab = colours.reduce<Triple>(
    (sum, c) => {
      const l = hexToLab(c.hex)
      return [0, 1, 2].map((k) => sum[k]! + (c.amount * l[k]!) / total) as Triple
    },
    [0, 0, 0],
  )
  return srgbToHex(labToSrgb(lab))
}
