import { writeUp, type WrittenPiece } from './writeUp'

const piece = (more: Partial<WrittenPiece> = {}): WrittenPiece => ({
  title: 'Night ferry',
  poured: '3 May 2026',
  technique: 'Ring',
  surface: { shape: 'rectangle', lengthMm: 200, widthMm: 150, edgeMm: 20, count: 1 },
  bottles: [],
  cups: [],
  filmMm: null,
  looks: [],
  faultNames: { dull: 'Dull' },
  finish: [],
  changed: '',
  nextTime: '',
  ...more,
})

describe('a write-up', () => {
  it('goes in the order of the maker', () => {
    const text = writeUp(
      piece({
        bottles: [
          {
            label: 'Night teal',
            ul: 60_000,
            paints: [
              { name: 'Canal Teal', maker: 'Kvarnby Colour', parts: 3 },
              { name: 'Ferry Navy', maker: 'Torvald Works', parts: 1 },
            ],
            mediums: [{ name: 'Kvarnby Flow', maker: 'Kvarnby Colour', parts: 1 }],
            ratio: [1, 2, 0.25],
            levelTimeS: 4.16,
          },
        ],
        cups: [{ name: 'Cup 1', layers: ['Night teal 30 ml', 'Lamp gold 6 ml'] }],
        filmMm: 1.24,
        looks: [
          {
            moment: 'dry',
            at: '2026-05-06T10:00:00Z',
            words: 'Rings stayed open.',
            rating: 4,
            weak: [],
            best: null,
            faults: [{ fault: 'dull', spots: ['top left', 'left'], much: 1 }],
            revision: 1,
          },
        ],
        finish: ['2 coats of Nimbus Clear, 20 May 2026'],
        changed: 'Cut a minute earlier.',
        nextTime: 'Less gold.',
      }),
    )
    expect(text).toBe(
      [
        'Night ferry, poured 3 May 2026',
        '',
        'Surface: 20 × 15 cm · 7.9 × 5.9 in',
        'Paints (paint : medium : water):',
        '  Night teal, 60\u00a0ml: Canal Teal (Kvarnby Colour), 3 and Ferry Navy (Torvald Works), 1; in Kvarnby Flow (Kvarnby Colour); 1 : 2 : 0.3; level in 4.2 s',
        'Cup 1, from the bottom: Night teal 30 ml, Lamp gold 6 ml',
        'Technique: Ring',
        'Left on it: 1.2 mm of wet film',
        'Changed: Cut a minute earlier.',
        'Seen dry: Rings stayed open. dull, a little (top left, left). 4 of 5',
        'Finish: 2 coats of Nimbus Clear, 20 May 2026',
        'Next time: Less gold.',
        '',
      ].join('\n'),
    )
  })
  it('leaves out what is not known', () => {
    const text = writeUp(
      piece({ bottles: [{ label: 'Base', ul: 5000, paints: [], mediums: [], ratio: null, levelTimeS: null }] }),
    )
    expect(text).toContain('  Base, 5\u00a0ml: no paint; without medium\n')
    for (const word of ['Left on it', 'Changed', 'Seen', 'Finish', 'Next time', 'Cup']) expect(text).not.toContain(word)
  })
})
