import type { Metadata } from 'next'
import { houseRules, rulesOf } from '@/db/people/houseRules'
import { studioFacts } from '@/db/people/studio'
import { inStudio } from '@/session/current'
import { PaintsNav } from '@/stations/paints/PaintsNav'
import { BoxedSet } from '@/stations/paints/stock/BoxedSet'
import { leagueEntries } from '@/db/materials/leagueEntries'
import { PaintingCosts } from '@/stations/paints/stock/PaintingCosts'
import { PriceLeague } from '@/stations/paints/stock/PriceLeague'
import { allOffers, pricedMediums, pricedPaints } from '@/db/materials/prices'
import { RunningOut } from '@/stations/paints/stock/RunningOut'

export const metadata: Metadata = { title: 'Prices' }

export default async function Prices() {
  const now = new Date()
  const { paints, mediums, offers, studio, rules } = await inStudio(async (tx) => ({
    paints: await pricedPaints(tx, now),
    mediums: await pricedMediums(tx),
    offers: await allOffers(tx),
    studio: await studioFacts(tx),
    rules: rulesOf(await houseRules(tx)),
  }))
  const { currency, units, water } = studio
  const entries = leagueEntries(paints, offers, now.toISOString().slice(0, 10), { rules, water })
  return (
    <>
      <div className="head">
        <h1>
          Prices <span className="sub">per ml, per ml mixed, per painting</span>
        </h1>
      </div>
      <PaintsNav here="/paints/prices" />
      <div className="grid">
        <PaintingCosts entries={entries} mediums={mediums} currency={currency} units={units} />
        <PriceLeague entries={entries} mediums={mediums} currency={currency} />
        <RunningOut paints={paints} now={now} />
        <BoxedSet paints={paints} currency={currency} units={units} />
      </div>
    </>
  )
}
