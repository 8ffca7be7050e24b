import { Link } from '@/ui/frame/Link'
import type { ReactNode } from 'react'
import { costOf } from '@/core/purchase/cost'
import { formatVolume } from '@/core/quantity/format'
import { formatMoney } from '@/core/quantity/money'
import { STAYED_WORDS } from '@/core/run/stayed'
import { surfaceWords } from '@/core/surface/words'
import type { LotPortion } from '@/db/bottles/read'
import type { StudioFacts } from '@/db/people/studio'
import type { KeptCoat } from '@/db/pieces/finish'
import type { Piece } from '@/db/pieces/read'
import type { KeptRehearsal } from '@/db/rehearsals/read'
import { Chip } from '@/ui/pictures/Drawdown'
import { ToldLine } from '@/ui/tables/ToldLine'

const sum = (list: readonly { ul: number }[]) => list.reduce((ul, p) => ul + p.ul, 0)

/** What the books know of a piece: technique, surface, set, what stayed on it, cost, bottles, finish. */
export function Facts({
  piece,
  portions,
  wasted,
  set,
  rehearsed,
  coats,
  studio,
  technique,
}: {
  piece: Piece
  portions: readonly LotPortion[]
  wasted: readonly LotPortion[]
  set: readonly { id: string; title: string }[]
  rehearsed: KeptRehearsal | undefined
  coats: readonly KeptCoat[]
  studio: StudioFacts
  technique: string
}) {
  const paint = costOf(portions).minor
  const waste = costOf(wasted).minor
  const finish = coats.reduce((minor, c) => minor + c.costMinor, 0)
  // What bottles gave and the piece no longer holds went into jars.
  const intoJars = Math.max(0, sum(piece.colours) - sum(portions) - sum(wasted))
  const money = (minor: number) => formatMoney(minor, studio.currency)
  const facts: [string, ReactNode][] = [
    ['Technique', technique],
    ['Surface', `${surfaceWords(piece.surface)}${piece.surface.count > 1 ? `, ${piece.surface.count} pieces` : ''}`],
  ]
  if (set.length > 1)
    facts.push([
      'Set',
      <>
        One of a set of {set.length}:{' '}
        {set
          .filter((p) => p.id !== piece.id)
          .map((p, i) => (
            <span key={p.id}>
              {i ? ', ' : ''}
              <Link href={`/wall/${p.id}`}>{p.title}</Link>
            </span>
          ))}
      </>,
    ])
  facts.push([
    piece.stayedHow ? 'Left on it' : 'Poured',
    <span key="poured" data-testid="poured">
      {formatVolume(sum(portions))}
      {piece.stayedHow
        ? ` of ${formatVolume(sum(piece.colours))}, ${STAYED_WORDS[piece.stayedHow]}; ${formatVolume(sum(wasted))} went to waste`
        : ''}
    </span>,
  ])
  if (piece.driesAt) facts.push(['Dries on', piece.driesAt])
  if (rehearsed)
    facts.push([
      'Rehearsed',
      <span key="rehearsed" data-testid="rehearsed">
        <ToldLine told={rehearsed.told} />{' '}
        {intoJars > 0
          ? `Into jars went ${formatVolume(intoJars)}${piece.surface.count > 1 ? ` of ${piece.surface.count} pieces` : ''}.`
          : 'Nothing was weighed into a jar yet.'}
      </span>,
    ])
  facts.push([
    'Cost',
    <span key="cost" data-testid="piece-cost">
      <b>{money(paint + waste + piece.surfaceCostMinor + finish)}</b> ({money(paint)} paint,{' '}
      {money(piece.surfaceCostMinor)} surface{waste > 0 ? `, ${money(waste)} run off to waste` : ''}
      {finish > 0 ? `, ${money(finish)} finish` : ''})
    </span>,
  ])
  facts.push([
    'Bottles',
    piece.colours.map((c) => (
      <span key={c.label} className="chipline tight">
        <Chip hex={c.hex} size={22} />
        {c.label} · {formatVolume(c.ul)}
      </span>
    )),
  ])
  if (coats.length)
    facts.push([
      'Finish',
      coats.map((c) => (
        <span key={c.id} className="block">
          {c.coats > 1 ? `${c.coats} coats of ` : ''}
          {c.product}, {c.doneOn}
        </span>
      )),
    ])
  return (
    <dl className="facts apart">
      {facts.map(([name, value]) => (
        <div key={name} className="contents">
          <dt>{name}</dt>
          <dd>{value}</dd>
        </div>
      ))}
    </dl>
  )
}
