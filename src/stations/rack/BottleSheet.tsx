import type { Water } from '@/db/materials/mixable'
import { Link } from '@/ui/frame/Link'
import type { TechniqueBook } from '@/core/technique/techniques'
import { bandOf, type Band } from '@/core/consistency/levelTime'
import { costOf } from '@/core/purchase/cost'
import { formatMoney } from '@/core/quantity/money'
import { formatFlOz, formatGrams, formatMl, massMg } from '@/core/quantity/format'
import type { WaterVerdict } from '@/core/mix/waterLimit'
import { factsFromTexts, needsOf } from '@/core/vessel/needs'
import { shortCode } from '@/core/vessel/shortCode'
import type { BottleFull, LotPortion } from '@/db/bottles/read'
import type { JournalEntry } from '@/db/ledger'
import type { MayGoBack } from '@/db/mixes'
import type { StudioFacts } from '@/db/people/studio'
import { undoAction } from '@/server/undoAction'
import { BottleGlyph } from '@/ui/pictures/BottleGlyph'
import { ago, day, dayAndTime } from '@/ui/tables/dates'
import { JournalTable } from '@/ui/tables/JournalTable'
import { TraceTable } from '@/ui/tables/TraceTable'
import { TrayMark } from '@/ui/frame/TrayMark'
import { BottleActions } from './BottleActions'
import { Live } from './Live'
import { lookOf } from './looks'
import { NeedList } from './NeedList'
import type { ColourSaid } from './queries'
import { recipeText } from './recipeText'
import styles from './rack.module.css'

interface Props {
  techniques: TechniqueBook
  bottle: BottleFull
  portions: LotPortion[]
  /** What is said of its colour; nothing where it has none. */
  colour: ColourSaid | undefined
  entries: JournalEntry[]
  studio: StudioFacts
  now: Date
  /** What the house's limit says of the water in it; nothing where it is empty. */
  water: WaterVerdict | undefined
  waters: Water[]
  others: { id: string; label: string }[]
  bands: readonly Band[]
  /** Pieces it was poured on. */
  fed: { id: string; title: string; ul: number }[]
  /** What left it lately and may go back. */
  goBack: MayGoBack[]
}

