import type { FlagRule } from '@/core/paint/flags'
import { THINNER_FACTS } from '@/core/mix/thinners'
import { DEFAULTS_BY_BODY, DEFAULTS_BY_MEDIUM, type MaterialKind } from '@/core/paint/properties'
import type { UnitSystem } from '@/core/quantity/parse'
import { EVERY_FIELD, fieldsOf, numberTyped, type TypedFields } from '@/db/materials/fields'
import type { MaterialInput } from '@/db/materials/schema'

export type FormKind = 'paint' | 'medium' | 'water'

/** What the form holds: the plain fields as they are typed, and what hangs on a paint. */
export interface Fields extends TypedFields {
  /** Dosed by drops, not by parts: silicone and the like. */
  additive: boolean
  readings: { masstone: number[] | null; tint: number[] | null; shade: number[] | null }
  flags: { role: string; rule: FlagRule; reason: string }[]
  paintedWith: { whiteId: string | null; blackId: string | null }
  substitutes: string[]
  standIn: { paintId: string; parts: string }[]
}

/** The form of a material as it is, or of a new one. */
export function start(m: MaterialInput | undefined): Fields {
  const values = (m ?? {}) as Readonly<Record<string, unknown>>
  const p = m?.kind === 'paint' ? m : undefined
  return {
    ...(Object.fromEntries(EVERY_FIELD.map(([name, f]) => [name, f.show(values[name])])) as TypedFields),
    additive: m?.kind === 'additive',
    readings: p?.readings ?? { masstone: null, tint: null, shade: null },
    flags: p?.flags.map((f) => ({ ...f })) ?? [],
    paintedWith: p?.paintedWith ?? { whiteId: null, blackId: null },
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

const partsTyped = numberTyped('the parts', '2', 1)

/** Reads the fields into what the action takes. @throws FikaError with a sentence for what cannot be read */
export function read(of: FormKind, f: Fields, units: UnitSystem): MaterialInput {
  const kind: MaterialKind = of === 'medium' && f.additive ? 'additive' : of
  const usual: Readonly<Record<string, unknown>> = { ...usualOf(of, f) }
  const plain = Object.fromEntries(
    fieldsOf(kind).map(([name, field]) => [name, field.typed(f[name], units) ?? usual[name] ?? null]),
  )
  if (kind !== 'paint') return { kind, ...plain } as unknown as MaterialInput
  return {
    kind,
    ...plain,
    readings: f.readings,
    flags: f.flags,
    paintedWith: { whiteId: f.paintedWith.whiteId ?? null, blackId: f.paintedWith.blackId ?? null },
    substitutes: f.substitutes,
    standIn: f.discontinued ? f.standIn.map((s) => ({ paintId: s.paintId, parts: partsTyped(String(s.parts)) })) : [],
  } as unknown as MaterialInput
}
