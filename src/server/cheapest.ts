import highs from 'highs'
import { Invalid } from '@/core/errors'
import { boughtFrom, buyingProgram, type Bought, type Deal } from '@/core/purchase/buying'

let solver: ReturnType<typeof highs> | undefined

/**
 * The cheapest purchase that covers all needs, µl by material, with an integer programme.
 * @throws Invalid where a material has no price at all, or nothing covers what is needed
 */
export async function cheapestCover(needs: ReadonlyMap<string, number>, deals: readonly Deal[]): Promise<Bought[]> {
  const wanted = new Map([...needs].filter(([, ul]) => ul > 0))
  if (wanted.size === 0) return []
  for (const id of wanted.keys())
    if (!deals.some((d) => d.materialId === id))
      throw new Invalid('Something to buy has no price yet. Put in what it costs, under prices.')
  const found = (await (solver ??= highs())).solve(buyingProgram(wanted, deals))
  if (found.Status !== 'Optimal') throw new Invalid('No purchase covers that much. Check the sizes and prices.')
  return boughtFrom(deals, (x) => {
    const column = found.Columns[x]
    return column && 'Primal' in column ? column.Primal : 0
  })
}
