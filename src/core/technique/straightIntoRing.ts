import type { Technique } from './technique'

export const straightIntoRing: Technique = {
  key: 'straight-into-ring',
  name: 'Straight, then rings',
  levelTimeS: [2, 4],
  cups: ['poured out'],
  needs: [],
  forbids: [],
  silicone: 'never',
  heat: 'possible',
  tools: ['narrow cup'],
  waits: [],
  cells: false,
  runOffShare: 0.28,
  cautions: ['torch'],
  gives: 'a calm ground with one heart of rings',
}
