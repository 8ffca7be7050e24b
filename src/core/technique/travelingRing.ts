import type { Technique } from './technique'

export const travelingRing: Technique = {
  key: 'traveling-ring',
  name: 'Traveling ring',
  levelTimeS: [0, 0.4],
  cups: ['traveling ring'],
  needs: ['base coat'],
  forbids: [],
  silicone: 'possible',
  heat: 'never',
  tools: ['cup without a bottom'],
  waits: [],
  cells: true,
  runOffShare: 0.3,
  cautions: [],
  gives: 'a wake of cells behind the ring',
}
