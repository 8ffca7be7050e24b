import type { Metadata } from 'next'
import { inStudio } from '@/session/current'
import { targetFromAddress } from '@/stations/formulas/address'
import { FormulasNav } from '@/stations/formulas/FormulasNav'
import { MatchDesk } from '@/stations/formulas/match/MatchDesk'
import { deskData } from '@/stations/formulas/queries'
import { targetOf } from '@/stations/formulas/target/target'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Match a colour' }

export default async function Match({ searchParams }: { searchParams: Search }) {
  const { hex, of } = firstValues(await searchParams)
  const { paints, studio, facts } = await inStudio(deskData)
  const known = studio.find((c) => c.id === of)
  return (
    <>
      <div className="head">
        <h1>
          Match a colour <span className="sub">with the paints there are</span>
        </h1>
      </div>
      <FormulasNav here="/formulas/match" />
      <MatchDesk
        paints={paints}
        studio={studio}
        start={known ? targetOf(known) : targetFromAddress(hex)}
        currency={facts.currency}
        units={facts.units}
      />
    </>
  )
}
