import { mustBeNumbers } from '../mustBe'
import { Invalid } from '../errors'

/** What happens when somebody pours first and reads after. */
export type EyeEvent =
  | { readonly kind: 'tare'; readonly grams: number }
  | { readonly kind: 'name'; readonly source: 'material' | 'bottle'; readonly id: string }
  | { readonly kind: 'add'; readonly ul: number; readonly grams?: number | undefined }
  /** Of what was named last, poured back into where it came from before it was stirred in. */
  | { readonly kind: 'back'; readonly ul: number; readonly grams?: number | undefined }
  | { readonly kind: 'undo' }

export interface EyeAddition {
  readonly source: 'material' | 'bottle'
  readonly id: string
  readonly ul: number
}

export interface EyeState {
  /** What goes in now; undefined until something was named. */
  readonly now: { readonly source: 'material' | 'bottle'; readonly id: string } | undefined
  /** Gross grams up to which everything is booked; null before the cup stands on the scale. */
  readonly baselineG: number | null
  /** In the order they were poured; two of one kind after another are one. */
  readonly additions: readonly EyeAddition[]
  readonly totalUl: number
  readonly canUndo: boolean
}

/**
 * What is in the cup after the events. Each addition is of what was named last.
 * @throws Invalid for an addition of nothing, before anything was named, or for more poured back than went in
 */
export function eyeState(events: readonly EyeEvent[]): EyeState {
  const kept: Exclude<EyeEvent, { kind: 'undo' }>[] = []
  for (const e of events)
    if (e.kind === 'undo') kept.pop()
    else kept.push(e)
  let now: EyeState['now']
  let baselineG: number | null = null
  const additions: EyeAddition[] = []
  for (const e of kept) {
    if (e.kind !== 'name') mustBeNumbers('What the scale shows', [e.grams])
    if (e.kind === 'tare') baselineG = e.grams
    else if (e.kind === 'name') now = { source: e.source, id: e.id }
    else {
      if (!now) throw new Invalid('Say what goes in first, then pour it.', 'id')
      if (e.kind === 'back') {
        pourBack(additions, now.id, e.ul)
        if (e.grams !== undefined) baselineG = e.grams
        continue
      }
      if (!(e.ul > 0) || e.ul > 3e9) throw new Invalid('Type how much was poured, like 60 ml or 64 g.', 'amount')
      const last = additions.at(-1)
      if (last?.id === now.id) additions[additions.length - 1] = { ...last, ul: last.ul + e.ul }
      else additions.push({ ...now, ul: e.ul })
      if (e.grams !== undefined) baselineG = e.grams
    }
  }
  return { now, baselineG, additions, totalUl: additions.reduce((s, a) => s + a.ul, 0), canUndo: kept.length > 0 }
}

/** Takes what was poured back off the last addition of it; only what went in last is not stirred in yet. */
function pourBack(additions: EyeAddition[], id: string, ul: number): void {
  if (!(ul > 0)) throw new Invalid('Type how much was poured back, like 10 ml or 12 g.', 'amount')
  const last = additions.at(-1)
  if (last?.id !== id || ul > last.ul)
    throw new Invalid('Only what was poured in last can be poured back, and no more of it than went in.', 'amount')
  if (ul === last.ul) additions.pop()
  else additions[additions.length - 1] = { ...last, ul: last.ul - ul }
}
