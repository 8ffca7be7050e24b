'use client'

import { labToHex } from '@/core/colour/lab'
import { wetToDry } from '@/core/photo/wetToDry'
import type { Matrix3 } from '@/core/surface/homography'
import { footprint } from '@/core/surface/shapes'
import type { KeptMeasures } from '@/db/pieces/photos'
import type { Piece } from '@/db/pieces/read'
import { Chip } from '@/ui/pictures/Drawdown'
import type { PouredShare } from '../measure/MeasuresPanel'
import { useOverlay } from './useOverlay'
import styles from './piece.module.css'

/** As long as it is not known how two photos lie over each other, they lie as their corners were put. */
const SAME: Matrix3 = [1, 0, 0, 0, 1, 0, 0, 0, 1]

const signed = (v: number) => `${v > 0 ? '+' : v < 0 ? '−' : '±'}${Math.abs(v).toFixed(1)}`

/** What changed from wet to dry, colour by colour, and what became of the cells; the photos are laid over each other first. */
export function WetAndDry({
  piece,
  wet,
  dry,
  poured,
}: {
  piece: Piece
  wet: KeptMeasures
  dry: KeptMeasures
  poured: readonly PouredShare[]
}) {
  const laid = useOverlay(`/wall/photo/${wet.photoId}/flat`, `/wall/photo/${dry.photoId}/flat`, piece.surface)
  const change = wetToDry(wet.measures, dry.measures, laid?.map ?? SAME, footprint(piece.surface))
  const areCarded = wet.measures.hasCard && dry.measures.hasCard
  const labelOf = (hex: string) => poured.find((p) => p.hex === hex)?.label ?? hex
  return (
    <section className="panel below" aria-label="Wet and dry">
      <h2>From wet to dry</h2>
      <div className={styles.wide} tabIndex={0} role="group" aria-label="Colours, wet and dry">
        <table className="sheet">
          <thead>
            <tr>
              <th>Colour</th>
              <th>Wet, dry</th>
              <th className="num">ΔE00</th>
              <th className="num">Lighter</th>
              <th className="num">Stronger</th>
              <th className="num">Of the face</th>
            </tr>
          </thead>
          <tbody>
            {change.colours.map((c) => (
              <tr key={c.hex}>
                <td>{labelOf(c.hex)}</td>
                <td>
                  <span className="chipline tight">
                    <Chip hex={labToHex(c.wet)} size={30} />
                    <Chip hex={labToHex(c.dry)} size={30} />
                  </span>
                </td>
                <td className="num">{c.deltaE.toFixed(1)}</td>
                <td className="num">{signed(c.lighter)}</td>
                <td className="num">{signed(c.stronger)}</td>
                <td className="num">
                  {Math.round(100 * c.wetShare)} → {Math.round(100 * c.dryShare)} %
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {change.cells && Object.values(change.cells).some((n) => n > 0) ? (
        <p>
          Cells: <b>{change.cells.stayed}</b> stayed, <b>{change.cells.grown}</b> grew, <b>{change.cells.come}</b> came,{' '}
          <b>{change.cells.lost}</b> went.
        </p>
      ) : null}
      {areCarded ? (
        <p>A card was in both photos: these pairs teach the studio how its colours dry.</p>
      ) : (
        <p className="muted">
          The light of each photo was evened by the palette itself, so what all colours have in common does not show:
          with a white or grey card in both, these pairs also teach the studio how its colours dry.
        </p>
      )}
    </section>
  )
}
