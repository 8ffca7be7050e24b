/* eslint-disable @next/next/no-img-element -- photos are served by the app itself, sized already */
import { footprint } from '@/core/surface/shapes'
import { PouredPicture } from '@/ui/pictures/PouredPicture'
import type { Piece } from '@/db/pieces/read'

/** The newest dry photo, else the newest wet one, else a drawing of the palette. */
export function PiecePicture({ piece }: { piece: Piece }) {
  const photo = piece.photos.findLast((f) => f.state === 'dry') ?? piece.photos.at(-1)
  if (photo)
    return (
      <img
        src={`/wall/photo/${photo.id}`}
        width={photo.width}
        height={photo.height}
        alt={`${piece.title}, ${photo.state}`}
        loading="lazy"
      />
    )
  const { lengthMm, widthMm } = footprint(piece.surface)
  return (
    <PouredPicture
      seed={piece.id}
      label={`${piece.title}: a drawing of its palette`}
      ratio={lengthMm / widthMm}
      round={piece.surface.shape === 'round'}
      colours={piece.colours.map((c) => ({ hex: c.hex ?? '#e4e4e4', amount: c.ul }))}
    />
  )
}
