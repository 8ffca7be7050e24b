import type { Technique } from './technique'

export const flipCup: Technique = {
  key: 'flip-cup',
  name: 'Flip cup',
  levelTimeS: [1, 1.5],
  cups: ['flipped'],
  needs: [],
  forbids: [],
  silicone: 'possible',
  heat: 'possible',
  tools: ['flat card to flip with'],
  waits: [{ what: 'cup stands upside down', minutes: 2 }],
  cells: true,
  runOffShare: 0.3,
  cautions: ['torch'],
  gives: 'cells and blooms from one heart, the bottom of the cup on top',
}
