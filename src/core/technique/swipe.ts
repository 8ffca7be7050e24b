import type { Technique } from './technique'

export const swipe: Technique = {
  key: 'swipe',
  name: 'Swipe',
  levelTimeS: [0.5, 1.5],
  cups: ['puddles'],
  needs: ['swipe'],
  forbids: ['base coat'],
  silicone: 'possible',
  heat: 'possible',
  tools: ['palette knife, card or damp sheet'],
  waits: [{ what: 'cells open after the swipe', minutes: 2 }],
  cells: true,
  runOffShare: 0.3,
  cautions: ['torch'],
  gives: 'a veil of cells and lacing where the swipe colour was drawn over',
}
