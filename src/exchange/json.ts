import { DEFAULTS_BY_BODY, DEFAULTS_BY_MEDIUM, type Body, type MediumKind } from '@/core/paint/properties'
import { PAIR_VERDICTS, type PairVerdict } from '@/core/colour/pairVerdicts'
import { array, boolean, number, object, string, ValidationError } from 'yup'
import { v7 as uuidv7 } from 'uuid'
import { Invalid } from '@/core/errors'
import { listSurfaces } from '@/db/surfaces/read'
import { validated } from '@/db/base/validated'
import type { Tx } from '@/db/base/withStudio'
import { allMaterials, allPairNotes, inputOf } from '@/db/materials/read'
import { schemaOf, type MaterialInput, type PaintInput } from '@/db/materials/schema'
import { allOffers } from '@/db/materials/prices'
import { offerSchema } from '@/db/materials/offerSchema'
import { saveOffer } from '@/db/materials/offers'
import { surfaceSchema } from '@/db/surfaces/schema'
import { saveSurface } from '@/db/surfaces/write'
import { archiveMaterials, notePair } from '@/db/materials/write'
import { formulaSchema, readFormulas, writeFormulas, type JsonFormula } from '@/exchange/formulasJson'
import { readRecipes, recipeSchema, writeRecipes, type JsonRecipe } from '@/exchange/recipesJson'
import { refSchema, type Ref } from '@/exchange/ref'
import { keyOf, knownByKey, LIMITS, type HereAlready } from '@/exchange/table'

export const FORMAT = 'fika-catalogue'
export const VERSION = 1

const headSchema = object({
  format: string().oneOf([FORMAT]).required(),
  version: number().max(VERSION, 'This file was written by a newer Fika. Bring this one up to date first.').required(),
  materials: array().max(LIMITS.rows, `Ten thousand materials are the most. Bring them in parts.`).required(),
  pairNotes: array(
    object({
      a: refSchema.required(),
      b: refSchema.required(),
      verdict: string().oneOf(PAIR_VERDICTS).required(),
      note: string().max(400).default(''),
    }),
  ).default([]),
  offers: array(offerSchema.omit(['id', 'materialId']).shape({ of: refSchema.required() })).default([]),
  surfaces: array(surfaceSchema.omit(['id'])).default([]),
  formulas: array(formulaSchema).max(5_000).default([]),
  recipes: array(recipeSchema).max(5_000).default([]),
})

/** Materials with references by maker, line and name in place of ids. */
export type JsonMaterial = Omit<MaterialInput, 'substitutes' | 'standIn' | 'paintedWith'> & {
  archived: boolean
  substitutes?: Ref[]
  standIn?: (Ref & { parts: number })[]
  /** The white its tint and the black its shade were painted out with. */
  paintedWith?: { white: Ref | null; black: Ref | null }
}

export interface Catalogue {
  readonly format: typeof FORMAT
  readonly version: number
  readonly materials: readonly JsonMaterial[]
  readonly pairNotes: readonly { a: Ref; b: Ref; verdict: PairVerdict; note: string }[]
  readonly offers: readonly Record<string, unknown>[]
  readonly surfaces: readonly Record<string, unknown>[]
  readonly formulas: readonly JsonFormula[]
  readonly recipes: readonly JsonRecipe[]
}

const paintedWithSchema = object({
  white: refSchema.default(null).nullable(),
  black: refSchema.default(null).nullable(),
}).default({ white: null, black: null })

/** Order that does not hang on ids, so that the same catalogue is the same file. */
const byKey = (a: Ref, b: Ref) => inOrder(keyOf(a as MaterialInput), keyOf(b as MaterialInput))
const inOrder = (a: string, b: string) => (a < b ? -1 : a === b ? 0 : 1)
const offerKey = (o: { startsOn: string; sizeUl: number; supplier: string; terms: { kind: string } }) =>
  [o.startsOn, String(o.sizeUl).padStart(10, '0'), o.supplier, o.terms.kind].join(' ')

