/** What is laid on a surface beside the cups, in the order of the day. */
export const COAT_ROLES = [
  'sides',
  'cushion',
  'base coat',
  'slip coat',
  'lead-in',
  'swipe',
  'pearl base',
  'top',
  'reserve',
] as const
export type CoatRole = (typeof COAT_ROLES)[number]

/** What a bottle is planned for: its layers in the cups, or a coat. */
export const PLAN_USES = ['cup', ...COAT_ROLES] as const
export type PlanUse = (typeof PLAN_USES)[number]

/** Wet film a coat is offered with, mm, and the share of the face it usually covers. Start values of Fika. */
export const COAT_START: Readonly<Record<CoatRole, { readonly wetMm: number; readonly share: number }>> = {
  sides: { wetMm: 0.15, share: 1 },
  cushion: { wetMm: 0.4, share: 1 },
  'base coat': { wetMm: 0.25, share: 1 },
  'slip coat': { wetMm: 0.4, share: 1 },
  'lead-in': { wetMm: 0.8, share: 0.1 },
  swipe: { wetMm: 0.5, share: 0.15 },
  'pearl base': { wetMm: 0.8, share: 1 },
  top: { wetMm: 0.3, share: 1 },
  reserve: { wetMm: 0.1, share: 1 },
}
