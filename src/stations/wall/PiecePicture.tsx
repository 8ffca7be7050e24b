/* eslint-disable @next/next/no-img-element -- photos are served by the app itself, sized already */
import type { WallPiece } from '@/db/pieces/wall'
import { drawnHeight } from '@/ui/pictures/pouredShapes'
import { footprint } from '@/core/surface/shapes'

/** What a picture of a piece is made from: its photo that shows it best, else a drawing of its palette. */
export type Pictured = Pick<WallPiece, 'id' | 'title' | 'surface' | 'up' | 'photo'>

/** A piece as it hangs: its photo, the right way up, or a drawing of its palette. */
export function PiecePicture({ piece }: { piece: Pictured }) {
  const { photo, up } = piece
  if (photo) {
    const image = (
      <img
        src={photo.isFlat ? `/wall/photo/${photo.id}/flat` : `/wall/photo/${photo.id}`}
        width={photo.width}
        height={photo.height}
        alt={`${piece.title}, ${photo.moment}`}
        loading="lazy"
        style={up === 180 ? { rotate: '180deg' } : undefined}
      />
    )
    if (up !== 90 && up !== 270) return image
    // A quarter turn: the box has the picture's sides exchanged.
    return (
      <div style={{ aspectRatio: `${photo.height} / ${photo.width}`, position: 'relative', overflow: 'hidden' }}>
        <div
          style={{
            position: 'absolute',
            left: '50%',
            top: '50%',
            width: `${(100 * photo.width) / photo.height}%`,
            transform: `translate(-50%, -50%) rotate(${up}deg)`,
          }}
        >
          {image}
        </div>
      </div>
    )
  }
  const { lengthMm, widthMm } = footprint(piece.surface)
  const ratio = lengthMm / widthMm
  return (
    <img
      src={`/wall/drawing/${piece.id}`}
      width={600}
      height={drawnHeight(600, ratio)}
      alt={`${piece.title}: a drawing of its palette`}
      loading="lazy"
    />
  )
}
