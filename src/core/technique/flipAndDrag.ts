import type { Technique } from './technique'

export const flipAndDrag: Technique = {
  key: 'flip-and-drag',
  name: 'Flip and drag',
  levelTimeS: [1, 1.5],
  cups: ['flip and drag'],
  needs: ['base coat'],
  forbids: [],
  silicone: 'possible',
  heat: 'possible',
  tools: ['flat card to flip with'],
  waits: [{ what: 'cup stands upside down', minutes: 1 }],
  cells: true,
  runOffShare: 0.3,
  cautions: ['torch'],
  gives: 'a trail of cells along the way the cup went',
}
