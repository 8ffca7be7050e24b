import type { Metadata } from 'next'
import { listBases, listMixable } from '@/db/materials/mixable'
import { houseRules } from '@/db/people/houseRules'
import { listRecipes } from '@/db/recipes/recipes'
import { inStudio } from '@/session/current'
import { RecipeBook } from '@/stations/bench/recipes/RecipeBook'
import type { RecipeBody } from '@/db/recipes/schema'

export const metadata: Metadata = { title: 'Recipes and rules' }

export default async function RecipesPage() {
  const { recipes, rules, materials } = await inStudio(async (tx) => ({
    recipes: await listRecipes<RecipeBody>(tx),
    rules: await houseRules(tx),
    materials: [...(await listMixable(tx)), ...(await listBases(tx))],
  }))
  return <RecipeBook recipes={recipes} rules={rules} materials={materials} now={new Date().toISOString()} />
}
