import type { Technique } from './technique'

export const openCup: Technique = {
  key: 'open-cup',
  name: 'Open cup',
  levelTimeS: [2, 4],
  cups: ['open ring'],
  needs: ['base coat'],
  forbids: [],
  silicone: 'possible',
  heat: 'possible',
  tools: ['cup without a bottom'],
  waits: [{ what: 'paint runs out under the rim', minutes: 2 }],
  cells: true,
  runOffShare: 0.3,
  cautions: ['torch'],
  gives: 'petals round a ring, negative space about it',
}
