import type { Technique } from './technique'

export const twoToneBase: Technique = {
  key: 'two-tone-base',
  name: 'Over a two-tone base',
  levelTimeS: [1, 2.5],
  cups: ['poured out', 'flipped', 'open ring'],
  needs: ['base coat'],
  forbids: [],
  silicone: 'possible',
  heat: 'possible',
  tools: ['straight card for the line between'],
  waits: [],
  cells: false,
  runOffShare: 0.3,
  cautions: ['torch'],
  gives: 'one pour that changes where it crosses from one ground to the other',
}
