import type { Technique } from './technique'

export const dutch: Technique = {
  key: 'dutch',
  name: 'Dutch pour',
  levelTimeS: [0, 0.4],
  cups: ['blow line', 'puddles'],
  needs: ['base coat'],
  forbids: [],
  silicone: 'possible',
  heat: 'never',
  tools: ['hair dryer with a cold setting', 'straw'],
  waits: [],
  cells: true,
  runOffShare: 0.35,
  cautions: ['blow'],
  gives: 'thin smoke-like wings over a plain ground',
}
