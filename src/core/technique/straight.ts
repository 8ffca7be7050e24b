import type { Technique } from './technique'

export const straight: Technique = {
  key: 'straight',
  name: 'Straight pour',
  levelTimeS: [1, 2],
  cups: ['poured out'],
  needs: [],
  forbids: [],
  silicone: 'possible',
  heat: 'possible',
  tools: ['stir stick'],
  waits: [],
  cells: false,
  runOffShare: 0.3,
  cautions: ['torch'],
  gives: 'calm areas, soft borders, what lies on top of the cup in the outside',
}
