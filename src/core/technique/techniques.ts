/** A way of pouring, and the level time it wants. */
export interface Technique {
  readonly key: string
  readonly name: string
  /** Seconds until flat, least and most. Start values of Fika, editable. */
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

/** The technique a choice begins with where nobody has chosen. */
export const USUAL_TECHNIQUE = 'straight'

/** The technique of a key; undefined where none has it, and then nothing is wanted of a mix. */
export const techniqueOf = (key: string): Technique | undefined => TECHNIQUES.find((t) => t.key === key)

/** A technique's name; the key itself where it is none of ours. */
export const techniqueName = (key: string): string => techniqueOf(key)?.name ?? key
