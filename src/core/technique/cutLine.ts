import type { Technique } from './technique'

export const cutLine: Technique = {
  key: 'cut-line',
  name: 'Cut line after',
  levelTimeS: [2, 4],
  cups: ['poured out'],
  needs: [],
  forbids: [],
  silicone: 'never',
  heat: 'never',
  tools: ['skewer or knife, wiped after each line'],
  waits: [{ what: 'settles before the line is cut', minutes: 3 }],
  cells: false,
  runOffShare: 0.25,
  cautions: [],
  gives: 'rings with one or a few clean lines drawn through',
}
