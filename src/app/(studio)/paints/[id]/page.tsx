import type { Metadata } from 'next'
import { Link } from '@/ui/frame/Link'
import { notFound } from 'next/navigation'
import { alike } from '@/core/colour/likeness'
import { readOptics } from '@/db/materials/optics'
import { houseRules, rulesOf } from '@/db/people/houseRules'
import { studioFacts } from '@/db/people/studio'
import { houseRatioOf } from '@/core/mix/houseRules'
import { onHand } from '@/db/materials/onHand'
import { isId, type Tx } from '@/db/base/withStudio'
import { inStudio } from '@/session/current'
import { ArchiveButton } from '@/stations/paints/card/ArchiveButton'
import { History } from '@/stations/paints/card/History'
import { MaterialForm } from '@/stations/paints/card/MaterialForm'
import { PairNotes, type PairShown } from '@/stations/paints/card/PairNotes'
import { StandIns } from '@/stations/paints/card/StandIns'
import { standInsOf } from '@/stations/paints/card/standInsOf'
import { PaintSheet } from '@/stations/paints/card/PaintSheet'
import { drawerOf, type DrawerPaint } from '@/db/materials/drawer'
import { MediumSheet } from '@/stations/paints/mediums/MediumSheet'
import { changesOf, findMaterial, inputOf, makers, pairNotes, type MaterialRow } from '@/db/materials/read'
import { ContainerPanel } from '@/stations/paints/stock/ContainerPanel'
import { OfferPanel } from '@/stations/paints/stock/OfferPanel'
import { containersOf, offersOf, paceOf, PACE_DAYS, pricedMediums } from '@/db/materials/prices'
import { orNotFound } from '@/ui/frame/orNotFound'
import { firstValues, type Search } from '@/ui/frame/search'
import { TrayMark } from '@/ui/frame/TrayMark'
import styles from '@/stations/paints/paints.module.css'

export const metadata: Metadata = { title: 'Paint' }

const TABS = { card: 'Card', change: 'Change', stock: 'Containers and prices', history: 'History' } as const
type Tab = keyof typeof TABS

export default async function Paint({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>
  searchParams: Search
}) {
  const { id } = await params
  if (!isId(id)) notFound()
  const wanted = firstValues(await searchParams).tab as Tab | undefined
  const tab = wanted && wanted in TABS ? wanted : 'card'
  const { material, body } = await inStudio(async (tx) => {
    const material = await findMaterial(tx, id)
    return { material, body: await TAB[tab](tx, material) }
  }).catch(orNotFound)
  return (
    <>
      <div className="head">
        <h1>
          {material.name} <span className="sub">{[material.maker, material.line].filter(Boolean).join(' · ')}</span>
        </h1>
        {material.archived ? <b>Put away</b> : null}
        <ArchiveButton id={id} archived={material.archived} />
        {material.kind === 'paint' ? (
          <span className={styles.trayCell}>
            <TrayMark
              item={{ kind: 'paint', id, label: material.name, hex: material.swatchHex, sheen: material.sheen }}
            />
          </span>
        ) : null}
      </div>
      <nav className="places" aria-label="About this paint">
        {Object.entries(TABS).map(([key, name]) => (
          <Link
            key={key}
            href={key === 'card' ? `/paints/${id}` : `/paints/${id}?tab=${key}`}
            aria-current={key === tab ? 'page' : undefined}
          >
            {name}
          </Link>
        ))}
        <Link href={material.kind === 'paint' ? '/paints' : '/paints/mediums'} className="pull">
          Back to the {material.kind === 'paint' ? 'drawer' : 'mediums'}
        </Link>
      </nav>
      {body}
    </>
  )
}

/** What each tab shows, read in the page's own transaction. */
const TAB: Readonly<Record<Tab, (tx: Tx, m: MaterialRow) => Promise<React.ReactNode>>> = {
  async card(tx, m) {
    const { currency } = await studioFacts(tx)
    const held = await onHand(tx)
    if (m.kind !== 'paint') return <MediumSheet medium={m} onHandUl={held.get(m.id) ?? null} currency={currency} />
    const paints = await everyPaint(tx)
    const paint = paints.get(m.id)!
    const others = [...paints.values()].filter((p) => !p.archived).map((p) => comparable(p))
    const cheapest = (await pricedMediums(tx))[0]
    const notes = (await pairNotes(tx, [m.id])).flatMap((n): PairShown[] => {
      const other = paints.get(n.aId === m.id ? n.bId : n.aId)
      return other
        ? [
            {
              otherId: other.id,
              other: other.name,
              hex: other.swatchHex,
              sheen: other.sheen,
              verdict: n.verdict,
              note: n.note,
            },
          ]
        : []
    })
    return (
      <>
        <PaintSheet
          paint={paint}
          onHandUl={held.get(m.id) ?? null}
          mediumPerMl={cheapest?.perMl ?? null}
          alike={alike(comparable(paint), others).map((a) => ({ ...a, paint: paints.get(a.id)! }))}
          byId={paints}
          currency={currency}
          ratio={houseRatioOf(paint, rulesOf(await houseRules(tx)))}
          optics={(await readOptics(tx, [m.id]))[0]}
        />
        {m.discontinued ? (
          <StandIns paintId={m.id} paintHex={m.swatchHex} list={await standInsOf(tx, paint, paints)} />
        ) : null}
        <PairNotes paintId={m.id} notes={notes} paints={choices(paints)} />
      </>
    )
  },
  async change(tx, m) {
    const { units } = await studioFacts(tx)
    const kind = m.kind === 'additive' ? 'medium' : m.kind
    return (
      <MaterialForm
        key={m.revision}
        kind={kind}
        material={{ id: m.id, revision: m.revision, input: inputOf(m) }}
        units={units}
        makers={await makers(tx)}
        paints={choices(await everyPaint(tx))}
      />
    )
  },
  async stock(tx, m) {
    const studio = await studioFacts(tx)
    const now = new Date()
    return (
      <div className="grid">
        <ContainerPanel
          material={{ id: m.id, name: m.name, containerUl: m.containerUl, priceMinor: m.priceMinor }}
          containers={await containersOf(tx, m.id)}
          currency={studio.currency}
          zone={studio.zone}
          units={studio.units}
        />
        <OfferPanel
          materialId={m.id}
          offers={await offersOf(tx, m.id)}
          onHandUl={(await onHand(tx)).get(m.id) ?? 0}
          usedUl={(await paceOf(tx, now)).get(m.id) ?? 0}
          overDays={PACE_DAYS}
          usualUl={m.containerUl}
          now={now.toISOString()}
          currency={studio.currency}
          zone={studio.zone}
          units={studio.units}
        />
      </div>
    )
  },
  async history(tx, m) {
    return <History materialId={m.id} changes={await changesOf(tx, m.id)} zone={(await studioFacts(tx)).zone} />
  },
}

async function everyPaint(tx: Tx): Promise<Map<string, DrawerPaint>> {
  const [drawer, putAway] = [await drawerOf(tx, false), await drawerOf(tx, true)]
  return new Map([...drawer.rows, ...putAway.rows].map((r) => [r.id, r]))
}
const choices = (paints: ReadonlyMap<string, DrawerPaint>) =>
  [...paints.values()]
    .filter((p) => !p.archived)
    .map((p) => ({ id: p.id, label: [p.name, p.maker].filter(Boolean).join(' · ') }))
const comparable = (p: DrawerPaint) => ({
  id: p.id,
  swatchHex: p.swatchHex,
  pigments: p.pigments,
  body: p.body,
  perMl: p.perMl,
})
