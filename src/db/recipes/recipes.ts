import { Conflict, NotFound } from '@/core/errors'
import { madeBefore } from '@/db/base/onceOnly'
import { techniqueBook } from '../techniques/read'
import type { Tx } from '@/db/base/withStudio'

/** One version of a named recipe; never changed, only followed by others. */
export interface RecipeVersion<Body> {
  readonly version: number
  readonly at: string
  readonly by: string | null
  readonly note: string
  readonly body: Body
}
export interface NamedRecipe<Body> {
  readonly id: string
  readonly name: string
  /** Newest first. */
  readonly versions: readonly RecipeVersion<Body>[]
}

const RECIPE = `r.id, r.name, (select json_agg(json_build_object('version', v.version, 'at', v.at, 'by', a.name, 'note', v.note, 'body', v.body) order by v.version desc)
  from recipe_version v left join account a on a.id = v.by where v.studio_id = r.studio_id and v.recipe_id = r.id) as versions`

/** The studio's named recipes, by name. */
export function listRecipes<Body>(tx: Tx): Promise<NamedRecipe<Body>[]> {
  return tx.q(`select ${RECIPE} from recipe r where r.studio_id = $1 and r.archived_at is null order by r.name_key`, [
    tx.studioId,
  ])
}

/** One recipe. @throws NotFound */
export async function findRecipe<Body>(tx: Tx, id: string): Promise<NamedRecipe<Body>> {
  const [row] = await tx.q<NamedRecipe<Body>>(`select ${RECIPE} from recipe r where r.studio_id = $1 and r.id = $2`, [
    tx.studioId,
    id,
  ])
  if (!row) throw new NotFound('recipe')
  return row
}

/**
 * Saves a recipe, or its next version; once per request.
 * @returns the version
 * @throws Conflict when another recipe has the name, or the request was made before with other content
 */
export async function saveRecipe<B extends { readonly technique: string }>(
  tx: Tx,
  r: { requestId: string; id: string; name: string; note: string; body: B },
): Promise<number> {
  ;(await techniqueBook(tx)).of(r.body.technique)
  await madeBefore(tx, r.requestId, 'recipe', r)
  const [before] = await tx.q<{ version: number }>(
    'select version from recipe_version where studio_id = $1 and request_id = $2',
    [tx.studioId, r.requestId],
  )
  if (before) return before.version
  const [taken] = await tx.q(
    'select 1 from recipe where studio_id = $1 and name_key = lower(btrim($2)) and id <> $3 and archived_at is null',
    [tx.studioId, r.name, r.id],
  )
  if (taken)
    throw new Conflict(
      `There is a recipe “${r.name}” already. Give this one another name, or open that one and save a version of it.`,
    )
  await tx.q(
    `insert into recipe (studio_id, id, name) values ($1, $2, $3)
     on conflict (studio_id, id) do update set name = excluded.name, archived_at = null`,
    [tx.studioId, r.id, r.name],
  )
  const [row] = await tx.q<{ version: number }>(
    `insert into recipe_version (studio_id, recipe_id, version, request_id, by, note, body)
     select $1, $2, coalesce(max(version), 0) + 1, $3, $4, $5, $6 from recipe_version where studio_id = $1 and recipe_id = $2
     returning version`,
    [tx.studioId, r.id, r.requestId, tx.accountId, r.note, JSON.stringify(r.body)],
  )
  return row!.version
}

/** Puts a recipe away; its versions stay with the bottles mixed by them. */
export async function putRecipeAway(tx: Tx, id: string): Promise<void> {
  await tx.q('update recipe set archived_at = now() where studio_id = $1 and id = $2', [tx.studioId, id])
}
