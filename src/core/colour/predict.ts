import { mustBeAbove0, mustBeAmounts } from '../mustBe'
import { isNoPromise, sheenOfMix, sheenShares, SHOWY, type SheenShare } from '../paint/sheenOfMix'
import type { Sheen } from '../paint/properties'
import { deltaE00 } from './deltaE00'
import { filmOfMix, hidingThickness, overCard, type Film, type FilmPaint } from './film'
import { showOnScreen } from './gamut'
import { mixReflectance, type Optics } from './kubelkaMunk'
import { xyzToLab } from './lab'
import { labGradient } from './calibrate'
import { mixToLab } from './mixColour'
import { reflectanceToXyz, type Reflectance } from './reflectance'
import type { Triple } from './srgb'

/** What has been measured of a paint. */
export const OPTICS_KNOWN = ['masstone', 'tint', 'shade', 'tint and shade', 'mixes'] as const
export type OpticsKnown = (typeof OPTICS_KNOWN)[number]

/** What decides how sure a mix of a paint is. */
export interface SurePaint {
  readonly optics: Optics
  readonly sheen: Sheen
  /** See `Calibrated`. */
  readonly sigma: number
  readonly known: OpticsKnown
}

/** A paint as a formula uses it. */
export interface FormulaPaint extends SurePaint, FilmPaint {}

export interface Sureness {
  /** Expected ΔE00 between the computed colour and the real one. */
  readonly plusMinus: number
  /** `estimate` while a paint that matters is known by its masstone only. */
  readonly kind: 'estimate' | 'calibrated'
  /** Index of the paint that makes it least sure, and what to paint out; undefined where nothing would help much. */
  readonly next?: { readonly paint: number; readonly measure: 'tint' | 'shade' | 'mix' }
}

export interface Prediction {
  readonly reflectance: Reflectance
  readonly lab: Triple
  readonly hex: string
  /** Whether the screen cannot show it. */
  readonly clipped: boolean
  readonly overWhite: string
  readonly overBlack: string
  /** Of a usual film of the mix, see `FILM_THICKNESS`. */
  readonly contrastRatio: number
  /** How many times the usual film hides; undefined where none does. */
  readonly hidesAt: number | undefined
  readonly film: Film
  readonly sheens: readonly SheenShare[]
  readonly sheen: Sheen
  /** False where flakes or dyes take part: the body colour is computed, the look is not. */
  readonly promise: boolean
  readonly sureness: Sureness
  /** ΔE00 when the amount of each paint rises by one part in e; what a small change of it does. */
  readonly pull: readonly number[]
}

/** Contributions below this need no measuring. */
const SURE_ENOUGH = 1
/** What a paint of flakes or dyes alone may be off that nobody painted out: it looks another with every angle. Start value of Fika. */
const FLAKES = 3
/** Repeatability of painting out and reading the same mix. From trials. */
const FLOOR = 0.4

/**
 * What a formula looks like, dry: colour, hiding, sheen, and how sure that is.
 * @param amounts volumes by paint, any unit, ≥ 0, at least one above 0
 * @param film thickness of the film against the usual one of its bodies; 1 is usual
 * @throws Invalid for amounts that are none
 */
export function predict(paints: readonly FormulaPaint[], amounts: readonly number[], film = 1): Prediction {
  mustBeAmounts('An amount of paint', amounts)
  const optics = paints.map((p) => p.optics)
  const reflectance = mixReflectance(optics, amounts)
  const lab = xyzToLab(reflectanceToXyz(reflectance))
  const { hex, clipped } = showOnScreen(lab)
  const usual = filmOfMix(paints, amounts)
  const laid: Film = { ...usual, thickness: film * usual.thickness }
  const card = overCard(laid)
  const hides = hidingThickness(laid)
  const hexOf = (r: Reflectance) => showOnScreen(xyzToLab(reflectanceToXyz(r))).hex
  const sheens = sheenShares(paints.map((p, i) => ({ sheen: p.sheen, ul: amounts[i]! })))
  const pull = pulls(optics, amounts)
  return {
    reflectance,
    lab,
    hex,
    clipped,
    overWhite: hexOf(card.overWhite),
    overBlack: hexOf(card.overBlack),
    contrastRatio: card.contrastRatio,
    hidesAt: hides === undefined ? undefined : hides / usual.thickness,
    film: laid,
    sheens,
    sheen: sheenOfMix(sheens),
    promise: !isNoPromise(sheens),
    sureness: surenessOf(paints, amounts, pull),
    pull,
  }
}

