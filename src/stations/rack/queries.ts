import { CARRIER, hidingWords } from '@/core/colour/hidingWords'
import { sureOf } from '@/core/colour/predict'
import { surePaint, sureWords } from '@/core/colour/sureWords'
import { mayGoBack } from '@/db/mixes'
import { bottleLabels, type LotPortion } from '@/db/bottles/read'
import { piecesPouredFrom } from '@/db/pieces/read'
import { listWaters } from '@/db/materials/mixable'
import { readOptics } from '@/db/materials/optics'
import type { Tx } from '@/db/base/withStudio'

/** What is said of a bottle's colour: how sure it is, what would make it surer, and how it hides once poured. */
export interface ColourSaid {
  readonly how: string
  readonly next: string | null
  /** Nothing where flakes take part. */
  readonly hides: string | undefined
}

/** How sure the computed colour of a bottle is, and how it hides; nothing where no paint is in it. */
export async function colourOfBottle(tx: Tx, portions: readonly LotPortion[]): Promise<ColourSaid | undefined> {
  const paints = await readOptics(tx, [...new Set(portions.map((p) => p.materialId))])
  if (paints.length === 0) return undefined
  const own = (id: string) => portions.filter((p) => p.materialId === id)
  const known = new Map(paints.map((p) => [p.id, p]))
  return {
    ...sureWords(
      sureOf(
        paints.map(surePaint),
        paints.map((p) => own(p.id).reduce((sum, o) => sum + o.ul, 0)),
      ),
      paints.map((p) => own(p.id)[0]!.material),
    ),
    hides: hidingWords(
      portions.map((p) => ({ material: { ...CARRIER, ...known.get(p.materialId), kind: p.kind }, ul: p.ul })),
    ),
  }
}

/** What stands beside a bottle's own facts: waters, other bottles to pour into it, and the pieces it was poured on. */
export async function besideBottle(tx: Tx, id: string) {
  const waters = await listWaters(tx)
  const others = (await bottleLabels(tx)).filter((b) => b.id !== id)
  return { waters, others, fed: await piecesPouredFrom(tx, id), goBack: await mayGoBack(tx, id) }
}
