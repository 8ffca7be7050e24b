import { writeUp } from '@/core/piece/writeUp'
import { surfaceWords } from '@/core/surface/words'
import type { Tx } from '@/db/base/withStudio'
import { studioFacts } from '@/db/people/studio'
import { picturesToPrint } from '@/db/pieces/photos'
import { findPiece } from '@/db/pieces/read'
import { writtenPiece } from '@/db/pieces/written'
import { techniqueBook } from '@/db/techniques/read'
import { day } from '@/ui/tables/dates'
import { wallLabel, writeUpPage } from './pdf'

/** Reads what a page of a piece says and shows; it is laid out once the connection is given back. @throws NotFound */
export async function printedPage(tx: Tx, id: string): Promise<() => Promise<Uint8Array>> {
  const { zone } = await studioFacts(tx)
  const written = await writtenPiece(tx, id, (at) => day(at, zone))
  const pictures = await picturesToPrint(tx, id)
  return () => writeUpPage(written.title, writeUp(written), pictures)
}

/** The same for the label beside it. @throws NotFound */
export async function printedLabel(tx: Tx, id: string): Promise<() => Promise<Uint8Array>> {
  const piece = await findPiece(tx, id)
  const { zone, name } = await studioFacts(tx)
  const technique = (await techniqueBook(tx)).name(piece.technique)
  const lines = [
    `${technique}, poured acrylic`,
    surfaceWords({ ...piece.surface, count: 1 }),
    day(piece.pouredAt, zone),
  ]
  return () => wallLabel({ title: piece.title, studio: name, lines })
}