/** How sure a mix is, and whether it is a promise at all. */
export type Sure = Pick<Prediction, 'sureness' | 'promise'>

/** How sure a mix is, without working out all of what it looks like. */
export function sureOf(paints: readonly SurePaint[], amounts: readonly number[]): Sure {
  const pull = pulls(
    paints.map((p) => p.optics),
    amounts,
  )
  const shares = sheenShares(paints.map((p, i) => ({ sheen: p.sheen, ul: amounts[i]! })))
  return { sureness: surenessOf(paints, amounts, pull), promise: !isNoPromise(shares) }
}

/** ‖∂(ΔE00)/∂ln amount‖ of each paint at the mix. @throws Invalid for amounts that are none */
export function pulls(optics: readonly Optics[], amounts: readonly number[]): number[] {
  mustBeAmounts('An amount of paint', amounts)
  const { byXyz } = labGradient(reflectanceToXyz(mixReflectance(optics, amounts)))
  return amounts.map((amount, j) => {
    if (amount === 0) return 0
    const step = 1e-4
    const at = (factor: number) =>
      reflectanceToXyz(
        mixReflectance(
          optics,
          amounts.map((a, i) => (i === j ? a * factor : a)),
        ),
      )
    const [up, down] = [at(1 + step), at(1 - step)]
    const d = up.map((v, k) => (v - down[k]!) / (2 * step))
    return Math.hypot(...byXyz.map((row) => row[0] * d[0]! + row[1] * d[1]! + row[2] * d[2]!))
  })
}

/**
 * A paint that is a little stronger than believed acts like a little more of it: what is uncertain of each paint
 * comes in as its pull times its sigma, and the paints' errors are independent.
 */
function surenessOf(paints: readonly SurePaint[], amounts: readonly number[], pull: readonly number[]): Sureness {
  const total = amounts.reduce((a, b) => a + b, 0)
  const parts = paints.map((p, i) => {
    const unseen = p.known === 'masstone' && SHOWY.includes(p.sheen)
    return Math.hypot(pull[i]! * p.sigma, unseen ? (FLAKES * amounts[i]!) / total : 0)
  })
  const plusMinus = Math.hypot(FLOOR, ...parts)
  const worst = parts.indexOf(Math.max(...parts))
  const matters = paints.some((p, i) => amounts[i]! > 0 && p.known === 'masstone' && parts[i]! > SURE_ENOUGH)
  const kind = matters ? 'estimate' : 'calibrated'
  if (!(parts[worst]! > SURE_ENOUGH)) return { plusMinus, kind }
  const { known } = paints[worst]!
  const measure = known === 'masstone' || known === 'shade' ? 'tint' : known === 'tint' ? 'shade' : 'mix'
  return { plusMinus, kind, next: { paint: worst, measure } }
}

/**
 * ΔE00 by one more drop of one paint.
 * @param batchUl volume of all the paints in the cup
 * @throws Invalid for amounts that are none
 */
export function byOneDrop(
  optics: readonly Optics[],
  amounts: readonly number[],
  which: number,
  { batchUl, dropUl }: { batchUl: number; dropUl: number },
): number {
  mustBeAmounts('An amount of paint', [...amounts, dropUl])
  mustBeAbove0('The volume of the cup', batchUl)
  const total = amounts.reduce((a, b) => a + b, 0)
  const ul = amounts.map((a) => (a / total) * batchUl)
  const more = ul.map((v, i) => (i === which ? v + dropUl : v))
  return deltaE00(mixToLab(optics, ul), mixToLab(optics, more))
}
