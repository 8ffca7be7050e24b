/** A fault of a dry piece and its usual causes. Common practice, no published source. */
export interface Fault {
  readonly key: string
  readonly name: string
  readonly causes: string
}

export const FAULTS: readonly Fault[] = [
  { key: 'mud', name: 'Mud', causes: 'neighbours that mix to grey, too thin, worked too much' },
  { key: 'pinholes', name: 'Pinholes', causes: 'not rested long enough, not torched' },
  {
    key: 'craters',
    name: 'Craters',
    causes: 'silicone or grease, or that very paint: see what the cratered pieces share',
  },
  { key: 'crazing', name: 'Crazing or cracks', causes: 'film too thick, too much water, weak binder, a fast skin' },
  { key: 'dull', name: 'Dull', causes: 'little pigment, milky medium' },
  { key: 'no-cells', name: 'No cells', causes: 'like densities, the medium, too thick, a paint that needs silicone' },
  { key: 'edge-loss', name: 'Colour lost over the edge', causes: 'tilted too far, too much paint' },
  { key: 'stripes', name: 'Stripes only', causes: 'too thick' },
]
