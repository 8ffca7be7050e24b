import type { CoatRole } from '../plan/uses'

/** How a cup gives its paint to the surface. */
export const CUP_KINDS = [
  'poured out',
  'flipped',
  'flip and drag',
  'open ring',
  'traveling ring',
  'funnel',
  'strainer',
  'puddles',
  'poured line',
  'blow line',
] as const
export type CupKind = (typeof CUP_KINDS)[number]

/** Kinds that go along a path over the surface. */
export const TRAVELS: ReadonlySet<CupKind> = new Set(['flip and drag', 'traveling ring', 'poured line', 'blow line'])

/** Whether something belongs to a technique. */
export const WANTS = ['needed', 'possible', 'never'] as const
export type Want = (typeof WANTS)[number]

/** Cautions that are shown where the risk arises. */
export const CAUTIONS = {
  torch:
    'Torch away from alcohol, aerosols, sheeting and just-sprayed work; never left lit, an extinguisher near. Follow product labels, local codes and licensed practice.',
  blow: 'Blow with a dryer or a straw, never with the mouth over wet paint; eyes covered, air moving. Follow product labels and licensed practice.',
  vessel:
    'A painted vessel is for looking at: nothing where food or lips touch. Follow product labels and local codes.',
  silicone: 'Silicone keeps varnish and resin from holding: clean it off first, and keep it off the bare surface.',
} as const
export type Caution = keyof typeof CAUTIONS

/** A wait that belongs to a technique, in minutes. */
export interface Wait {
  readonly what: string
  readonly minutes: number
}

/**
 * A way of pouring, as data: what it wants of cups, coats, consistency and tools, and where its layers come to lie.
 * Every number is a start value of Fika unless it says otherwise; a studio copies and edits these.
 */
export interface Technique {
  readonly key: string
  readonly name: string
  /** Seconds until flat, least and most. */
  readonly levelTimeS: readonly [number, number]
  /** Cups it is poured with, the usual one first. */
  readonly cups: readonly [CupKind, ...CupKind[]]
  readonly needs: readonly CoatRole[]
  readonly forbids: readonly CoatRole[]
  readonly silicone: Want
  readonly heat: Want
  readonly tools: readonly string[]
  readonly waits: readonly Wait[]
  /** Whether cells are wanted, so that heavy over light helps. */
  readonly cells: boolean
  /** Share of the paint that runs off at first, before this studio has weighed its own. */
  readonly runOffShare: number
  readonly cautions: readonly Caution[]
  /** What it tends to give, in words. */
  readonly gives: string
}
