import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { findFormula, usedIn } from '@/db/formulas/formulas'
import { isId } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { FormulaDesk } from '@/stations/formulas/desk/FormulaDesk'
import { PaintedOut, UsedInBottles, Versions } from '@/stations/formulas/desk/Versions'
import { FormulasNav } from '@/stations/formulas/FormulasNav'
import { oneFormulaData } from '@/stations/formulas/queries'
import { hexOfParts, textOfParts } from '@/stations/formulas/shown'
import { targetFromAddress } from '@/stations/formulas/address'
import { orNotFound } from '@/ui/frame/orNotFound'
import { firstValues, type Search } from '@/ui/frame/search'

export const metadata: Metadata = { title: 'Formula' }

export default async function FormulaPage({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>
  searchParams: Search
}) {
  const { id } = await params
  if (!isId(id)) notFound()
  const wanted = Number(firstValues(await searchParams).version)
  const { formula, bottles, data } = await inStudio(async (tx) => ({
    formula: await findFormula(tx, id),
    bottles: await usedIn(tx, id),
    data: await oneFormulaData(tx),
  })).catch(orNotFound)
  const versions = formula.versions.map((v) => ({
    ...v,
    hex: hexOfParts(v.parts, data.byId),
    text: textOfParts(v.parts, data.byId),
  }))
  const shown = versions.find((v) => v.version === wanted) ?? versions[0]!
  const missing = shown.parts.length - shown.parts.filter((p) => data.byId.has(p.paintId)).length
  return (
    <>
      <div className="head">
        <h1>
          {formula.name}{' '}
          <span className="sub">
            version {shown.version} of {versions[0]!.version}
          </span>
        </h1>
        {formula.archived ? <b>Put away</b> : null}
        {missing ? <b>{missing === 1 ? 'One of its paints is' : `${missing} of its paints are`} put away</b> : null}
      </div>
      <FormulasNav />
      <FormulaDesk
        key={`${id}/${shown.version}`}
        paints={[
          ...data.paints,
          ...shown.parts.flatMap((p) =>
            data.paints.some((x) => x.id === p.paintId) ? [] : (data.byId.get(p.paintId) ?? []),
          ),
        ]}
        start={{
          rows: shown.parts
            .filter((p) => data.byId.has(p.paintId))
            .map((p) => ({ id: p.paintId, amount: String(Number(p.parts)) })),
          target: targetFromAddress(shown.targetHex?.slice(1)),
        }}
        studio={data.studio}
        kept={{
          id,
          version: shown.version,
          name: formula.name,
          notes: formula.notes,
          standsInFor: formula.standsInFor,
          archived: formula.archived,
          dryHex: shown.dryHex,
        }}
        wetDry={data.wetDry}
        rules={data.rules}
        dried={data.dried}
        discontinued={data.discontinued}
        currency={data.facts.currency}
        units={data.facts.units}
      >
        <Versions formulaId={id} versions={versions} shown={shown.version} zone={data.facts.zone} />
        <div className="two">
          <PaintedOut key={shown.version} formulaId={id} version={shown} />
          <UsedInBottles bottles={bottles} zone={data.facts.zone} />
        </div>
      </FormulaDesk>
    </>
  )
}
