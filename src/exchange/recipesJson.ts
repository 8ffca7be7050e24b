import { array, object, string, type InferType } from 'yup'
import { v7 as uuidv7 } from 'uuid'
import { techniqueKey } from '@/db/techniques/schema'
import { ROLES } from '@/core/paint/properties'
import { listRecipes, saveRecipe, type NamedRecipe } from '@/db/recipes/recipes'
import type { Tx } from '@/db/base/withStudio'
import { toBring } from '@/exchange/named'
import { refSchema, type Ref } from '@/exchange/ref'

const typed = string().trim().max(40).default('')
const rows = (most: number) =>
  array(refSchema.shape({ parts: typed }))
    .max(most)
    .default([])
/** A named recipe in a catalogue file: its versions from the first on, what was typed of each. */
export const recipeSchema = object({
  name: string().trim().min(1).max(120).required(),
  versions: array(
    object({
      note: string().max(1000).default(''),
      paints: rows(12),
      mediums: rows(3),
      ratio: typed,
      water: refSchema.nullable().default(null),
      waterParts: typed,
      drops: rows(6),
      steps: array(string().trim().max(300).required()).max(12).default([]),
      role: string().oneOf(ROLES).required(),
      technique: techniqueKey().required(),
    }),
  )
    .min(1)
    .max(500)
    .required(),
})
export type JsonRecipe = InferType<typeof recipeSchema>
type Version = JsonRecipe['versions'][number]

interface Row {
  readonly id: string
  readonly parts: string
}
/** What the bench keeps of a version. */
interface Body extends Pick<Version, 'ratio' | 'waterParts' | 'steps' | 'role' | 'technique'> {
  readonly paints: readonly Row[]
  readonly mediums: readonly Row[]
  readonly drops: readonly Row[]
  readonly waterId: string
}

/** What a list of rows turns into where each of it leads somewhere; undefined where one does not. */
function all<A, B>(list: readonly A[], one: (a: A) => B | undefined): B[] | undefined {
  const found = list.flatMap((a) => one(a) ?? [])
  return found.length === list.length ? found : undefined
}

/** Every named recipe in use, by name. A version with a base from the rack is left out: a bottle does not travel. */
export async function readRecipes(tx: Tx, refOf: (materialId: string) => Ref | undefined): Promise<JsonRecipe[]> {
  const row = ({ id, parts }: Row) => {
    const ref = refOf(id)
    return ref && { ...ref, parts }
  }
  return (await listRecipes<Body>(tx)).flatMap((r) => {
    const versions = [...r.versions].reverse().flatMap(({ note, body }): Version[] => {
      const [paints, mediums, drops] = [all(body.paints, row), all(body.mediums, row), all(body.drops, row)]
      if (!paints || !mediums || !drops) return []
      const { ratio, waterParts, steps, role, technique } = body
      return [
        { note, paints, mediums, ratio, water: refOf(body.waterId) ?? null, waterParts, drops, steps, role, technique },
      ]
    })
    return versions.length ? [{ name: r.name, versions }] : []
  })
}

/**
 * Brings named recipes in. One that is not here comes with all its versions; one whose name is here only gets the
 * newest of the file, where none of its own is like it. A version of which a material leads nowhere is left out.
 */
export async function writeRecipes(
  tx: Tx,
  list: readonly JsonRecipe[],
  idOf: (r: Ref) => string | undefined,
): Promise<void> {
  const row = (r: Version['paints'][number]) => {
    const id = idOf(r as Ref)
    return id === undefined ? undefined : { id, parts: r.parts }
  }
  for (const { item: r, id, known, versions } of toBring<Version, JsonRecipe, NamedRecipe<Body>>(
    list,
    await listRecipes<Body>(tx),
  )) {
    for (const { note, paints, mediums, drops, water, ...rest } of versions) {
      const found = [all(paints, row), all(mediums, row), all(drops, row)] as const
      if (!found[0] || !found[1] || !found[2]) continue
      const body: Body = {
        ...rest,
        paints: found[0],
        mediums: found[1],
        drops: found[2],
        waterId: (water && idOf(water as Ref)) ?? '',
      }
      if (known?.versions.some((own) => alike(own.body, body))) continue
      await saveRecipe(tx, { requestId: uuidv7(), id, name: known?.name ?? r.name, note, body })
    }
  }
}

const alike = (a: Body, b: Body) => {
  const flat = ({ paints, mediums, drops, ratio, waterId, waterParts, steps, role, technique }: Body) =>
    JSON.stringify([
      ...[paints, mediums, drops].map((l) => l.map((x) => [x.id, x.parts])),
      ratio,
      waterId,
      waterParts,
      steps,
      role,
      technique,
    ])
  return flat(a) === flat(b)
}
