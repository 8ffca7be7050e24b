import { v7 as uuidv7 } from 'uuid'
import { migrating } from '../support/migrating'

const { db, up, begin, end } = migrating(`looks_${process.pid}`)
beforeAll(begin)
afterAll(end)

it('what was noted of a piece becomes its look: dry, or of the next day while it dries', async () => {
  await up(14)
  const studio = uuidv7()
  const surface = JSON.stringify({ shape: 'rectangle', lengthMm: 100, widthMm: 100, edgeMm: 0, count: 1 })
  const pieces = [
    { id: uuidv7(), notes: 'Cracked on the third day.', rating: 2, faults: ['crazing', 'dull'], fate: 'rework' },
    { id: uuidv7(), notes: 'Still tacky.', rating: null, faults: [], fate: 'drying' },
    { id: uuidv7(), notes: '', rating: null, faults: [], fate: 'keep' },
  ]
  const photo = uuidv7()
  await db.query(`insert into studio (studio_id, name) values ($1, 'Room')`, [studio])
  // Rows that what they point at is not wanted for.
  await db.query('set session_replication_role = replica')
  for (const p of pieces)
    await db.query(
      `insert into piece (studio_id, id, vessel_id, poured_into, movement_id, title, technique, surface, poured_at, drying_notes, rating, faults, fate)
       values ($1, $2, $3, $3, $4, 'Ferry', 'ring', $5, now(), $6, $7, $8, $9)`,
      [studio, p.id, uuidv7(), uuidv7(), surface, p.notes, p.rating, p.faults, p.fate],
    )
  await db.query(
    `insert into piece_photo (studio_id, id, piece_id, state, width, height, image) values ($1, $2, $3, 'wet', 4, 3, 'x')`,
    [studio, photo, pieces[0]!.id],
  )
  await db.query('set session_replication_role = origin')
  await up(1)

  const { rows } = await db.query<{ piece_id: string; moment: string; words: string; rating: number; faults: unknown }>(
    'select piece_id, moment, words, rating, faults from look order by moment desc',
  )
  expect(rows).toEqual([
    {
      piece_id: pieces[0]!.id,
      moment: 'dry',
      words: 'Cracked on the third day.',
      rating: 2,
      faults: [
        { fault: 'crazing', spots: [], much: 2 },
        { fault: 'dull', spots: [], much: 2 },
      ],
    },
    { piece_id: pieces[1]!.id, moment: 'day', words: 'Still tacky.', rating: null, faults: [] },
  ])
  const kept = await db.query('select moment, is_raked, flat from piece_photo where id = $1', [photo])
  expect(kept.rows).toEqual([{ moment: 'wet', is_raked: false, flat: null }])
})
