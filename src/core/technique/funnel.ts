import type { Technique } from './technique'

export const funnel: Technique = {
  key: 'funnel',
  name: 'Funnel',
  levelTimeS: [2, 4],
  cups: ['funnel'],
  needs: ['base coat'],
  forbids: [],
  silicone: 'possible',
  heat: 'possible',
  tools: ['funnel', 'stand or a second pair of hands'],
  waits: [],
  cells: true,
  runOffShare: 0.3,
  cautions: ['torch'],
  gives: 'fine rings, thinner than those of a cup',
}
