import { mustBeAmounts, mustBeNumbers } from '../mustBe'

/** The air of a room. */
export interface Climate {
  readonly celsius: number
  /** Relative humidity, 0–1. */
  readonly humidity: number
}

/** A room as most are. Start value of Fika. */
export const USUAL_CLIMATE: Climate = { celsius: 20, humidity: 0.5 }

/** Water that leaves a wet film at 20 °C and 50 %, kg/m²h. Start value of Fika. */
const USUAL_RATE = 0.08
/** A film of 1.2 mm dries through its skin in so many hours, least, usually and at most (common practice: 24–72). */
const SKIN_HOURS = [24, 48, 72] as const
const SKIN_MM = 1.2
/** Damp air slows it no further than this. Start value of Fika. */
const DAMPEST = 0.95

/** Saturated water vapour, hPa, by Magnus' form (Alduchov & Eskridge 1996, from memory). */
const saturated = (celsius: number) => 6.1094 * Math.exp((17.625 * celsius) / (celsius + 243.04))
/** Vapour held by saturated air, any unit: pressure ÷ absolute temperature. */
const vapour = (celsius: number) => saturated(celsius) / (celsius + 273.15)

/** Water that leaves a wet film, kg/m²h: E = k (1 − RH) c_sat(T). @throws Invalid for what is no number */
export function evaporation({ celsius, humidity }: Climate): number {
  mustBeNumbers('The warmth of the room', [celsius])
  mustBeAmounts('The humidity of the room', [humidity])
  const dryness = 1 - Math.min(DAMPEST, humidity)
  return (USUAL_RATE * dryness * vapour(celsius)) / ((1 - USUAL_CLIMATE.humidity) * vapour(USUAL_CLIMATE.celsius))
}

/** Hours until a film is touch-dry and dry through: likely, with the least and the most. */
export interface DryingHours {
  readonly touch: number
  readonly through: number
  readonly least: number
  readonly most: number
}

/**
 * How long a wet film dries: first by evaporation, t ≈ h (1 − VS) ρ / E, then through its skin, t ∝ h².
 * @param wetMm film left on the surface, mm
 * @param solids its volume solids, 0–1
 * @throws Invalid for what is no number
 */
export function dryingHours(wetMm: number, solids: number, climate: Climate = USUAL_CLIMATE): DryingHours {
  mustBeAmounts('A film or its solids', [wetMm, solids])
  // 1 mm of water over 1 m² is 1 kg.
  const touch = (wetMm * Math.max(0, 1 - solids)) / evaporation(climate)
  const [least, usual, most] = SKIN_HOURS.map((h) => touch + h * (wetMm / SKIN_MM) ** 2) as [number, number, number]
  return { touch, through: usual, least, most }
}
