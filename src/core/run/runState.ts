import { Conflict, Invalid } from '../errors'
import { mustBeAmounts, mustBeNumbers } from '../mustBe'
import type { Point } from '../surface/polygon'
import type { CoatRole } from '../plan/uses'
import type { WayIn } from '../plan/design'
import type { Bother, RemedyKey } from './bothers'
import type { Edge } from './corners'
import {
  RUN_STEPS,
  type AmountWay,
  type FrozenBottle,
  type Happened,
  type RunEvent,
  type RunStep,
  type TourSpot,
} from './events'
import type { RunPlan } from './runPlan'

/** Paint that went onto a piece, as the books will have it. */
export interface Given {
  /** Number of the event. */
  readonly n: number
  readonly at: number
  readonly piece: string
  readonly bottle: string
  readonly ul: number
  readonly how: AmountWay
  readonly use: CoatRole | 'cup' | 'remedy' | 'edge'
  /** Cup and layer it went into; null where it went straight onto the surface, or was not planned. */
  readonly cup: string | null
  readonly layer: string | null
  readonly coat: string | null
  readonly way: WayIn | null
  /** Of the face it covers, 0–1; of a coat. */
  readonly share: number | null
  readonly frozen: FrozenBottle | undefined
}

export interface Checked {
  readonly n: number
  readonly at: number
  readonly levelTimeS: number | null
  readonly sigma: number
  readonly tries: readonly number[]
  readonly how: 'stopwatch' | 'flow cup' | 'by eye' | 'run' | null
}

export interface Thinned {
  readonly n: number
  readonly at: number
  readonly bottle: string
  readonly waterId: string
  readonly ul: number
}

export interface Timer {
  readonly n: number
  readonly what: string
  readonly from: number
  readonly until: number
}

export interface KeptSpot {
  readonly n: number
  readonly piece: string
  readonly at: Point
  readonly radiusMm: number
  readonly isKept: boolean
  readonly why: string
}

export interface Bothered {
  readonly n: number
  readonly piece: string
  readonly what: Bother
  readonly remedies: readonly {
    readonly n: number
    readonly which: RemedyKey
    readonly bottle: string | null
    readonly ul: number
    readonly worked: boolean | null
  }[]
}

export interface RunOff {
  readonly n: number
  readonly piece: string | null
  readonly to: 'jar' | 'waste'
  readonly jar: string | null
  readonly newJar: string | null
  readonly ul: number
  readonly weighed: boolean
}

export interface RunState {
  readonly step: RunStep
  readonly ticks: ReadonlySet<string>
  readonly climate: { readonly celsius: number; readonly humidity: number } | null
  /** The last check of each bottle. */
  readonly checks: ReadonlyMap<string, Checked>
  /** Every reading that was taken, in order. */
  readonly readings: readonly (Checked & { readonly bottle: string })[]
  readonly thinned: readonly Thinned[]
  /** Gross grams from which the next amount is counted; null before the first tare. */
  readonly baselineG: number | null
  readonly given: readonly Given[]
  /** Rests that went back into their bottles. */
  readonly backs: readonly {
    readonly n: number
    readonly piece: string
    readonly bottle: string
    readonly ul: number
  }[]
  readonly weights: ReadonlyMap<string, { readonly before: number | null; readonly after: number | null }>
  readonly turned: ReadonlyMap<string, number>
  readonly deeds: readonly {
    readonly n: number
    readonly deed: string
    readonly piece: string
    readonly cup: string | null
  }[]
  readonly heats: readonly {
    readonly n: number
    readonly piece: string
    readonly seconds: number
    readonly at: number
  }[]
  readonly timers: readonly Timer[]
  readonly photos: readonly {
    readonly n: number
    readonly piece: string
    readonly photo: string
    readonly corners: readonly Point[]
  }[]
  readonly keepers: readonly KeptSpot[]
  readonly tilts: readonly { readonly n: number; readonly piece: string; readonly to: string }[]
  readonly bothers: readonly Bothered[]
  readonly edges: readonly {
    readonly n: number
    readonly piece: string
    readonly side: Edge
    readonly bottle: string | null
  }[]
  readonly films: ReadonlyMap<string, 'thin' | 'as wanted' | 'too much'>
  readonly runOffs: readonly RunOff[]
  readonly tours: ReadonlyMap<string, { readonly weak: readonly TourSpot[]; readonly best: TourSpot | null }>
  readonly dries: ReadonlyMap<string, string>
  readonly notes: readonly { readonly n: number; readonly text: string }[]
  /** The last event that stands and is no step back; what Z takes back. */
  readonly last: Happened | undefined
}

/** Most of one thing that is taken at once, µl. */
const MOST_UL = 3e9

type Standing = Happened<Exclude<RunEvent, { kind: 'undo' }>>

/** The events that count: an undo takes back the one it names. @throws Invalid, Conflict for one that cannot be taken back */
export function standing(events: readonly Happened[]): Standing[] {
  const left = new Map<number, Standing>()
  for (const h of events) {
    const { event } = h
    if (event.kind !== 'undo') left.set(h.n, h as Standing)
    else if (!left.delete(event.of))
      throw new Conflict('That was taken back already. Look at what is shown now, and tap again.')
  }
  return [...left.values()]
}

