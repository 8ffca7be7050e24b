import { hexToLab, labToSrgb } from './lab'
import { srgbToHex, type Triple } from './srgb'

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
