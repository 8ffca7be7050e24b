import { findSession } from '@/db/people/sessions'
import { studioFacts } from '@/db/people/studio'
import { withStudio } from '@/db/base/withStudio'
import { PAGE, searchWall, wallChoices } from '@/db/pieces/wall'
import { techniqueBook } from '@/db/techniques/read'
import { person, signUp } from '../tests/support/accounts'
import { hangMany } from '../tests/support/learning/hung'
import { makeStudio } from '../tests/support/studio'
import { cookieOf, opening, turningTo } from './http'
import { compare, type Figure } from './measure'

const PIECES = 10_000
const RUNS = 5

/**
 * The wall of 10,000 pieces, its first page and its searches, against their own SQL: as a maker turns to them within the
 * app, and the first page as a whole document too, which bears the frame and is what a browser opens first.
 */
export async function wallFigures(url: string): Promise<Figure[]> {
  const signed = await signUp({ ...person(), studioName: 'Large wall' })
  const studio = await makeStudio(signed)
  const bottles: string[] = []
  for (let i = 0; i < 40; i++) {
    const hex = `#${[40 + 5 * i, (90 + 31 * i) % 256, (200 + 77 * i) % 256].map((c) => (c % 256).toString(16).padStart(2, '0')).join('')}`
    const bottle = await studio.bottle(`Bottle ${i}`, [
      { materialId: await studio.paint(`Paint ${i}`, { hex }), ul: 900_000 },
    ])
    await studio.run((tx) =>
      tx.q('update bottle set colour_hex = $3 where studio_id = $1 and vessel_id = $2', [tx.studioId, bottle, hex]),
    )
    bottles.push(bottle)
  }
  await studio.run((tx) => hangMany(tx, bottles, PIECES))
  const cookie = await cookieOf(signed.token)
  const views: readonly (readonly [string, string, Parameters<typeof searchWall>[1]])[] = [
    ['first page', '/wall', {}],
    ['search by words', '/wall?q=lantern', { words: 'lantern' }],
    ['search by colour', '/wall?colour=287dc8', { colour: '#287dc8' }],
    ['search by fault and rating', '/wall?fault=mud&rating=4', { fault: 'mud', rating: 4 }],
    ['page 100', `/wall?from=${99 * PAGE}`, { after: 99 * PAGE }],
  ]
  const figures: Figure[] = []
  for (const [name, path, search] of views) {
    const turned = await turningTo(url, path, cookie, 'Ferry')
    const sql = async () => {
      await findSession(signed.token)
      await withStudio(signed, async (tx) => {
        await searchWall(tx, search)
        if (search?.fault) await wallChoices(tx)
        await techniqueBook(tx)
        await studioFacts(tx)
      })
    }
    const repeat = (work: () => Promise<unknown>) => async () => {
      for (let i = 0; i < RUNS; i++) await work()
    }
    figures.push(
      await compare(
        'time',
        `wall of 10,000, ${name}: turned to, against its SQL`,
        '≤ 3',
        RUNS,
        repeat(turned),
        repeat(sql),
        5,
      ),
    )
    if (path !== '/wall') continue
    figures.push(
      await compare(
        'time',
        `wall of 10,000, ${name}: opened as a document, against its SQL`,
        'said, not aimed at',
        RUNS,
        repeat(opening(url, path, cookie, 'Ferry')),
        repeat(sql),
        5,
      ),
    )
  }
  return figures
}
