import type { Technique } from './technique'

export const ring: Technique = {
  key: 'ring',
  name: 'Ring pour',
  levelTimeS: [3, 5],
  cups: ['poured out'],
  needs: [],
  forbids: [],
  silicone: 'never',
  heat: 'never',
  tools: ['narrow cup'],
  waits: [],
  cells: false,
  runOffShare: 0.25,
  cautions: [],
  gives: 'rings one in the other, like a cut stone',
}
