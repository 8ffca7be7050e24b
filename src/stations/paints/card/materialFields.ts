import type { FlagRule } from '@/core/paint/flags'
import { EFFECTS } from '@/core/mix/mediumEffects'
import { THINNER_FACTS, type Thinner } from '@/core/mix/thinners'
import {
  DEFAULTS_BY_BODY,
  DEFAULTS_BY_MEDIUM,
  parsePigments,
  type Body,
  type MediumKind,
  type Opacity,
  type Sheen,
  type Strength,
} from '@/core/paint/properties'
import { Invalid } from '@/core/errors'
import type { Lightfastness } from '@/core/paint/pigments'
import { parseMoneyMinor } from '@/core/quantity/money'
import { parseNumber } from '@/core/quantity/number'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import type { MaterialInput } from '@/db/materials/schema'

export type FormKind = 'paint' | 'medium' | 'water'

/** What the form holds: text as it is typed, read when it is saved. */
export interface Fields {
  maker: string
  line: string
  name: string
  mediumKind: MediumKind
  /** Dosed by drops, not by parts: silicone and the like. */
  additive: boolean
  effects: number[] | null
  thinner: Thinner
  body: Body
  opacity: Opacity
  contrastRatio: string
  sheen: Sheen
  sheenStrength: number
  strength: Strength
  lightfastness: '' | Lightfastness
  pigments: string
  swatchHex: string
  wetHex: string
  tintHex: string
  tintWhiteShare: string
  shadeHex: string
  shadeBlackShare: string
  readings: { masstone: number[] | null; tint: number[] | null; shade: number[] | null }
  density: string
  solids: string
  waterShare: string
  container: string
  price: string
  low: string
  supplier: string
  barcode: string
  tags: string[]
  discontinued: boolean
  notes: string
  flags: { role: string; rule: FlagRule; reason: string }[]
  substitutes: string[]
  standIn: { paintId: string; parts: string }[]
}

const ml = (ul: number | null | undefined) => (ul ? `${ul / 1000} ml` : '')
const text = (n: number | null | undefined) => (n === null || n === undefined ? '' : String(n))

/** The form of a material as it is, or of a new one. */
export function start(m: MaterialInput | undefined): Fields {
  const p = m?.kind === 'paint' ? m : undefined
  const medium = m?.kind === 'medium' || m?.kind === 'additive' ? m : undefined
  return {
    maker: m?.maker ?? '',
    line: m?.line ?? '',
    name: m?.name ?? '',
    mediumKind: (medium?.mediumKind as MediumKind) ?? 'pouring medium',
    additive: m?.kind === 'additive',
    effects: medium?.effects ?? null,
    thinner: m?.kind === 'water' ? (m.thinner as Thinner) : 'distilled',
    body: (p?.body as Body) ?? 'soft',
    opacity: (p?.opacity as Opacity) ?? 'semi-opaque',
    contrastRatio: text(p?.contrastRatio),
    sheen: (p?.sheen as Sheen) ?? 'satin',
    sheenStrength: p?.sheenStrength ?? 2,
    strength: (p?.strength as Strength) ?? 'normal',
    lightfastness: p?.lightfastness ?? '',
    pigments: p?.pigments.join(', ') ?? '',
    swatchHex: p?.swatchHex ?? '#7a7a7a',
    wetHex: p?.wetHex ?? '',
    tintHex: p?.tintHex ?? '',
    tintWhiteShare: text(p?.tintWhiteShare),
    shadeHex: p?.shadeHex ?? '',
    shadeBlackShare: text(p?.shadeBlackShare),
    readings: p?.readings ?? { masstone: null, tint: null, shade: null },
    density: text(m?.densityGPerMl),
    solids: text(m?.solids),
    waterShare: m && m.kind !== 'paint' ? text(m.waterShare) : '',
    container: ml(m?.containerUl),
    price: m?.priceMinor == null ? '' : (m.priceMinor / 100).toFixed(2),
    low: ml(m?.lowUl),
    supplier: m?.supplier ?? '',
    barcode: m?.barcode ?? '',
    tags: [...(m?.tags ?? [])],
    discontinued: m?.discontinued ?? false,
    notes: m?.notes ?? '',
    flags: p?.flags.map((f) => ({ ...f })) ?? [],
    substitutes: [...(p?.substitutes ?? [])],
    standIn: p?.standIn.map((s) => ({ paintId: s.paintId, parts: String(s.parts) })) ?? [],
  }
}

/** Density, solids and water of the body or kind chosen, for what is left empty. */
export function usualOf(kind: FormKind, f: Partial<Fields>) {
  if (kind === 'water') return THINNER_FACTS[f.thinner ?? 'distilled']
  if (kind === 'medium') return DEFAULTS_BY_MEDIUM[f.mediumKind ?? 'pouring medium']
  return { ...DEFAULTS_BY_BODY[f.body ?? 'soft'], waterShare: 0 }
}

function number(typed: string, what: string, example: string): number | null {
  if (!typed.trim()) return null
  const value = parseNumber(typed)
  if (value === undefined) throw new Invalid(`“${typed.trim()}” is not a number for ${what}. Type it like ${example}.`)
  return value
}

/** Reads the fields into what the action takes. @throws FikaError with a sentence for what cannot be read */
export function read(kind: FormKind, f: Fields, units: UnitSystem): MaterialInput {
  const usual = usualOf(kind, f)
  const volume = (typed: string) => (typed.trim() ? parseVolumeUl(typed, units) : null)
  const shared = {
    maker: f.maker,
    line: f.line,
    name: f.name,
    densityGPerMl: number(f.density, 'the density', '1.2') ?? usual.densityGPerMl,
    solids: number(f.solids, 'the solids', '0.32') ?? usual.solids,
    containerUl: volume(f.container),
    priceMinor: f.price.trim() ? parseMoneyMinor(f.price) : null,
    lowUl: volume(f.low),
    supplier: f.supplier,
    barcode: f.barcode,
    tags: f.tags,
    discontinued: f.discontinued,
    notes: f.notes,
  }
  const waterShare = number(f.waterShare, 'the water share', '0.4') ?? usual.waterShare
  if (kind === 'water') return { ...shared, kind, thinner: f.thinner, waterShare }
  if (kind === 'medium') {
    if (f.effects && f.effects.length !== EFFECTS.length) throw new Invalid('A profile has ten effects.')
    return {
      ...shared,
      kind: f.additive ? 'additive' : 'medium',
      mediumKind: f.mediumKind,
      waterShare,
      effects: f.effects,
    }
  }
  return {
    ...shared,
    kind,
    body: f.body,
    opacity: f.opacity,
    contrastRatio: number(f.contrastRatio, 'the contrast ratio', '0.97'),
    sheen: f.sheen,
    sheenStrength: f.sheenStrength,
    strength: f.strength,
    lightfastness: f.lightfastness,
    pigments: parsePigments(f.pigments),
    swatchHex: f.swatchHex,
    wetHex: f.wetHex || null,
    tintHex: f.tintHex || null,
    tintWhiteShare: number(f.tintWhiteShare, 'the share of white', '0.9'),
    shadeHex: f.shadeHex || null,
    shadeBlackShare: number(f.shadeBlackShare, 'the share of black', '0.2'),
    readings: f.readings,
    flags: f.flags as never,
    substitutes: f.substitutes,
    standIn: f.discontinued
      ? f.standIn.map((s) => ({ paintId: s.paintId, parts: number(String(s.parts), 'the parts', '2') ?? 1 }))
      : [],
  }
}
