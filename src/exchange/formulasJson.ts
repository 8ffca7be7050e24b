import { array, number, object, string, type InferType } from 'yup'
import { v7 as uuidv7 } from 'uuid'
import { MEDIUM_KINDS, type MediumKind } from '@/core/paint/properties'
import {
  listFormulas,
  measureFormula,
  readSpectra,
  sameParts,
  saveFormula,
  type Formula,
  type FormulaPart,
} from '@/db/formulas/formulas'
import type { Tx } from '@/db/base/withStudio'
import { toBring } from '@/exchange/named'
import { refSchema, type Ref } from '@/exchange/ref'

const colour = string()
  .matches(/^#[0-9a-f]{6}$/)
  .nullable()
  .default(null)
/** A named colour in a catalogue file: its versions from the first on, with what was measured of each. */
export const formulaSchema = object({
  name: string().trim().min(1).max(120).required(),
  notes: string().max(4000).default(''),
  standsInFor: refSchema.nullable().default(null),
  versions: array(
    object({
      note: string().max(1000).default(''),
      targetHex: colour,
      dryHex: colour,
      dryReflectance: array(number().min(0).max(2).required()).length(36).nullable().default(null),
      wetHex: colour,
      mediumKind: string().oneOf(MEDIUM_KINDS).nullable().default(null),
      mediumShare: number().min(0).lessThan(1).default(0),
      parts: array(refSchema.shape({ parts: number().moreThan(0).max(100_000).required() }))
        .min(1)
        .max(12)
        .required(),
    }),
  )
    .min(1)
    .max(500)
    .required(),
})
export type JsonFormula = InferType<typeof formulaSchema>

/** Order that does not hang on ids. */
const mostFirst = (a: Ref & { parts: number }, b: Ref & { parts: number }) =>
  b.parts - a.parts || [a.maker, a.line, a.name].join('\n').localeCompare([b.maker, b.line, b.name].join('\n'))

/** Every named colour in use, by name. @param refOf a paint as the file refers to it */
export async function readFormulas(tx: Tx, refOf: (paintId: string) => Ref): Promise<JsonFormula[]> {
  const spectra = await readSpectra(tx)
  return (await listFormulas(tx)).map((f) => ({
    name: f.name,
    notes: f.notes,
    standsInFor: f.standsInFor === null ? null : refOf(f.standsInFor),
    versions: [...f.versions].reverse().map((v) => ({
      note: v.note,
      targetHex: v.targetHex,
      dryHex: v.dryHex,
      dryReflectance: spectra.get(`${f.id} ${v.version}`) ?? null,
      wetHex: v.wetHex,
      mediumKind: v.mediumKind,
      mediumShare: v.mediumShare,
      parts: v.parts.map((p) => ({ ...refOf(p.paintId), parts: p.parts })).sort(mostFirst),
    })),
  }))
}

/**
 * Brings named colours in. One that is not here comes with all its versions; one whose name is here only gets the
 * newest of the file, where none of its own is like it. A version of which a paint leads nowhere is left out.
 */
export async function writeFormulas(
  tx: Tx,
  list: readonly JsonFormula[],
  idOf: (r: Ref) => string | undefined,
): Promise<void> {
  for (const { item: f, id, known, versions } of toBring<JsonFormula['versions'][number], JsonFormula, Formula>(
    list,
    await listFormulas(tx),
  )) {
    const standsInFor = known ? known.standsInFor : f.standsInFor ? (idOf(f.standsInFor as Ref) ?? null) : null
    for (const v of versions) {
      const parts = v.parts.flatMap((p): FormulaPart[] => {
        const paintId = idOf(p as Ref)
        return paintId ? [{ paintId, parts: p.parts }] : []
      })
      if (parts.length < v.parts.length || known?.versions.some((own) => sameParts(own.parts, parts))) continue
      const version = await saveFormula(tx, {
        requestId: uuidv7(),
        id,
        name: known?.name ?? f.name,
        notes: known?.notes ?? f.notes,
        standsInFor,
        note: v.note,
        targetHex: v.targetHex,
        parts,
      })
      if (v.dryHex ?? v.wetHex)
        await measureFormula(tx, {
          formulaId: id,
          version,
          dryHex: v.dryHex,
          dryReflectance: v.dryReflectance,
          wetHex: v.wetHex,
          mediumKind: v.mediumKind as MediumKind | null,
          mediumShare: v.mediumShare,
        })
    }
  }
}
