import { CURE, FINISH_WAIT, type Finish } from '../plan/finish'
import { dryingHours, type Climate } from './drying'
import type { Step } from './backwards'

/** Every step a plan may have, in the order of the work. */
export const PLAN_STEPS = [
  'buy',
  'mix',
  'rest',
  'prepare',
  'pour',
  'dry',
  'look',
  'clean off silicone',
  'accents',
  'varnish',
  'resin',
  'cure',
  'photograph',
  'deliver',
] as const
export type PlanStep = (typeof PLAN_STEPS)[number]

/** Hours the steps by hand take, and waits that are none of the film. Start values of Fika, but for what a comment names. */
const HOURS: Readonly<Partial<Record<PlanStep, number>>> = {
  // A parcel.
  buy: 72,
  mix: 1,
  // Overnight; two hours are the bare minimum (common practice).
  rest: 12,
  prepare: 1,
  pour: 2,
  look: 0.5,
  'clean off silicone': 1,
  accents: 1,
  varnish: 1,
  resin: 1,
  photograph: 1,
  deliver: 1,
}
export interface StepFacts {
  readonly buys: boolean
  readonly mixes: boolean
  readonly silicone: boolean
  readonly accents: boolean
  readonly finish: Finish
  readonly delivered: boolean
  /** Wet film left on the surface, mm, and its volume solids. */
  readonly filmMm: number
  readonly solids: number
  readonly climate: Climate
  /** Hours as the maker knows them, and steps that are done. */
  readonly hours?: Readonly<Partial<Record<PlanStep, number>>>
  readonly done?: readonly PlanStep[]
}

/** The steps of a plan that are still to do, each after what it needs, with how long it takes. */
export function stepsOf(f: StepFacts): Step[] {
  const done = new Set<string>(f.done)
  return allSteps(f)
    .filter((s) => !done.has(s.key))
    .map((s) => ({ ...s, hours: f.hours?.[s.key as PlanStep] ?? s.hours, after: s.after.filter((k) => !done.has(k)) }))
}

function allSteps(f: StepFacts): Step[] {
  const dry = dryingHours(f.filmMm, f.solids, f.climate).through
  const steps: Step[] = []
  const add = (key: PlanStep, hours = HOURS[key]!, more: Partial<Step> = {}) =>
    steps.push({ key, hours, after: steps.length ? [steps.at(-1)!.key] : [], byHand: true, ...more })
  if (f.buys) add('buy', HOURS.buy, { byHand: false })
  if (f.mixes) {
    add('mix')
    add('rest', HOURS.rest, { byHand: false })
  }
  // The surface is made ready while the bottles rest.
  steps.push({ key: 'prepare', hours: HOURS.prepare!, after: f.buys ? ['buy'] : [], byHand: true })
  add('pour', HOURS.pour, { after: ['prepare', ...(f.mixes ? ['rest'] : [])] })
  add('dry', dry, { byHand: false })
  add('look')
  if (f.silicone && f.finish !== 'none') add('clean off silicone')
  if (f.accents) add('accents')
  if (f.finish !== 'none') {
    add(f.finish, HOURS[f.finish], { waitHours: FINISH_WAIT[f.finish] })
    add('cure', CURE[f.finish], { byHand: false })
  }
  if (f.delivered) {
    add('photograph')
    add('deliver')
  }
  return steps
}

/** Steps during which a piece lies level and covered. */
export const ON_PLACE: readonly PlanStep[] = ['pour', 'dry']
