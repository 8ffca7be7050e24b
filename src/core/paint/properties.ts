/** The words a paint is described by, in the order they are offered. */
export const BODIES = ['ready', 'ink', 'fluid', 'craft', 'soft', 'heavy'] as const
export const OPACITIES = ['transparent', 'semi-transparent', 'semi-opaque', 'opaque'] as const
export const SHEENS = [
  'matte',
  'satin',
  'gloss',
  'pearl',
  'metallic',
  'colour-shift',
  'fluorescent',
  'glitter',
] as const
export const STRENGTHS = ['weak', 'normal', 'strong', 'very strong'] as const
export const ROLES = [
  'pour',
  'swipe',
  'pearl base',
  'top',
  'base coat',
  'slip coat',
  'cushion',
  'lead-in',
  'reserve',
  'mixing base',
] as const
export const MEDIUM_KINDS = [
  'conditioner',
  'pouring medium',
  'gloss medium',
  'glue',
  'anti-craze medium',
  'enamel or house paint',
  'clear varnish',
  'one-bottle base',
] as const
export const MATERIAL_KINDS = ['paint', 'medium', 'water', 'additive'] as const

export type Body = (typeof BODIES)[number]
export type Opacity = (typeof OPACITIES)[number]
export type Sheen = (typeof SHEENS)[number]
export type Strength = (typeof STRENGTHS)[number]
export type Role = (typeof ROLES)[number]
export type MediumKind = (typeof MEDIUM_KINDS)[number]
export type MaterialKind = (typeof MATERIAL_KINDS)[number]

export const BODY_WORDS: Readonly<Record<Body, string>> = {
  ready: 'ready to pour',
  ink: 'high-flow or ink',
  fluid: 'fluid',
  craft: 'craft',
  soft: 'soft or medium body',
  heavy: 'heavy body',
}

interface BodyDefaults {
  /** g/ml, wet. */
  readonly densityGPerMl: number
  /** Volume solids, 0–1. */
  readonly solids: number
  /** Pigment and filler as a share of the solids (PVC), 0–1. */
  readonly pigmentShare: number
}
/** Start values by body, all from memory; a paint's own value replaces them. */
export const DEFAULTS_BY_BODY: Readonly<Record<Body, BodyDefaults>> = {
  ready: { densityGPerMl: 1.06, solids: 0.3, pigmentShare: 0.15 },
  ink: { densityGPerMl: 1.05, solids: 0.28, pigmentShare: 0.12 },
  fluid: { densityGPerMl: 1.12, solids: 0.32, pigmentShare: 0.12 },
  craft: { densityGPerMl: 1.2, solids: 0.3, pigmentShare: 0.35 },
  soft: { densityGPerMl: 1.22, solids: 0.38, pigmentShare: 0.15 },
  heavy: { densityGPerMl: 1.28, solids: 0.38, pigmentShare: 0.15 },
}
/** Start values by kind of medium, from memory. `waterShare` is water the studio thinned it with. */
export const DEFAULTS_BY_MEDIUM: Readonly<Record<MediumKind, BodyDefaults & { waterShare: number }>> = {
  conditioner: { densityGPerMl: 1.03, solids: 0.25, pigmentShare: 0, waterShare: 0 },
  'pouring medium': { densityGPerMl: 1.05, solids: 0.3, pigmentShare: 0, waterShare: 0 },
  'gloss medium': { densityGPerMl: 1.04, solids: 0.35, pigmentShare: 0, waterShare: 0 },
  glue: { densityGPerMl: 1.08, solids: 0.45, pigmentShare: 0, waterShare: 0 },
  'anti-craze medium': { densityGPerMl: 1.05, solids: 0.32, pigmentShare: 0, waterShare: 0 },
  'enamel or house paint': { densityGPerMl: 1.25, solids: 0.35, pigmentShare: 0.2, waterShare: 0 },
  'clear varnish': { densityGPerMl: 1.03, solids: 0.32, pigmentShare: 0, waterShare: 0 },
  'one-bottle base': { densityGPerMl: 1.04, solids: 0.28, pigmentShare: 0, waterShare: 0 },
}

/** Colour Index names in a text such as `PB15:3, PW6`, upper case where the index is. */
export function parsePigments(text: string): string[] {
  return text
    .split(/[,;\s/+]+/)
    .map((t) => t.trim())
    .filter(Boolean)
    .map((t) => t.replace(/^p(b[kr]|[a-z])/i, (m) => 'P' + m.slice(1, 2).toUpperCase() + m.slice(2).toLowerCase()))
}

/** Whether a text is a Colour Index generic pigment name, such as PB15:3 or PBk7. */
export const isPigmentName = (text: string) => /^P(Y|O|R|V|B|G|Br|Bk|W|M)\d{1,3}(:\d{1,2})?$/.test(text)
