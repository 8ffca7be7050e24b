import { Link } from '@/ui/frame/Link'
import { isDryMoment, MOMENT_WORDS } from '@/core/piece/looks'
import type { KeptMeasures } from '@/db/pieces/photos'
import type { Piece } from '@/db/pieces/read'
import { FlatPicture } from '../measure/FlatPicture'
import { MeasuresPanel } from '../measure/MeasuresPanel'
import { pouredShares } from '../measure/pouredShares'
import { WetAndDry } from './WetAndDry'

/** What was measured of a piece last, on its picture; and what changed from wet to dry where both were measured. */
export function MeasuredPiece({ piece, measured }: { piece: Piece; measured: readonly KeptMeasures[] }) {
  const last = measured.at(-1)
  if (!last) return null
  const photo = piece.photos.find((f) => f.id === last.photoId)
  const wet = measured.find((m) => m.moment === 'wet')
  const dry = measured.findLast((m) => isDryMoment(m.moment))
  const poured = pouredShares(piece.colours)
  return (
    <>
      <section className="panel below" aria-label="Measured">
        <div className="row spread">
          <h2>Measured, {MOMENT_WORDS[last.moment]}</h2>
          <Link className="go second" href={`/wall/${piece.id}/photo/${last.photoId}`}>
            Measure again
          </Link>
        </div>
        <div className="wide-left">
          {photo?.flat ? (
            <FlatPicture
              url={`/wall/photo/${photo.id}/flat`}
              alt={`${piece.title} laid flat`}
              measures={last.measures}
              shape={piece.surface}
              {...photo.flat}
              marks
            />
          ) : null}
          <MeasuresPanel measures={last.measures} poured={poured} />
        </div>
      </section>
      {wet && dry ? <WetAndDry piece={piece} wet={wet} dry={dry} poured={poured} /> : null}
    </>
  )
}
