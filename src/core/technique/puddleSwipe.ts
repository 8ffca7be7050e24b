import type { Technique } from './technique'

export const puddleSwipe: Technique = {
  key: 'puddle-swipe',
  name: 'Puddles and swipe',
  levelTimeS: [0.5, 1.5],
  cups: ['puddles', 'poured out'],
  needs: ['swipe'],
  forbids: [],
  silicone: 'possible',
  heat: 'possible',
  tools: ['palette knife, card or damp sheet', 'skewer or stick'],
  waits: [{ what: 'cells open after the swipe', minutes: 2 }],
  cells: true,
  runOffShare: 0.3,
  cautions: ['torch'],
  gives: 'pools drawn out under a lace of the swipe colour',
}
