import { formatMl } from '@/core/quantity/format'
import type { RunEvent } from '@/core/run/events'
import { REMEDIES } from '@/core/run/bothers'
import type { RunPlan } from '@/core/run/runPlan'
import type { TableBottle } from './desk'

/** An event in a few words, as it stands on the Undo key. */
export function saidOf(e: RunEvent, plan: RunPlan, bottles: ReadonlyMap<string, TableBottle>): string {
  const bottle = (id: string) => bottles.get(id)?.label ?? plan.bottles.find((b) => b.id === id)?.label ?? 'a bottle'
  switch (e.kind) {
    case 'next':
    case 'go':
      return 'the last step'
    case 'tick':
      return e.what
    case 'climate':
      return 'the climate'
    case 'check':
      return `${bottle(e.bottle)} checked`
    case 'thin':
      return `water in ${bottle(e.bottle)}`
    case 'weigh':
      return `weighed ${e.when}`
    case 'tare':
      return 'the tare'
    case 'coat':
    case 'load':
      return `${formatMl(e.ul)} of ${bottle(e.bottle)}`
    case 'deed':
      return e.deed
    case 'turn':
      return 'a turn'
    case 'heat':
      return `${e.seconds.toFixed(0)} s of heat`
    case 'wait':
      return e.what
    case 'photo':
      return 'a photo'
    case 'keep':
      return e.isKept ? 'a keeper' : 'a place to let go'
    case 'tilt':
      return `tilted ${e.to}`
    case 'bother':
      return e.what
    case 'remedy':
      return REMEDIES[e.which].say.toLowerCase()
    case 'worked':
      return e.yes ? 'it worked' : 'it did not work'
    case 'edge':
      return `${e.side} edge`
    case 'back':
      return `${formatMl(e.ul)} back`
    case 'left':
      return `film ${e.film}`
    case 'run-off':
      return `${formatMl(e.ul)} to ${e.to}`
    case 'tour':
      return 'the tour'
    case 'dries':
      return 'the drying place'
    case 'note':
      return 'a note'
    case 'undo':
      return ''
  }
}
