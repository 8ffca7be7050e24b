import { formatMl } from '../quantity/format'
import type { Technique } from '../technique/technique'
import type { PlanAmounts } from './amounts'
import type { Design } from './design'

/** Something a plan leaves open, and what it costs to leave it so. */
export interface Gap {
  readonly what: string
  readonly costs: string
}

/**
 * What a plan leaves open. None of it must be filled; each says what cannot be known without it.
 * @param hasDue whether there is a date it is due
 */
export function gapsOf(design: Design, amounts: PlanAmounts, technique: Technique, hasDue: boolean): Gap[] {
  const gaps: Gap[] = []
  const add = (what: string, costs: string) => gaps.push({ what, costs })
  if (amounts.openUl > 0)
    add(`${formatMl(amounts.openUl)} are in no cup yet`, 'Which colours, from where and for how much is open.')
  if (amounts.unnamedUl > 0)
    add(
      `${formatMl(amounts.unnamedUl)} in the cups have no colour`,
      'What is short, and what it costs, leaves them out.',
    )
  if (design.cups.some((c) => c.sizeUl === null && c.layers.length > 0))
    add('No cup size', 'Whether one cup holds it is not seen.')
  for (const role of technique.needs)
    if (!design.coats.some((c) => c.role === role))
      add(`No ${role}`, `${technique.name} wants one; amounts, money and the list to put out leave it out.`)
  for (const role of technique.forbids)
    if (design.coats.some((c) => c.role === role))
      add(`A ${role}`, `${technique.name} goes without one: it stops the paint from drawing.`)
  for (const c of design.coats)
    if (!c.of && amounts.coats.get(c.id)! > 0) add(`The ${c.role} has no bottle`, 'It is counted nowhere.')
  if (design.cups.length > 0 && !design.cups.some((c) => technique.cups.includes(c.kind)))
    add(
      `No cup is ${technique.cups.join(' or ')}`,
      `That is how ${technique.name.toLowerCase()} is poured; what becomes of it is drawn as the cups say.`,
    )
  if (!hasDue) add('No due date', 'Dates begin as early as can be, and hold a place for nobody.')
  return gaps
}
