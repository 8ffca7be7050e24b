import type { Technique } from './technique'

export const pouredLine: Technique = {
  key: 'poured-line',
  name: 'Poured line over a lead-in',
  levelTimeS: [1.5, 3],
  cups: ['poured line'],
  needs: ['lead-in'],
  forbids: [],
  silicone: 'possible',
  heat: 'possible',
  tools: ['narrow cup with a lip', 'ruler'],
  waits: [],
  cells: false,
  runOffShare: 0.25,
  cautions: ['torch'],
  gives: 'a river of colours across a quiet ground',
}
