import { Invalid } from '../errors'
import { blowOut } from './blowOut'
import { cutLine } from './cutLine'
import { dutch } from './dutch'
import { flipAndDrag } from './flipAndDrag'
import { flipCup } from './flipCup'
import { funnel } from './funnel'
import { openCup } from './openCup'
import { pearlBaseAndTop } from './pearlBaseAndTop'
import { pouredLine } from './pouredLine'
import { puddles } from './puddles'
import { puddleSwipe } from './puddleSwipe'
import { ring } from './ring'
import { straight } from './straight'
import { straightIntoRing } from './straightIntoRing'
import { strainer } from './strainer'
import { swipe } from './swipe'
import type { Technique } from './technique'
import { travelingRing } from './travelingRing'
import { treeRing } from './treeRing'
import { twoToneBase } from './twoToneBase'

/** The techniques Fika ships with; a studio keeps its own beside them. */
export const TECHNIQUES: readonly Technique[] = [
  ring,
  treeRing,
  straightIntoRing,
  cutLine,
  openCup,
  funnel,
  pouredLine,
  straight,
  twoToneBase,
  strainer,
  puddles,
  flipCup,
  flipAndDrag,
  swipe,
  puddleSwipe,
  pearlBaseAndTop,
  travelingRing,
  dutch,
  blowOut,
]

/** The technique a choice begins with where nobody has chosen. */
export const USUAL_TECHNIQUE = straight.key

/** Those a studio can choose from: its own after those that ship with Fika. */
export class TechniqueBook {
  readonly all: readonly Technique[]
  readonly #byKey: ReadonlyMap<string, Technique>

  constructor(own: readonly Technique[] = []) {
    this.all = [...TECHNIQUES, ...own]
    this.#byKey = new Map(this.all.map((t) => [t.key, t]))
  }

  /** The technique of a key. @throws Invalid where none has it: nothing else is taken in its place */
  of(key: string): Technique {
    const found = this.#byKey.get(key)
    if (!found)
      throw new Invalid(`There is no technique “${key.slice(0, 60)}” here. Choose one from the list.`, 'technique')
    return found
  }

  /** The technique of a key that was kept; undefined where it has been taken away since. */
  find(key: string): Technique | undefined {
    return this.#byKey.get(key)
  }

  /** A technique's name; the key itself where it has been taken away since. */
  name(key: string): string {
    return this.#byKey.get(key)?.name ?? key
  }

  /** Its place in the list; after all others where it has none. */
  order(key: string): number {
    const at = this.all.findIndex((t) => t.key === key)
    return at < 0 ? this.all.length : at
  }
}

/** Those that ship with Fika. */
export const SHIPPED = new TechniqueBook()
