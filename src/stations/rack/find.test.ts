import { v7 as uuidv7 } from 'uuid'
import { START_BANDS } from '@/core/consistency/levelTime'
import { bottlesInUse } from '@/db/bottles/read'
import { discard, takeOut } from '@/db/ledger'
import { undo } from '@/server/undo'
import { endPool } from '@/db/base/pool'
import { rackBottles, type RackBottle } from '@/db/bottles/rack'
import { waterVerdicts } from '@/db/bottles/waterRoom'
import { makeStudio } from '../../../tests/support/studio'
import { alertsOf, datesOf, findBottles, RACK_CHUNK, sortRack, tooThick } from './find'
import { rackAddress, rackFilterSchema, readRackFilter, type RackFilterInput } from './filter'

afterAll(endPool)

const ALL: RackFilterInput = rackFilterSchema.getDefault()
const now = new Date('2026-06-01T12:00:00Z')
const DAY = 86_400_000
const at = (days: number) => now.getTime() - days * DAY
let count = 0
const bottle = (more: Partial<RackBottle>): RackBottle => ({
  id: `b${count++}`,
  code: 'ABCD',
  label: 'Teal',
  role: 'pour',
  palette: '',
  technique: null,
  hex: '#136a78',
  sheen: 'satin',
  isJar: false,
  ul: 100_000,
  capacityUl: 240_000,
  mixedAt: at(1),
  restUntil: at(0.5),
  keepUntil: null,
  movedAt: null,
  evaporatedUl: 0,
  levelTimeS: null,
  readAt: null,
  w: 0,
  readW: null,
  curveB: null,
  thickens: null,
  isReference: false,
  hasAdditive: false,
  ...more,
})
const sort = (all: RackBottle[], filter: Partial<typeof ALL>, from = 0, most = 100) =>
  sortRack(all, { ...ALL, ...filter }, now, START_BANDS, 'UTC', from, most)

describe('the rack, from the database', () => {
  async function filled() {
    const studio = await makeStudio()
    const paint = await studio.paint('Teal')
    const ids: Record<string, string> = {}
    for (const [label, ul] of [
      ['Teal 10%', 30_000],
      ['Teal_b', 90_000],
      ['Amber', 60_000],
    ] as const)
      ids[label] = await studio.bottle(label, [{ materialId: paint, ul }])
    const labels = async (filter: Partial<typeof ALL>) =>
      (await studio.run((tx) => findBottles(tx, { ...ALL, ...filter }, new Date(), 'UTC'))).rows.map((b) => b.label)
    return { studio, paint, labels, ids }
  }
  it('is newest first, and sorts by name and by level', async () => {
    const { labels } = await filled()
    expect(await labels({})).toEqual(['Amber', 'Teal_b', 'Teal 10%'])
    expect(await labels({ sort: 'oldest' })).toEqual(['Teal 10%', 'Teal_b', 'Amber'])
    expect(await labels({ sort: 'name' })).toEqual(['Amber', 'Teal 10%', 'Teal_b'])
    expect(await labels({ sort: 'fullest' })).toEqual(['Teal_b', 'Amber', 'Teal 10%'])
    expect(await labels({ sort: 'emptiest' })).toEqual(['Teal 10%', 'Amber', 'Teal_b'])
    expect(await labels({ sort: '; drop table bottle' })).toHaveLength(3)
  })
  it('finds letters as they are typed', async () => {
    const { labels } = await filled()
    expect(await labels({ q: 'TEAL' })).toEqual(['Teal_b', 'Teal 10%'])
    expect(await labels({ q: '%' })).toEqual(['Teal 10%'])
    expect(await labels({ q: '\\' })).toEqual([])
    expect(await labels({ role: 'swipe' })).toEqual([])
  })
  it('shows the emptied ones apart', async () => {
    const { studio, labels, ids } = await filled()
    await studio.run((tx) => discard(tx, { requestId: uuidv7(), vesselId: ids.Amber! }))
    expect(await labels({})).not.toContain('Amber')
    expect(await labels({ show: 'empty' })).toEqual(['Amber'])
    expect((await studio.run(bottlesInUse)).map((b) => b.label)).toEqual(['Teal_b', 'Teal 10%'])
  })
  it('moves a bottle whose last millilitre is taken to the empty ones, and back when that is undone', async () => {
    const { studio, labels, ids } = await filled()
    const take = (ul: number) => studio.run((tx) => takeOut(tx, { requestId: uuidv7(), vesselId: ids.Amber!, ul }))
    await take(1)
    expect(await labels({})).toContain('Amber')
    const { movementId } = await take(59_999)
    expect(await labels({})).not.toContain('Amber')
    expect(await labels({ show: 'empty' })).toEqual(['Amber'])
    await studio.run((tx) => undo(tx, { requestId: uuidv7(), movementId }))
    expect(await labels({})).toContain('Amber')
    expect(await labels({ show: 'empty' })).toEqual([])
  })
  it('reads every fact in its place', async () => {
    const { studio, ids } = await filled()
    await studio.run((tx) =>
      tx.q(
        `update bottle set palette = 'Night', technique = 'swipe', w = 0.25, read_w = 0.5, level_time_s = 2, curve_b = 9, is_reference = true, evaporated_share = 7e-5, read_at = now(), moved_at = now() where studio_id = $1 and vessel_id = $2`,
        [tx.studioId, ids.Amber],
      ),
    )
    const [b] = (await studio.run((tx) => rackBottles(tx, false))).filter((x) => x.id === ids.Amber)
    expect(b).toMatchObject({
      label: 'Amber',
      palette: 'Night',
      technique: 'swipe',
      w: 0.25,
      readW: 0.5,
      levelTimeS: 2,
      curveB: 9,
      isReference: true,
      evaporatedUl: 4,
      ul: 60_000,
      isJar: false,
    })
    expect(b!.code).toMatch(/^[0-9A-HJKMNP-TV-Z]{4}$/)
    expect(Math.abs(b!.readAt! - Date.now())).toBeLessThan(60_000)
    // Without water it keeps nine months.
    expect(b!.keepUntil! - b!.mixedAt).toBe(270 * DAY)
  })
})

