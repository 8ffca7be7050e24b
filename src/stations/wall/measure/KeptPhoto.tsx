'use client'

import { Link } from '@/ui/frame/Link'
import { useRouter } from 'next/navigation'
import { MOMENT_WORDS } from '@/core/piece/looks'
import type { Quad } from '@/core/surface/homography'
import type { KeptMeasures } from '@/db/pieces/photos'
import type { Piece, PhotoOfPiece } from '@/db/pieces/read'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { keepMeasuresAction } from '../actions'
import { MeasureDesk } from './MeasureDesk'
import { pouredShares } from './pouredShares'

/** A photo that is kept already, to be laid flat and measured, or measured again. */
export function KeptPhoto({
  piece,
  photo,
  kept,
}: {
  piece: Piece
  photo: PhotoOfPiece
  kept: KeptMeasures | undefined
}) {
  const { send, pending, refusal } = useSend<null>()
  const router = useRouter()
  return (
    <>
      <div className="head">
        <h1>
          {piece.title} <span className="sub">a photo, {MOMENT_WORDS[photo.moment]}</span>
        </h1>
        <Link className="go second" href={`/wall/${piece.id}`}>
          To the piece
        </Link>
      </div>
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <MeasureDesk
        source={`/wall/photo/${photo.id}`}
        corners={kept?.corners}
        shape={piece.surface}
        poured={pouredShares(piece.colours)}
        keeping={pending}
        onKeep={(corners: Quad, measures) =>
          send(
            () => keepMeasuresAction({ photoId: photo.id, corners, measures }),
            () => router.push(`/wall/${piece.id}`),
            'Kept',
          )
        }
      />
    </>
  )
}
