import type { Surface } from './shapes'
import { surfaceWords } from './words'

it.each([
  [{ shape: 'rectangle', lengthMm: 406.4, widthMm: 508 }, '40.6 × 50.8 cm · 16 × 20 in'],
  [{ shape: 'round', diameterMm: 300 }, 'round, 30 cm across'],
  [{ shape: 'ellipse', lengthMm: 300, widthMm: 200 }, 'oval, 30 × 20 cm · 11.8 × 7.9 in'],
  [{ shape: 'polygon', sides: 6, acrossMm: 245 }, '6 corners, 24.5 cm across'],
  [{ shape: 'tiles', lengthMm: 100, widthMm: 100, across: 3, down: 2, gapMm: 2 }, '3 × 2 tiles of 10 × 10 cm'],
  [
    {
      shape: 'profile',
      points: [
        { heightMm: 0, radiusMm: 40 },
        { heightMm: 200, radiusMm: 55 },
      ],
    },
    'vessel, 20 cm high and 11 cm wide',
  ],
  [{ shape: 'area', areaMm2: 61_200 }, '612 cm²'],
])('%j is “%s”', (s, words) => expect(surfaceWords({ edgeMm: 0, count: 1, ...s } as Surface)).toBe(words))