/**
 * Where a run stands after its events. Pure: every device that has the plan and the events shows the same. Nothing that
 * came in is thrown away: an event may come at any step, and the one before it may be taken back whenever.
 * @throws Invalid for an event that fits nothing; Conflict where another device has gone on; then nothing is kept of it
 */
export function runState(plan: RunPlan, events: readonly Happened[]): RunState {
  const run = new Running(plan)
  const kept = standing(events)
  for (const h of kept) run.apply(h)
  return run.state(kept.at(-1))
}

class Running {
  private step: RunStep = 'ready'
  private readonly ticks = new Set<string>()
  private climate: RunState['climate'] = null
  private readonly checks = new Map<string, Checked>()
  private readonly readings: (Checked & { bottle: string })[] = []
  private readonly thinned: Thinned[] = []
  private baselineG: number | null = null
  private readonly given: Given[] = []
  private readonly backs: { n: number; piece: string; bottle: string; ul: number }[] = []
  private readonly weights = new Map<string, { before: number | null; after: number | null }>()
  private readonly turned = new Map<string, number>()
  private readonly deeds: { n: number; deed: string; piece: string; cup: string | null }[] = []
  private readonly heats: { n: number; piece: string; seconds: number; at: number }[] = []
  private readonly timers: Timer[] = []
  private readonly photos: { n: number; piece: string; photo: string; corners: readonly Point[] }[] = []
  private readonly keepers: KeptSpot[] = []
  private readonly tilts: { n: number; piece: string; to: string }[] = []
  private readonly bothers: { n: number; piece: string; what: Bother; remedies: MutableRemedy[] }[] = []
  private readonly edges: { n: number; piece: string; side: Edge; bottle: string | null }[] = []
  private readonly films = new Map<string, 'thin' | 'as wanted' | 'too much'>()
  private readonly runOffs: RunOff[] = []
  private readonly tours = new Map<string, { weak: readonly TourSpot[]; best: TourSpot | null }>()
  private readonly dries = new Map<string, string>()
  private readonly notes: { n: number; text: string }[] = []
  private readonly pieces: ReadonlySet<string>

  constructor(plan: RunPlan) {
    this.pieces = new Set(plan.pieces.map((p) => p.id))
  }

  apply({ n, at, event: e }: Standing): void {
    if ('piece' in e && e.piece !== null && !this.pieces.has(e.piece))
      throw new Invalid('This piece is not in the run. Choose one that is.')
    if ('grams' in e) mustBeNumbers('What the scale shows', [e.grams])
    if ('grams' in e && e.grams !== undefined && e.kind !== 'weigh') this.baselineG = e.grams
    switch (e.kind) {
      case 'next':
        // Two hands that tap Next at once go one step.
        if (RUN_STEPS.indexOf(e.from) >= RUN_STEPS.indexOf(this.step))
          this.step = RUN_STEPS[Math.min(RUN_STEPS.length - 1, RUN_STEPS.indexOf(e.from) + 1)]!
        break
      case 'go':
        this.step = e.to
        break
      case 'tick':
        if (e.on) this.ticks.add(e.what)
        else this.ticks.delete(e.what)
        break
      case 'climate':
        mustBeNumbers('The warmth and the humidity', [e.celsius, e.humidity])
        this.climate = { celsius: e.celsius, humidity: e.humidity }
        break
      case 'check':
        this.check(n, at, e)
        break
      case 'thin':
        this.thinned.push({ n, at, bottle: e.bottle, waterId: e.waterId, ul: amount(e.ul, 'water') })
        break
      case 'weigh':
        this.weigh(e)
        break
      case 'tare':
        break
      case 'coat':
        mustBeAmounts('The share that is covered', [e.share])
        this.give(n, at, e, { use: e.role, coat: e.coat, share: e.share })
        break
      case 'load':
        this.give(n, at, e, { use: 'cup', cup: e.cup, layer: e.layer, way: e.way })
        break
      case 'deed':
        this.deeds.push({ n, deed: e.deed, piece: e.piece, cup: e.cup })
        break
      case 'turn':
        mustBeNumbers('A turn', [e.deg])
        this.turned.set(e.cup, e.deg)
        break
      case 'heat':
        this.heats.push({ n, piece: e.piece, seconds: e.seconds, at })
        break
      case 'wait':
        this.timers.push({ n, what: e.what, from: at, until: at + 1000 * e.seconds })
        break
      case 'photo':
        this.photos.push({ n, piece: e.piece, photo: e.photo, corners: e.corners })
        break
      case 'keep':
        mustBeNumbers('A place', [...e.at, e.radiusMm])
        this.keepers.push({ n, piece: e.piece, at: e.at, radiusMm: e.radiusMm, isKept: e.isKept, why: e.why })
        break
      case 'tilt':
        this.tilts.push({ n, piece: e.piece, to: e.to })
        break
      case 'bother':
        this.bothers.push({ n, piece: e.piece, what: e.what, remedies: [] })
        break
      case 'remedy':
        this.remedy(n, at, e)
        break
      case 'worked':
        this.worked(e)
        break
      case 'edge':
        this.edges.push({ n, piece: e.piece, side: e.side, bottle: e.bottle })
        if (e.bottle !== null) this.give(n, at, { ...e, bottle: e.bottle }, { use: 'edge' })
        break
      case 'back':
        this.back(n, e)
        break
      case 'left':
        this.films.set(e.piece, e.film)
        break
      case 'run-off':
        if (e.to === 'jar' && e.jar === null) throw new Invalid('Say into which jar it goes.', 'jar')
        this.runOffs.push({ ...e, n, ul: amount(e.ul, 'run-off') })
        break
      case 'tour':
        this.tours.set(e.piece, { weak: e.weak, best: e.best })
        break
      case 'dries':
        this.dries.set(e.piece, e.place)
        break
      case 'note':
        this.notes.push({ n, text: e.text })
    }
  }

