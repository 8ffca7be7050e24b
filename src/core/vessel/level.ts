/** Below this share of the capacity a bottle is low. Start value of Fika. */
export const LOW_SHARE = 0.15
/** Not looked at for longer than this, a mix is looked at before it is poured. Start value of Fika. */
export const CHECK_AFTER_DAYS = 30
/** Assumed capacity where none was given, µl. */
export const USUAL_CAPACITY_UL = 240_000

/** How full a bottle is, 0–1. */
export const level = (b: { readonly ul: number; readonly capacityUl: number | null }) =>
  Math.min(1, b.ul / (b.capacityUl ?? Math.max(USUAL_CAPACITY_UL, b.ul)))
