import type { Metadata } from 'next'
import { listBases, listMixable } from '@/db/catalogue'
import { houseRules } from '@/db/houseRules'
import { listRecipes } from '@/db/recipes'
import { inStudio } from '@/session/current'
import { RecipeShelf } from '@/stations/bench/recipes/RecipeShelf'
import type { RecipeBody } from '@/stations/bench/recipes/schema'

export const metadata: Metadata = { title: 'Recipes and rules' }

export default async function RecipesPage() {
  const { recipes, rules, materials } = await inStudio(async (tx) => ({
    recipes: await listRecipes<RecipeBody>(tx),
    rules: await houseRules(tx),
    materials: [...(await listMixable(tx)), ...(await listBases(tx))],
  }))
  return <RecipeShelf recipes={recipes} rules={rules} materials={materials} now={new Date().toISOString()} />
}
