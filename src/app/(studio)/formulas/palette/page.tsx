import type { Metadata } from 'next'
import type { Sheen } from '@/core/paint/properties'
import { bottlesInUse } from '@/db/bottles/read'
import { listMixable } from '@/db/materials/mixable'
import { makersWord } from '@/db/materials/makersWord'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { FormulasNav } from '@/stations/formulas/FormulasNav'
import { PaletteCheck } from '@/stations/formulas/palette/PaletteCheck'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Palette check' }

export default async function Palette({ searchParams }: { searchParams: Search }) {
  const ids = (firstValues(await searchParams).paints ?? '').split(',').filter(isId)
  const { paints, words, bottles } = await inStudio(async (tx) => ({
    paints: (await listMixable(tx)).filter((m) => m.kind === 'paint'),
    words: (await makersWord(tx)).pairs,
    bottles: await bottlesInUse(tx),
  }))
  return (
    <>
      <div className="head">
        <h1>
          Palette check <span className="sub">what meets what, before it is poured</span>
        </h1>
      </div>
      <FormulasNav here="/formulas/palette" />
      <PaletteCheck
        key={ids.join()}
        paints={paints}
        words={words}
        start={ids}
        bottles={bottles.flatMap((b) =>
          b.hex ? [{ id: b.id, label: b.label, hex: b.hex, sheen: b.sheen as Sheen }] : [],
        )}
      />
    </>
  )
}