/** Everything in the catalogue of a studio, as the file holds it. */
export async function readCatalogue(tx: Tx): Promise<Catalogue> {
  const rows = await allMaterials(tx)
  const refs = new Map(
    rows.map((m): [string, Ref] => [m.id, { kind: m.kind, maker: m.maker, line: m.line, name: m.name }]),
  )
  const materials = rows.map((m): JsonMaterial => {
    const input = inputOf(m)
    if (input.kind !== 'paint') return { ...input, archived: m.archived }
    return {
      ...input,
      archived: m.archived,
      substitutes: input.substitutes.map((id) => refs.get(id)!),
      standIn: input.standIn.map((s) => ({ ...refs.get(s.paintId)!, parts: s.parts })),
      paintedWith: {
        white: refs.get(input.paintedWith.whiteId ?? '') ?? null,
        black: refs.get(input.paintedWith.blackId ?? '') ?? null,
      },
    }
  })
  const pairs = await allPairNotes(tx)
  const offers = await allOffers(tx)
  const surfaces = await listSurfaces(tx)
  return {
    format: FORMAT,
    version: VERSION,
    materials,
    pairNotes: pairs
      .map((p) => {
        const [a, b] = [refs.get(p.aId)!, refs.get(p.bId)!].sort(byKey)
        return { a: a!, b: b!, verdict: p.verdict, note: p.note }
      })
      .sort((x, y) => byKey(x.a, y.a) || byKey(x.b, y.b)),
    offers: offers
      .map(({ id: _id, materialId, ...o }) => ({ of: refs.get(materialId)!, ...o }))
      .sort((a, b) => byKey(a.of, b.of) || inOrder(offerKey(a), offerKey(b))),
    surfaces: surfaces
      .map(({ id: _id, onHand: _n, eachMinor: _m, ...s }) => s)
      .sort((a, b) => inOrder(`${a.name} ${a.kind}`, `${b.name} ${b.kind}`)),
    formulas: await readFormulas(tx, (id) => refs.get(id)!),
    recipes: await readRecipes(tx, (id) => refs.get(id)),
  }
}

/** What a catalogue holds besides its materials: what hangs between them, and which are put away, by their keys. */
export interface CatalogueRest {
  readonly head: Omit<ReturnType<typeof headSchema.validateSync>, 'materials'>
  readonly archived: readonly string[]
}

export interface ReadCatalogue {
  readonly materials: readonly {
    input: MaterialInput
    archived: boolean
    substitutes: Ref[]
    standIn: (Ref & { parts: number })[]
    paintedWith: { white?: Ref | null; black?: Ref | null }
  }[]
  readonly head: CatalogueRest['head']
}

/** What a file from before the share of pigment was kept leaves open: the usual one of its body or kind. */
function olderThan(entry: { kind?: string; body?: unknown; mediumKind?: unknown } | null): { pigmentShare?: number } {
  const usual =
    entry?.kind === 'paint' ? DEFAULTS_BY_BODY[entry.body as Body] : DEFAULTS_BY_MEDIUM[entry?.mediumKind as MediumKind]
  return usual ? { pigmentShare: usual.pigmentShare } : {}
}

/** What an entry holds besides its material: whether it is put away, and its links, which are by name. */
const hangingSchema = object({
  archived: boolean().default(false),
  substitutes: array(refSchema).default([]),
  standIn: array(refSchema.shape({ parts: number().moreThan(0).required() })).default([]),
  paintedWith: paintedWithSchema,
})

