import type { Metadata } from 'next'
import { undefinedIfMissing } from '@/core/errors'
import { findBottle } from '@/db/bottles/read'
import { listBases, listMixable } from '@/db/materials/mixable'
import { houseRules } from '@/db/people/houseRules'
import { openMixings } from '@/db/mixings/mixings'
import { findRecipe } from '@/db/recipes/recipes'
import { findFormula } from '@/db/formulas/formulas'
import { studioFacts } from '@/db/people/studio'
import { isId, type Tx } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { Bench } from '@/stations/bench/Bench'
import type { RecipeBody } from '@/db/recipes/schema'
import { benchStart } from '@/stations/bench/start'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Bench' }

export default async function BenchPage({ searchParams }: { searchParams: Search }) {
  const { paints = '', parts = '', like, ul, formula = '', recipe = '' } = firstValues(await searchParams)
  const {
    materials,
    studio,
    bottle,
    formula: named,
    recipe: kept,
    rules,
    open,
  } = await inStudio(async (tx) => ({
    materials: [...(await listMixable(tx)), ...(await listBases(tx))],
    rules: await houseRules(tx),
    open: await openMixings<{ label: string }, unknown>(tx),
    recipe: await namedRecipe(tx, recipe),
    studio: await studioFacts(tx),
    formula: await namedFormula(tx, formula),
    bottle: isId(like) ? await findBottle(tx, like).catch(undefinedIfMissing) : undefined,
  }))
  const totalUl = ul && /^\d{1,10}$/.test(ul) ? Number(ul) : undefined
  const start = benchStart(materials, {
    like: bottle,
    paints: paints.split(','),
    parts: parts.split(','),
    totalUl,
    us: studio.units === 'us',
    formula: named,
    recipe: kept,
  })
  return (
    <Bench
      materials={materials}
      start={start}
      units={studio.units}
      waterRule={studio.water}
      currency={studio.currency}
      rules={rules}
      open={open.map((m) => ({
        id: m.id,
        kind: m.kind,
        label: m.plan.label,
        createdAt: m.createdAt,
        steps: m.revision,
      }))}
    />
  )
}

/** The recipe of `recipe=<id>.<version>`; its newest version where none is named, undefined where there is none. */
async function namedRecipe(tx: Tx, text: string) {
  const [id, version] = text.split('.')
  if (!isId(id)) return undefined
  const found = await findRecipe<RecipeBody>(tx, id).catch(undefinedIfMissing)
  const v = found?.versions.find((x) => x.version === Number(version)) ?? found?.versions[0]
  return found && v ? { id, name: found.name, version: v.version, body: v.body } : undefined
}

/** The formula of `formula=<id>.<version>`; undefined where there is none. */
async function namedFormula(tx: Tx, text: string) {
  const [id, version] = text.split('.')
  if (!isId(id)) return undefined
  const formula = await findFormula(tx, id).catch(undefinedIfMissing)
  return formula?.versions.some((v) => v.version === Number(version))
    ? { id, version: Number(version), name: formula.name }
    : undefined
}
