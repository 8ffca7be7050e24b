import Link from 'next/link'
import { formatFlOz, formatGrams, formatMl, massMg } from '@/core/quantity/format'
import { bottleFacts, bottleState, level, STATE_WORDS } from '@/core/vessel/bottleState'
import type { BottleFull, LotPortion } from '@/db/bottles'
import type { JournalEntry } from '@/db/journal'
import type { StudioFacts } from '@/db/studio'
import { undoAction } from '@/session/undo'
import { BottleGlyph } from '@/ui/BottleGlyph'
import { ago, dayAndTime } from '@/ui/dates'
import { JournalTable } from '@/ui/JournalTable'
import { TraceTable } from '@/ui/TraceTable'
import { TrayMark } from '@/ui/TrayMark'
import { BottleActions } from './BottleActions'
import { recipeText } from './recipeText'

interface Props {
  bottle: BottleFull
  portions: LotPortion[]
  entries: JournalEntry[]
  studio: StudioFacts
  now: Date
}

/** One bottle: what it is, what to do with it, what is in it, and how every millilitre came and went. */
export function BottleSheet({ bottle, portions, entries, studio, now }: Props) {
  const facts = bottleFacts(bottle)
  const state = bottleState(facts, now)
  const density = bottle.ul > 0 ? portions.reduce((s, p) => s + p.ul * p.densityGPerMl, 0) / bottle.ul : 0
  return (
    <>
      <div className="head" data-card>
        <h1>
          {bottle.label} <span className="sub">{bottle.role}</span>
        </h1>
        <a className="go second" href={`/rack/${bottle.id}/label`} target="_blank" rel="noreferrer">
          Print label
        </a>
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
        <section className="panel" style={{ display: 'grid', gridTemplateColumns: '190px 1fr', gap: 24 }}>
          <BottleGlyph
            id={bottle.id}
            height={270}
            look={{
              hex: bottle.hex,
              sheen: bottle.sheen,
              level: level(facts),
              resting: state === 'resting',
              empty: state === 'empty',
            }}
          />
          <div>
            <div className="big" data-testid="bottle-ml" data-ul={bottle.ul}>
              {formatMl(bottle.ul)}
            </div>
            <p className="muted" style={{ fontSize: '1.15rem' }}>
              {formatFlOz(bottle.ul)}
              {density ? ` · ${formatGrams(massMg(bottle.ul, density))} · ${density.toFixed(3)} g/ml` : ''}
            </p>
            <dl className="facts">
              <dt>State</dt>
              <dd>
                <b>{STATE_WORDS[state]}</b>
                {state === 'resting' ? ` until ${dayAndTime(bottle.restUntil, studio.zone)}` : ''}
              </dd>
              <dt>Mixed</dt>
              <dd>
                {dayAndTime(bottle.mixedAt, studio.zone)}, {ago(bottle.mixedAt, now)}
              </dd>
              <dt>Recipe</dt>
              <dd>{recipeText(bottle.recipe)}</dd>
              <dt>Holds</dt>
              <dd>{bottle.capacityUl ? `${formatMl(bottle.capacityUl)} at most` : 'not given'}</dd>
              <dt>Empty weight</dt>
              <dd>{bottle.tareMg === null ? 'not known yet' : formatGrams(bottle.tareMg)}</dd>
            </dl>
          </div>
        </section>
        <BottleActions bottle={bottle} units={studio.units} />
      </div>
      {portions.length ? (
        <section className="panel" style={{ marginTop: 20 }}>
          <h2>What is in it</h2>
          <TraceTable portions={portions} currency={studio.currency} zone={studio.zone} />
        </section>
      ) : null}
      <section className="panel" style={{ marginTop: 20 }}>
        <h2>How it came and went</h2>
        <JournalTable entries={entries} zone={studio.zone} undo={undoAction} signed />
      </section>
    </>
  )
}