/** Reads a catalogue file. @throws Invalid naming the entry that is wrong, and what is wrong with it */
export function readJson(text: string): ReadCatalogue {
  let parsed: unknown
  try {
    parsed = JSON.parse(text)
  } catch {
    throw new Invalid('This file is not whole JSON. Export it again.', 'file')
  }
  try {
    const head = validated(headSchema, parsed)
    const materials = head.materials.map((raw: unknown, i) => {
      const entry = raw as {
        kind?: string
        name?: string
        body?: unknown
        mediumKind?: unknown
        archived?: unknown
        substitutes?: unknown
        standIn?: unknown
        paintedWith?: unknown
      }
      try {
        const { substitutes, standIn, paintedWith, archived, ...own } = entry as typeof entry & object
        const input = validated(schemaOf(entry?.kind), { ...olderThan(entry), ...own }) as MaterialInput
        const hanging = validated(hangingSchema, { substitutes, standIn, paintedWith, archived })
        return { input, ...hanging } as ReadCatalogue['materials'][number]
      } catch (error) {
        if (!(error instanceof ValidationError)) throw error
        throw new Invalid(
          `Material ${i + 1}${entry?.name ? ` (${String(entry.name).slice(0, 80)})` : ''}: ${error.message}`,
          'file',
        )
      }
    })
    const rest: CatalogueRest['head'] & { materials?: unknown } = { ...head }
    delete rest.materials
    return { materials, head: rest }
  } catch (error) {
    if (error instanceof ValidationError) throw new Invalid(`This is not a catalogue of Fika: ${error.message}`, 'file')
    throw error
  }
}

/** The inputs of a catalogue with references turned into ids of this studio; one that leads nowhere is left out. */
export function resolve(
  materials: ReadCatalogue['materials'],
  known: readonly HereAlready[],
): { input: MaterialInput; archived: boolean; id: string; known: HereAlready | undefined }[] {
  const byKey = knownByKey(known)
  const ids = new Map<string, string>()
  for (const m of materials) ids.set(keyOf(m.input), byKey.get(keyOf(m.input))?.id ?? uuidv7())
  const idOf = (r: Ref) => ids.get(keyOf(r as MaterialInput)) ?? byKey.get(keyOf(r as MaterialInput))?.id
  return materials.map((m) => {
    const input =
      m.input.kind === 'paint'
        ? ({
            ...m.input,
            substitutes: m.substitutes.flatMap((r) => idOf(r) ?? []),
            standIn: m.standIn.flatMap((r) => (idOf(r) ? [{ paintId: idOf(r)!, parts: r.parts }] : [])),
            paintedWith: {
              whiteId: (m.paintedWith.white && idOf(m.paintedWith.white)) ?? null,
              blackId: (m.paintedWith.black && idOf(m.paintedWith.black)) ?? null,
            },
          } satisfies PaintInput)
        : m.input
    return { input, archived: m.archived, id: ids.get(keyOf(m.input))!, known: byKey.get(keyOf(m.input)) }
  })
}

/**
 * Writes what hangs between materials: put away, pair notes, offers, surfaces, named colours and recipes that are not here yet.
 * @param ids of every material that is here now, by its key
 */
export async function writeRest(
  tx: Tx,
  { head, archived }: CatalogueRest,
  ids: ReadonlyMap<string, string>,
): Promise<void> {
  const idOf = (r: Ref) => ids.get(keyOf(r as MaterialInput))
  await archiveMaterials(
    tx,
    archived.flatMap((key) => ids.get(key) ?? []),
    true,
  )
  for (const p of head.pairNotes) {
    const [paintId, otherId] = [idOf(p.a as Ref), idOf(p.b as Ref)]
    if (paintId && otherId) await notePair(tx, { paintId, otherId, verdict: p.verdict, note: p.note })
  }
  const here = await allOffers(tx)
  for (const { of, ...offer } of head.offers) {
    const materialId = idOf(of as Ref)
    const known = here.some(
      (h) =>
        h.materialId === materialId &&
        h.startsOn === offer.startsOn &&
        h.sizeUl === offer.sizeUl &&
        h.listMinor === offer.listMinor &&
        h.supplier === offer.supplier &&
        h.terms.kind === offer.terms.kind,
    )
    if (materialId && !known) await saveOffer(tx, { ...offer, id: uuidv7(), materialId })
  }
  const shelf = await listSurfaces(tx)
  for (const s of head.surfaces)
    if (!shelf.some((h) => h.name === s.name && h.kind === s.kind)) await saveSurface(tx, { ...s, id: uuidv7() })
  await writeFormulas(tx, head.formulas, idOf)
  await writeRecipes(tx, head.recipes, idOf)
}
