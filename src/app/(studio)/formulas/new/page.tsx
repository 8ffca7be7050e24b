import type { Metadata } from 'next'
import { inStudio } from '@/session/current'
import { FormulaDesk } from '@/stations/formulas/desk/FormulaDesk'
import { FormulasNav } from '@/stations/formulas/FormulasNav'
import { oneFormulaData } from '@/stations/formulas/queries'
import { rowsFromAddress, targetFromAddress } from '@/stations/formulas/address'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Try a mix' }

export default async function NewFormula({ searchParams }: { searchParams: Search }) {
  const address = firstValues(await searchParams)
  const { paints, byId, studio, wetDry, rules, dried, discontinued, facts } = await inStudio(oneFormulaData)
  return (
    <>
      <div className="head">
        <h1>
          Try a mix <span className="sub">which colour do these make</span>
        </h1>
      </div>
      <FormulasNav here="/formulas/new" />
      <FormulaDesk
        key={`${address.paints}/${address.parts}`}
        paints={paints}
        start={{ rows: rowsFromAddress(address, byId), target: targetFromAddress(address.target) }}
        studio={studio}
        kept={undefined}
        wetDry={wetDry}
        rules={rules}
        dried={dried}
        discontinued={discontinued}
        currency={facts.currency}
        units={facts.units}
      />
    </>
  )
}
