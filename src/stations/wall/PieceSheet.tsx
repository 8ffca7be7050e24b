import { Link } from '@/ui/frame/Link'
import type { Look } from '@/core/piece/looks'
import type { TechniqueBook } from '@/core/technique/techniques'
import type { LotPortion } from '@/db/bottles/read'
import type { StudioFacts } from '@/db/people/studio'
import type { KeptByProduct, KeptCoat } from '@/db/pieces/finish'
import type { KeptMeasures } from '@/db/pieces/photos'
import type { Piece } from '@/db/pieces/read'
import type { KeptRehearsal } from '@/db/rehearsals/read'
import { day, dayOn } from '@/ui/tables/dates'
import { TraceTable } from '@/ui/tables/TraceTable'
import { ByProducts } from './piece/ByProducts'
import { Compare } from './piece/Compare'
import { Facts } from './piece/Facts'
import { LookStrip } from './piece/LookStrip'
import { MeasuredPiece } from './piece/MeasuredPiece'
import { ResultForm } from './piece/ResultForm'
import { RunOff } from './piece/RunOff'
import { PiecePicture } from './PiecePicture'
import styles from './piece/piece.module.css'

export interface PieceSheetProps {
  readonly piece: Piece
  readonly looks: readonly Look[]
  readonly measured: readonly KeptMeasures[]
  readonly coats: readonly KeptCoat[]
  readonly products: readonly KeptByProduct[]
  readonly portions: LotPortion[]
  readonly studio: StudioFacts
  readonly techniques: TechniqueBook
  readonly jars: readonly { id: string; label: string }[]
  /** The pieces of its set, itself among them; none where it is one alone. */
  readonly set: readonly { id: string; title: string }[]
  /** What ran off it and was thrown away. */
  readonly wasted: LotPortion[]
  /** What was rehearsed of its plan last. */
  readonly rehearsed: KeptRehearsal | undefined
  /** Now, ms since 1970. */
  readonly now: number
}

/** One piece: its looks over each other and over time, what was measured, what became of it, and all that went in. */
export function PieceSheet(p: PieceSheetProps) {
  const { piece, studio } = p
  const isUndone = piece.fate === 'undone'
  return (
    <>
      <div className="head">
        <h1>
          {piece.title} <span className="sub">{day(piece.pouredAt, studio.zone)}</span>
        </h1>
        {isUndone ? <b>This pour was undone</b> : null}
        {isUndone ? null : (
          <>
            <Link className="go second" href={`/plan/again/${piece.id}`}>
              Pour again, changed
            </Link>
            <Link className="go second" href={`/wall/${piece.id}/finish`}>
              Finish it
            </Link>
            <Link className="go second" href={`/wall/${piece.id}/write-up`}>
              Write-up
            </Link>
          </>
        )}
        {piece.planId ? (
          <Link className="go second" href={`/plan/${piece.planId}`}>
            Its plan
          </Link>
        ) : null}
      </div>
      <div className="two">
        <div className="grid">
          {piece.photos.length ? (
            <Compare piece={piece} zone={studio.zone} />
          ) : (
            <div className={styles.frame}>
              <PiecePicture piece={{ ...piece, photo: null }} />
            </div>
          )}
          <LookStrip piece={piece} looks={p.looks} zone={studio.zone} />
        </div>
        <div className="grid">
          <section className="panel" aria-label="Result">
            <Facts {...p} technique={p.techniques.name(piece.technique)} />
            <ResultForm piece={piece} currency={studio.currency} />
          </section>
          {isUndone ? null : (
            <>
              <ByProducts pieceId={piece.id} products={p.products} today={dayOn(p.now, studio.zone)} />
              <RunOff pieceTitle={piece.title} pourId={piece.vesselId} jars={p.jars} units={studio.units} />
            </>
          )}
        </div>
      </div>
      <MeasuredPiece piece={piece} measured={p.measured} />
      <section className="panel below">
        <h2>What went into it</h2>
        <TraceTable portions={p.portions} currency={studio.currency} zone={studio.zone} />
      </section>
    </>
  )
}
