import type { Technique } from './technique'

export const puddles: Technique = {
  key: 'puddles',
  name: 'Puddles and swirl',
  levelTimeS: [1, 2],
  cups: ['puddles'],
  needs: [],
  forbids: [],
  silicone: 'possible',
  heat: 'possible',
  tools: ['skewer or stick'],
  waits: [],
  cells: false,
  runOffShare: 0.25,
  cautions: ['torch'],
  gives: 'pools that touch, turned into one another by hand',
}
