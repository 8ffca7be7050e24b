/** Whether a paint makes cells in a pour. '' is: nobody has said. */
export const CELL_HABITS = ['by itself', 'with silicone', 'none'] as const
export const DRY_SHINES = ['matte', 'satin', 'glossy'] as const
/** Whether a thin layer lets what lies beneath be seen. */
export const SHOWS_BENEATH = ['yes', 'a little', 'no'] as const
export const GRADES = ['artist', 'student', 'craft'] as const
export type Grade = (typeof GRADES)[number]

/** How a paint pours, as the studio knows it by now; '' where nobody has said. */
export interface Pouring {
  readonly cells: string
  readonly dryShine: string
  readonly showsBeneath: string
  readonly grade: string
}

/** Each in words for a card and a filter. */
export const POURING_WORDS: Readonly<Record<keyof Pouring, { name: string; of: Readonly<Record<string, string>> }>> = {
  cells: {
    name: 'Cells',
    of: { 'by itself': 'makes cells by itself', 'with silicone': 'cells only with silicone', none: 'makes no cells' },
  },
  dryShine: { name: 'Dry shine', of: { matte: 'dries matte', satin: 'dries satin', glossy: 'dries glossy' } },
  showsBeneath: {
    name: 'Layers beneath',
    of: { yes: 'shows the layers beneath', 'a little': 'shows them a little', no: 'hides the layers beneath' },
  },
  grade: { name: 'Grade', of: { artist: 'artist grade', student: 'student grade', craft: 'craft grade' } },
}

/** Share of the water a good paint bears that one of a grade does: student and craft paint less. Start values of Fika. */
export const WATER_BY_GRADE: Readonly<Record<Grade, number>> = { artist: 1, student: 0.8, craft: 0.7 }

/** The same of what is kept of a paint; 1 where nobody has said. */
export const waterFactorOf = (grade: string | null | undefined): number => WATER_BY_GRADE[grade as Grade] ?? 1

/** What can be said of how a paint pours. */
export const POURINGS = Object.keys(POURING_WORDS) as (keyof Pouring)[]
/** How a paint pours, in the words of a filter; nothing of what nobody has said. */
export const pouringWords = (m: Pouring): string[] => POURINGS.flatMap((k) => POURING_WORDS[k].of[m[k]] ?? [])
