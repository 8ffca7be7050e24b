import { pouredFacts } from '@/db/learning/pieces'
import { techniqueBook } from '@/db/techniques/read'
import { studioFacts } from '@/db/people/studio'
import type { Tx } from '@/db/base/withStudio'
import { dayOn } from '@/ui/tables/dates'
import type { Sheet } from '../sheet'

export interface NextTimeFacts {
  readonly lessons: readonly {
    readonly id: string
    readonly title: string
    readonly technique: string
    readonly day: string
    readonly nextTime: string
    /** A later piece of the same technique was poured: it may be done by now. */
    readonly isTried: boolean
  }[]
}

export async function nextTimeFacts(tx: Tx): Promise<NextTimeFacts> {
  const techniques = await techniqueBook(tx)
  const { zone } = await studioFacts(tx)
  const pieces = await pouredFacts(tx, techniques)
  return {
    lessons: pieces.flatMap((p) =>
      p.nextTime
        ? [
            {
              id: p.id,
              title: p.title,
              technique: techniques.find(p.technique)?.name ?? p.technique,
              day: dayOn(p.pouredAt, zone),
              nextTime: p.nextTime,
              isTried: pieces.some((x) => x.technique === p.technique && x.pouredAt > p.pouredAt),
            },
          ]
        : [],
    ),
  }
}

export function nextTimeSheet({ lessons }: NextTimeFacts): Sheet {
  return {
    columns: [
      { name: 'Piece' },
      { name: 'Poured' },
      { name: 'Technique' },
      { name: 'Next time' },
      { name: 'Poured since' },
    ],
    rows: lessons.map((l) => ({
      key: l.id,
      href: `/wall/${l.id}`,
      cells: [l.title, l.day, l.technique, l.nextTime, l.isTried ? 'yes' : 'no'],
    })),
  }
}
