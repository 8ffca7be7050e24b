'use client'

import { Button, Segmented } from 'antd'
import { useEffect, useEffectEvent, useState } from 'react'
import type { Card } from '@/core/colour/photoSwatch'
import type { Patch } from '@/core/photo/card'
import type { PhotoMeasures } from '@/core/photo/measurePhoto'
import type { Quad } from '@/core/surface/homography'
import { asItLies, turned } from '@/core/photo/proposeCorners'
import { footprint, type Shape } from '@/core/surface/shapes'
import { Notice } from '@/ui/frame/Notice'
import { Corners } from './Corners'
import { FlatPicture } from './FlatPicture'
import { MeasuresPanel, type PouredShare } from './MeasuresPanel'
import { useMeasure } from './useMeasure'

/** Width of the patch a tap on the card marks, as a share of the picture. */
const CARD_PATCH = 0.04

/** A photo that is laid flat by its corners and measured, step by step; kept when the maker says so. */
export function MeasureDesk({
  source,
  corners,
  shape,
  poured,
  onKeep,
  keeping,
  children,
}: {
  /** The photo itself: a file that was chosen, or where a kept one is. */
  source: Blob | string
  /** Corners as they were kept before. */
  corners?: Quad | undefined
  shape: Shape
  poured: readonly PouredShare[]
  onKeep: (corners: Quad, measures: PhotoMeasures) => void
  keeping: boolean
  /** Other things that can be done with it, beside the keys. */
  children?: React.ReactNode
}) {
  const { open, measure, busy, problem, photo, measured, forget } = useMeasure()
  const [moved, setMoved] = useState<Quad>()
  const [card, setCard] = useState<Patch | null>(null)
  const [kind, setKind] = useState<Card>('white')
  const [marksCard, setMarksCard] = useState(false)
  const [view, setView] = useState<'photo' | 'apart'>('photo')
  const openSource = useEffectEvent(async (from: Blob | string) => {
    await open(typeof from === 'string' ? await (await fetch(from)).blob() : from)
  })
  useEffect(() => void openSource(source), [source])
  const quad = moved ?? corners ?? (photo ? asItLies(photo.proposal.quad, photo, footprint(shape)) : undefined)
  const move = (to: Quad) => {
    setMoved(to)
    forget()
  }
  return (
    <div className="wide-left" data-testid="measure">
      <div>
        {busy ? <p role="status">{busy}</p> : null}
        {problem ? <Notice kind="warning">{problem}</Notice> : null}
        {photo && quad && !measured ? (
          <>
            <p>
              {corners || moved
                ? 'The corners of the face, as they were put.'
                : photo.proposal.isSure
                  ? 'Are these its corners? Move what is not.'
                  : 'Put the four corners on the face: drag them, or choose one and tap its place.'}
            </p>
            <Corners
              url={photo.url}
              width={photo.width}
              height={photo.height}
              quad={quad}
              onMove={move}
              card={card}
              onCard={
                marksCard
                  ? ([x, y]) => {
                      const tall = (CARD_PATCH * photo.width) / photo.height
                      setCard({ x: x - CARD_PATCH / 2, y: y - tall / 2, width: CARD_PATCH, height: tall })
                      setMarksCard(false)
                    }
                  : undefined
              }
            />
          </>
        ) : null}
        {measured ? (
          <>
            <div className="row spread">
              <Segmented<'photo' | 'apart'>
                value={view}
                onChange={setView}
                options={[
                  { value: 'photo', label: 'Laid flat' },
                  { value: 'apart', label: 'Told apart' },
                ]}
              />
              <Button onClick={forget}>Corners again</Button>
            </div>
            <FlatPicture
              url={measured.flatUrl}
              apartUrl={view === 'apart' ? measured.apartUrl : undefined}
              alt="The face laid flat"
              measures={measured.measures}
              shape={shape}
              width={measured.width}
              height={measured.height}
              marks={view === 'photo'}
            />
          </>
        ) : null}
      </div>
      <div className="panel">
        {measured ? (
          <MeasuresPanel measures={measured.measures} poured={poured} />
        ) : (
          <>
            <h2>Measure it</h2>
            <p className="muted">
              From above, in even light, the whole face with a hand of table around. Its size is known, so everything
              comes out in millimetres.
            </p>
            {photo ? (
              <div className="row wrap">
                <Button onClick={() => quad && move(turned(quad))}>Turn it a quarter</Button>
                <Button aria-pressed={marksCard} onClick={() => setMarksCard(!marksCard)}>
                  {marksCard ? 'Now tap the card' : card ? 'Mark the card again' : 'There is a card in it'}
                </Button>
                {card ? (
                  <Segmented<Card>
                    value={kind}
                    onChange={setKind}
                    options={[
                      { value: 'white', label: 'white' },
                      { value: 'grey', label: 'grey' },
                    ]}
                  />
                ) : null}
              </div>
            ) : null}
          </>
        )}
        <div className="row wrap under">
          {measured ? (
            <Button
              type="primary"
              size="large"
              loading={keeping}
              onClick={() => quad && onKeep(quad, measured.measures)}
            >
              Keep it
            </Button>
          ) : (
            <Button
              type="primary"
              size="large"
              disabled={!photo || busy !== undefined || poured.length === 0}
              onClick={() => quad && void measure(quad, shape, poured, card ? { patch: card, kind } : null)}
            >
              Measure
            </Button>
          )}
          {children}
        </div>
        {poured.length === 0 ? (
          <p className="muted">No bottle of this piece has a colour, so there is nothing to measure it against.</p>
        ) : null}
      </div>
    </div>
  )
}
