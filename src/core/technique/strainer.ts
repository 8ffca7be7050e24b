import type { Technique } from './technique'

export const strainer: Technique = {
  key: 'strainer',
  name: 'Through a strainer',
  levelTimeS: [1, 2],
  cups: ['strainer'],
  needs: [],
  forbids: [],
  silicone: 'possible',
  heat: 'possible',
  tools: ['strainer with a pattern', 'water beside it: it is rinsed at once'],
  waits: [{ what: 'drips from a vessel', minutes: 180 }],
  cells: false,
  runOffShare: 0.45,
  cautions: ['torch', 'vessel'],
  gives: 'flowers and facets; on vessels, streams down the side',
}