describe('the rack, sorted', () => {
  it('comes in chunks with the number of all, shelf after shelf', () => {
    const all = Array.from({ length: RACK_CHUNK + 20 }, (_, i) =>
      bottle({ label: `B${i}`, palette: i % 2 ? 'Night' : '' }),
    )
    const found = sort(all, { by: 'palette' }, RACK_CHUNK, RACK_CHUNK)
    expect(found.total).toBe(80)
    expect(found.shelves).toEqual([
      { name: 'Night', count: 40 },
      { name: 'No palette', count: 40 },
    ])
    expect(found.rows).toHaveLength(20)
    expect(found.rows[0]!.label).toBe('B40')
    expect(found.palettes).toEqual(['Night'])
  })
  it('groups by colour, age, consistency and technique', () => {
    const names = (by: (typeof ALL)['by'], all: RackBottle[]) => sort(all, { by }).shelves.map((s) => s.name)
    expect(names('colour', [bottle({ hex: '#f4f1e8' }), bottle({ hex: '#b01c2e' }), bottle({ hex: null })])).toEqual([
      'Red',
      'White',
      'Clear',
    ])
    expect(
      names('age', [bottle({ mixedAt: at(400) }), bottle({ mixedAt: at(0.1) }), bottle({ mixedAt: at(60) })]),
    ).toEqual(['Since yesterday', 'One to three months', 'Older'])
    expect(names('consistency', [bottle({}), bottle({ levelTimeS: 1.5 }), bottle({ levelTimeS: 9 })])).toEqual([
      'Stands',
      'Melts',
      'Not read yet',
    ])
    expect(names('technique', [bottle({}), bottle({ technique: 'swipe' }), bottle({ technique: 'ring' })])).toEqual([
      'Ring pour',
      'Swipe',
      'For anything',
    ])
  })
  it('stands on the shelf of what it has become, not of what it was', () => {
    const thick = bottle({ levelTimeS: 1.5, w: 0, readW: 0.1, curveB: 12 })
    // 1.5 s × e^(12 × 0.1) = 4.98 s
    expect(sort([thick], { by: 'consistency' }).shelves[0]!.name).toBe('Sits')
    expect(sort([thick], {}).rows[0]!.expectedS).toBeCloseTo(4.98, 2)
  })
  it('counts what is needed, and narrows to it', () => {
    const all = [bottle({ evaporatedUl: 4_000 }), bottle({ mixedAt: at(10) }), bottle({})]
    expect(sort(all, {}).counts).toEqual({ evaporated: 1, shake: 1 })
    const found = sort(all, { need: 'shake' })
    expect([found.total, found.counts.evaporated]).toEqual([1, 1])
    expect(found.rows[0]!.needs).toEqual([{ kind: 'shake', short: 'Shake and strain' }])
  })
})

