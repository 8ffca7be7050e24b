import type { Sheen } from './properties'

/** Sheens of flakes and dyes: they catch or make light, and do not mix like pigment. */
export const SHOWY: readonly Sheen[] = ['metallic', 'pearl', 'colour-shift', 'glitter', 'fluorescent']
/** Flakes alone: they lie in a paint rather than colour it, so they make no mud and tint nothing. */
export const FLAKES: readonly Sheen[] = ['metallic', 'pearl', 'colour-shift', 'glitter']
/** Whether any of some colours is flakes. */
export const anyFlakes = (...colours: readonly { readonly sheen: Sheen }[]) =>
  colours.some((c) => FLAKES.includes(c.sheen))
/** Share of the paint from which such a sheen is drawn, and from which a computed colour is no promise. Start values of Fika. */
const SHOWS = 0.1
const NO_PROMISE = 0.03

export interface SheenShare {
  readonly sheen: Sheen
  /** Share of the paints' volume, 0–1. */
  readonly share: number
}

/** What share of a mix of paints has which sheen, by volume, largest first. */
export function sheenShares(paints: readonly { readonly sheen: Sheen; readonly ul: number }[]): SheenShare[] {
  const total = paints.reduce((sum, p) => sum + p.ul, 0)
  const shares = new Map<Sheen, number>()
  for (const p of paints) if (p.ul > 0) shares.set(p.sheen, (shares.get(p.sheen) ?? 0) + p.ul / total)
  return [...shares].map(([sheen, share]) => ({ sheen, share })).sort((a, b) => b.share - a.share)
}

/** Share of all flakes and dyes together. */
export const showyShare = (shares: readonly SheenShare[]) =>
  shares.reduce((sum, s) => sum + (SHOWY.includes(s.sheen) ? s.share : 0), 0)

/** The sheen a mix is drawn with: the most showy one once all of them are a tenth of the paint, else that of the most. */
export function sheenOfMix(shares: readonly SheenShare[]): Sheen {
  const showy = showyShare(shares) >= SHOWS - 1e-9 ? shares.find((s) => SHOWY.includes(s.sheen)) : undefined
  return (showy ?? shares[0])?.sheen ?? 'satin'
}

/** Whether flakes or dyes take so much part that a computed colour is no promise. */
export const isNoPromise = (shares: readonly SheenShare[]) => showyShare(shares) >= NO_PROMISE - 1e-9