/** One bottle: what it is, what it needs, what is in it, and how every millilitre came and went. */
export function BottleSheet({
  bottle,
  portions,
  colour,
  entries,
  studio,
  now,
  water,
  waters,
  others,
  bands,
  fed,
  goBack,
  techniques,
}: Props) {
  const facts = factsFromTexts(bottle, now.getTime(), techniques)
  const needs = needsOf(
    { ...facts, roomUl: water?.roomUl },
    now.getTime(),
    (at) => dayAndTime(at, studio.zone),
    studio.drops.water,
  )
  const density = bottle.ul > 0 ? portions.reduce((s, p) => s + p.ul * p.densityGPerMl, 0) / bottle.ul : 0
  const cost = costOf(portions)
  const seconds = facts.expectedS ?? bottle.levelTimeS
  return (
    <>
      <Live />
      <div className="head" data-card>
        <h1>
          {bottle.label} <span className="sub">{bottle.isJar ? 'run-off, kept' : bottle.role}</span>
        </h1>
        <Link className="go second" href={`/rack/labels?ids=${bottle.id}`}>
          Print label
        </Link>
        <Link className="go second" href={`/bench?like=${bottle.id}`}>
          Mix more of it
        </Link>
        <span style={{ position: 'relative', width: 48, height: 48 }}>
          <TrayMark
            item={{ kind: 'bottle', id: bottle.id, label: bottle.label, hex: bottle.hex, sheen: bottle.sheen }}
          />
        </span>
      </div>
      <div className="wide-left">
        <section className={`panel ${styles.bottleFacts}`}>
          <BottleGlyph
            id={bottle.id}
            height={270}
            look={lookOf({ ...bottle, ...facts, levelTimeS: seconds }, now.getTime())}
          />
          <div>
            <div className="big" data-testid="bottle-ml" data-ul={bottle.ul}>
              {formatMl(bottle.ul)}
            </div>
            <p className="muted said">
              {formatFlOz(bottle.ul)}
              {density ? ` · ${formatGrams(massMg(bottle.ul, density))} · ${density.toFixed(3)} g/ml` : ''}
              {bottle.ul > 0 ? ` · ${formatMoney(cost.minor, studio.currency)} of paint` : ''}
            </p>
            <NeedList needs={needs} vesselId={bottle.id} />
            <dl className="facts">
              <dt>Mixed</dt>
              <dd>
                {dayAndTime(bottle.mixedAt, studio.zone)}, {ago(bottle.mixedAt, now)}
              </dd>
              <dt>Keeps until</dt>
              <dd>{bottle.keepUntil ? day(bottle.keepUntil, studio.zone) : 'not known'}</dd>
              <dt>Pours</dt>
              <dd>
                {seconds ? `flat in ${seconds.toFixed(1)} s, ${bandOf(seconds, bands).name}` : 'not read yet'}
                {bottle.readAt ? `, read ${ago(bottle.readAt, now)}` : ''} ·{' '}
                <Link href={`/bench/consistency?bottle=${bottle.id}`}>read it</Link>
              </dd>
              {colour ? (
                <>
                  <dt>Colour</dt>
                  <dd>
                    {colour.how} ΔE00{colour.next ? <span className="muted"> · {colour.next}</span> : null}
                  </dd>
                </>
              ) : null}
              {colour?.hides ? (
                <>
                  <dt>Hides</dt>
                  <dd>{colour.hides}</dd>
                </>
              ) : null}
              <dt>Recipe</dt>
              <dd>{recipeText(bottle.recipe)}</dd>
              {bottle.hasAdditive ? (
                <>
                  <dt>Holds</dt>
                  <dd>
                    <b>
                      {[...new Set(portions.flatMap((p) => (p.kind === 'additive' ? [p.material] : [])))].join(', ')}
                    </b>
                    : no base coat, slip coat or cushion; clean the dry piece before varnish or resin
                  </dd>
                </>
              ) : null}
              <dt>Bottle</dt>
              <dd>
                {bottle.capacityUl ? `holds ${formatMl(bottle.capacityUl)}` : 'size not given'},{' '}
                {bottle.tareMg === null ? 'empty weight not known yet' : `${formatGrams(bottle.tareMg)} empty`}
              </dd>
              <dt>Code</dt>
              <dd>
                <b style={{ letterSpacing: '0.06em' }}>{shortCode(bottle.code)}</b>
                {bottle.palette ? ` · palette ${bottle.palette}` : ''}
                {bottle.technique ? ` · ${techniques.name(bottle.technique)}` : ''}
              </dd>
            </dl>
          </div>
        </section>
        <BottleActions
          bottle={bottle}
          units={studio.units}
          zone={studio.zone}
          limit={water}
          waters={waters}
          others={others}
          goBack={goBack}
        />
      </div>
      {portions.length ? (
        <section className="panel below">
          <h2>What is in it, and what it cost</h2>
          <TraceTable portions={portions} currency={studio.currency} zone={studio.zone} />
        </section>
      ) : null}
      {fed.length ? (
        <section className="panel below">
          <h2>Which pours it fed</h2>
          <p className="flush">
            {fed.map((f, i) => (
              <span key={f.id}>
                {i ? ' · ' : ''}
                <Link href={`/wall/${f.id}`}>{f.title}</Link>, {formatMl(f.ul)}
              </span>
            ))}
          </p>
        </section>
      ) : null}
      <section className="panel below">
        <h2>How it came and went</h2>
        <JournalTable entries={entries} zone={studio.zone} undo={undoAction} signed />
      </section>
    </>
  )
}