describe('what to do', () => {
  it('is the pressing first, then by date, then the rest', () => {
    const all = [
      bottle({ label: 'low', ul: 1_000 }),
      bottle({ label: 'soon', keepUntil: now.getTime() + 3 * DAY }),
      bottle({ label: 'rests', restUntil: now.getTime() + 3_600_000 }),
      bottle({ label: 'dry', evaporatedUl: 9_000 }),
    ]
    expect(alertsOf(all, now, 'UTC', () => undefined).map((a) => a.label)).toEqual(['dry', 'rests', 'soon', 'low'])
  })
  it('asks no more water of a thick bottle than the house lets it have', () => {
    const thick = bottle({ label: 'thick', technique: 'straight', levelTimeS: 6, readAt: at(1), readW: 0, curveB: 10 })
    const all = [thick, bottle({ technique: 'straight', levelTimeS: 1.5, readAt: at(0), readW: 0 }), bottle({})]
    expect(tooThick(all, now)).toEqual([thick.id])
    const todo = (roomUl: number | undefined) =>
      alertsOf(all, now, 'UTC', (id) => (id === thick.id ? roomUl : 0)).find((a) => a.need.kind === 'thickened')!.need
        .todo
    expect(todo(undefined)).toMatch(/of water bring it there/)
    expect(todo(1_000)).toMatch(/20.drops of water are all that the limit leaves room for/)
  })
  it('knows that room from what is in the bottle, by the school of the house', async () => {
    const studio = await makeStudio()
    const [teal, flow, water] = [await studio.paint('Teal'), await studio.medium('Flow'), await studio.water()]
    const mix = (waterUl: number) =>
      studio.bottle('B', [
        { materialId: teal, ul: 60_000 },
        { materialId: flow, ul: 20_000 },
        { materialId: water, ul: waterUl },
      ])
    const [little, much] = [await mix(6_000), await mix(30_000)]
    const verdicts = () => studio.run((tx) => waterVerdicts(tx, [little, much]))
    await studio.run((tx) => tx.q(`update studio set water_school = 'paint-30' where studio_id = $1`, [tx.studioId]))
    // Solids 0.3 without pigment in all: by hand, 20 ml of medium are 18.58 ml of tube paint (0.38 × 0.85), and bear a
    // share 18.58 / 78.58; 0.3 × (60 × 0.7636 + 55.73 × 0.2364 + 18.58) − 6 = 17.27.
    expect((await verdicts()).get(little)).toMatchObject({ roomUl: 17_269, within: true })
    expect((await verdicts()).get(much)).toMatchObject({ roomUl: 0, within: false })
    expect(await studio.run((tx) => waterVerdicts(tx, []))).toEqual(new Map())
  })
  it('has every date still to come, and none of an empty bottle', () => {
    const all = [
      bottle({ keepUntil: now.getTime() + 99 * DAY, restUntil: now.getTime() + 60_000 }),
      bottle({ ul: 0, keepUntil: now.getTime() + DAY }),
      bottle({ keepUntil: at(1) }),
    ]
    expect(datesOf(all, now, 'UTC').map((d) => d.kind)).toEqual(['rest', 'keep'])
  })
})

describe('the address of a view', () => {
  it('holds what is not usual, and what cannot be read is the usual one', () => {
    const filter = readRackFilter({ by: 'age', q: 'teal', sort: 'newest', stray: 'x' })
    expect(rackAddress(filter)).toBe('/rack/rows?by=age&q=teal')
    expect(readRackFilter({ by: 'nonsense' })).toEqual(ALL)
  })
})
