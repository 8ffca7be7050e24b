declare module 'spectral.js' {
  export class Color {
    constructor(colour: string | number[])
    readonly sRGB: number[]
    readonly R: number[]
    readonly OKLab: number[]
    readonly luminance: number
  }
  /** Mixes colours by weight. */
  export function mix(...parts: [Color, number][]): Color
}
