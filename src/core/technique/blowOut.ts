import type { Technique } from './technique'

export const blowOut: Technique = {
  key: 'blow-out',
  name: 'Edge scatter and blow',
  levelTimeS: [0, 0.4],
  cups: ['blow line', 'puddles'],
  needs: ['base coat'],
  forbids: [],
  silicone: 'possible',
  heat: 'never',
  tools: ['straw', 'hair dryer'],
  waits: [],
  cells: true,
  runOffShare: 0.35,
  cautions: ['blow'],
  gives: 'petals and feathers blown out over a wet ground',
}