  private check(n: number, at: number, { bottle, reading }: Extract<RunEvent, { kind: 'check' }>): void {
    if (reading && !(reading.levelTimeS > 0)) throw new Invalid('A level time is above zero. Time the mound again.')
    const checked: Checked = {
      n,
      at,
      levelTimeS: reading?.levelTimeS ?? null,
      sigma: reading?.sigma ?? 0,
      tries: reading?.tries ?? [],
      how: reading?.how ?? null,
    }
    this.checks.set(bottle, checked)
    if (reading) this.readings.push({ ...checked, bottle })
  }

  private weigh(e: Extract<RunEvent, { kind: 'weigh' }>): void {
    const was = this.weights.get(e.piece) ?? { before: null, after: null }
    const before = e.when === 'before' ? e.grams : was.before
    const after = e.when === 'after' ? e.grams : was.after
    if (before !== null && after !== null && after <= before)
      throw new Invalid(
        `It weighed ${before.toFixed(1)} g before, so with paint on it weighs more than that. Is it the right piece, and is the scale zeroed? Weigh it again.`,
        'grams',
      )
    this.weights.set(e.piece, { before, after })
  }

  private give(
    n: number,
    at: number,
    e: { piece: string; bottle: string; ul: number; how: AmountWay; frozen?: FrozenBottle | undefined },
    of: Partial<Given> & Pick<Given, 'use'>,
  ): void {
    const { piece, bottle, how, frozen } = e
    const none = { cup: null, layer: null, coat: null, way: null, share: null }
    this.given.push({ ...none, n, at, piece, bottle, ul: amount(e.ul, 'paint'), how, frozen, ...of })
  }

  private remedy(n: number, at: number, e: Extract<RunEvent, { kind: 'remedy' }>): void {
    const bother = this.bothers.find((b) => b.n === e.bother)
    if (!bother) throw new Conflict('What bothered there was taken back meanwhile. Say again what bothers you.')
    bother.remedies.push({ n, which: e.which, bottle: e.bottle, ul: e.ul, worked: null })
    if (e.bottle !== null) this.give(n, at, { ...e, bottle: e.bottle }, { use: 'remedy' })
  }

  private worked(e: Extract<RunEvent, { kind: 'worked' }>): void {
    const remedy = this.bothers.flatMap((b) => b.remedies).find((r) => r.n === e.remedy)
    if (!remedy) throw new Conflict('That remedy was taken back meanwhile. Look at what is shown now.')
    remedy.worked = e.yes
  }

  private back(n: number, e: Extract<RunEvent, { kind: 'back' }>): void {
    const sum = (list: readonly { piece: string; bottle: string; ul: number }[]) =>
      list.reduce((ul, g) => ul + (g.piece === e.piece && g.bottle === e.bottle ? g.ul : 0), 0)
    const left = sum(this.given) - sum(this.backs)
    if (amount(e.ul, 'rest') > left)
      throw new Invalid(
        `Only ${(left / 1000).toFixed(1)} ml of it went out here, so no more can go back. Weigh the rest again.`,
        'amount',
      )
    this.backs.push({ n, piece: e.piece, bottle: e.bottle, ul: e.ul })
  }

  state(last: Happened | undefined): RunState {
    const { step, climate, baselineG } = this
    const { ticks, checks, readings, thinned, given, backs, weights, turned, deeds, heats, timers, photos } = this
    const { keepers, tilts, bothers, edges, films, runOffs, tours, dries, notes } = this
    return {
      ...{ step, ticks, climate, checks, readings, thinned, baselineG, given, backs, weights, turned, deeds, heats },
      ...{ timers, photos, keepers, tilts, bothers, edges, films, runOffs, tours, dries, notes, last },
    }
  }
}

interface MutableRemedy {
  n: number
  which: RemedyKey
  bottle: string | null
  ul: number
  worked: boolean | null
}

/** @throws Invalid where it is nothing, no whole number of µl, or more than any vessel holds */
function amount(ul: number, what: string): number {
  if (!(Number.isInteger(ul) && ul > 0 && ul <= MOST_UL))
    throw new Invalid(`Type how much ${what} it was, more than nothing, like 60 ml or 64 g.`, 'amount')
  return ul
}
