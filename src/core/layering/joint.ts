import type { PairVerdict } from '../colour/pairVerdicts'
import { deltaE00 } from '../colour/deltaE00'
import { pairMix, type Neighbour } from '../colour/mud'
import { isWhite } from '../colour/paintOptics'
import { isPink } from '../colour/pink'
import { anyFlakes } from '../paint/sheenOfMix'

/** A colour as it lies in a cup. */
export interface LayerColour extends Neighbour {
  /** g/ml, wet. */
  readonly densityGPerMl: number
}

/** What a joint of two layers is judged by; all of them start values of Fika. */
export const JOINT = {
  mud: 2,
  tint: 1.2,
  /** ΔE00 below which two neighbours begin to look like one. */
  contrastBelow: 20,
  contrast: 0.8,
  /** Per unit of Atwood number, and at most. */
  cells: 6,
  cellsMost: 0.5,
  never: 5,
  together: -0.6,
  surprising: -0.3,
  same: 10,
} as const

export interface Joint {
  /** What it costs; below zero it is wanted. */
  readonly cost: number
  /** The weightiest thing to say of it. */
  readonly word: JointWord
  /** What runs into what there becomes, `#rrggbb`. */
  readonly hex: string
  /** Share of a colour's chroma that is kept where the two mix. */
  readonly chromaKept: number
  readonly contrast: number
  /** (upper − lower) / (upper + lower) of their densities: above zero the heavier lies on top. */
  readonly atwood: number
}

export const JOINT_WORDS = {
  same: 'the same colour twice is one layer',
  never: 'you said: never beside each other',
  together: 'you said: always side by side',
  surprising: 'you said: surprisingly good',
  mud: 'goes muddy',
  tint: 'goes pink',
  faint: 'little between them',
  cells: 'heavier on lighter: may open cells',
  clean: 'stays clean',
} as const
export type JointWord = keyof typeof JOINT_WORDS

/**
 * What becomes of two layers that touch. Mud and tint only where pigment meets pigment: flakes are buffers. The
 * maker's own word outranks all of it. Heavier over lighter overturns (Rayleigh and Taylor); only its order is used.
 * @param lower the layer beneath, as they lie on the surface or in the standing cup
 */
export function judgeJoint(
  lower: LayerColour,
  upper: LayerColour,
  word: PairVerdict | undefined,
  cellsWanted: boolean,
): Joint {
  const mix = pairMix(lower, upper)
  const contrast = deltaE00(lower.lab, upper.lab)
  const atwood = (upper.densityGPerMl - lower.densityGPerMl) / Math.max(1e-9, upper.densityGPerMl + lower.densityGPerMl)
  const faint = JOINT.contrast * Math.max(0, 1 - contrast / JOINT.contrastBelow)
  const drive = cellsWanted ? Math.min(JOINT.cellsMost, Math.max(0, JOINT.cells * atwood)) : 0
  const pink = !anyFlakes(lower, upper) && isWhite(lower.lab) !== isWhite(upper.lab) && isPink(mix.lab)
  const muddied = mix.muddy ? JOINT.mud * (1 - mix.chromaKept) : 0
  const facts = { hex: mix.hex, chromaKept: mix.chromaKept, contrast, atwood }
  if (word) return { ...facts, cost: JOINT[word] + faint - drive, word }
  const cost = muddied + (pink ? JOINT.tint : 0) + faint - drive
  const said: JointWord = muddied > 0 ? 'mud' : pink ? 'tint' : faint > 0.2 ? 'faint' : drive > 0.1 ? 'cells' : 'clean'
  return { ...facts, cost, word: said }
}
