import type { Metadata } from 'next'
import { portionsOf } from '@/db/bottles/read'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { FormulasNav } from '@/stations/formulas/FormulasNav'
import { MendDesk } from '@/stations/formulas/mend/MendDesk'
import { cupOf } from '@/stations/formulas/mend/cup'
import { deskData } from '@/stations/formulas/queries'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Mend a cup' }

export default async function MendPage({ searchParams }: { searchParams: Search }) {
  const { bottle } = firstValues(await searchParams)
  const { data, portions } = await inStudio(async (tx) => ({
    data: await deskData(tx),
    portions: isId(bottle) ? await portionsOf(tx, [bottle]) : [],
  }))
  const chosen = data.bottles.find((b) => b.id === bottle)
  const start = cupOf(chosen, portions, data.byId)
  return (
    <>
      <div className="head">
        <h1>
          Mend a cup <span className="sub">by adding, as little as can be</span>
        </h1>
      </div>
      <FormulasNav here="/formulas/mend" />
      <MendDesk
        key={start.bottleId}
        paints={data.paints}
        studio={data.studio}
        bottles={data.bottles.map((b) => ({ id: b.id, label: b.label }))}
        start={start}
        wetDry={data.wetDry}
        units={data.facts.units}
      />
    </>
  )
}
