/** Steepest the board is leaned here by hand or by a tablet, degrees. */
export const REACH_DEG = 25

export const withinReach = (deg: number) => Math.max(-REACH_DEG, Math.min(REACH_DEG, deg))
