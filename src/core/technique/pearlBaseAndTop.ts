import type { Technique } from './technique'

export const pearlBaseAndTop: Technique = {
  key: 'pearl-base-top',
  name: 'Pearl base and thin top',
  levelTimeS: [0.3, 0.8],
  cups: ['poured out', 'puddles'],
  needs: ['pearl base', 'top'],
  forbids: [],
  silicone: 'never',
  heat: 'possible',
  tools: ['wide spreader'],
  waits: [{ what: 'pearl rises', minutes: 30 }],
  cells: true,
  runOffShare: 0.5,
  cautions: ['torch'],
  gives: 'a thin veil of colour that opens over pearl; nearly all of the top runs off again',
}
