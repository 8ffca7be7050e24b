import type { Technique } from './technique'

export const treeRing: Technique = {
  key: 'tree-ring',
  name: 'Tree-ring pour',
  levelTimeS: [3, 5],
  cups: ['poured out'],
  needs: [],
  forbids: [],
  silicone: 'never',
  heat: 'never',
  tools: ['narrow cup with a lip'],
  waits: [],
  cells: false,
  runOffShare: 0.25,
  cautions: [],
  gives: 'fine, wavering rings round one heart, the last colour outermost in the hand and innermost on the board',
}
