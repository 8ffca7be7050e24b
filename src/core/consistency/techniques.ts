/** Wanted level time by technique, seconds until flat. Common practice, no published source; editable start values. */
export interface Technique {
  readonly key: string
  readonly name: string
  readonly levelTimeS: readonly [number, number]
}

export const TECHNIQUES: readonly Technique[] = [
  { key: 'ring', name: 'Ring or tree-ring pour', levelTimeS: [3, 5] },
  { key: 'open-cup', name: 'Open cup or funnel', levelTimeS: [2, 4] },
  { key: 'straight', name: 'Straight pour', levelTimeS: [1, 2] },
  { key: 'flip-cup', name: 'Flip cup', levelTimeS: [1, 1.5] },
  { key: 'swipe', name: 'Swipe or puddle and swipe', levelTimeS: [0.5, 1.5] },
  { key: 'blow-out', name: 'Blow-out or cells-first', levelTimeS: [0, 0.4] },
]

/** The technique of a key; the straight pour when the key is unknown. */
export const technique = (key: string): Technique => TECHNIQUES.find((t) => t.key === key) ?? TECHNIQUES[2]!
