import { USUAL_CLIMATE } from '@/core/schedule/drying'
import type { DeskFacts } from '@/stations/plan/deskFacts'

/** A plan desk in a room with nothing in it. */
export const emptyDesk = (now: number): DeskFacts => ({
  studio: { units: 'metric', currency: 'EUR', zone: 'UTC', waterDropUl: 50 },
  bottles: [],
  formulas: [],
  recipes: [],
  cups: [],
  places: [],
  room: { closedWeekdays: [], ...USUAL_CLIMATE },
  works: [],
  surfaces: [],
  word: { paints: {}, pairs: [] },
  takes: [],
  jobs: [],
  dried: [],
  learned: [],
  lessons: [],
  keeps: [],
  wouldTeach: [],
  houseWords: [],
  now,
})
