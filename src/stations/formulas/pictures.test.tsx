import { App } from 'antd'
import type { ReactNode } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { hexToLab } from '@/core/colour/lab'
import { hexToSrgb } from '@/core/colour/srgb'
import type { Candidate } from '@/core/colour/match/rank'
import type { Material } from '@/db/materials/mixable'
import { mixable } from '../../../tests/support/mixable'
import { BatchDesk, type OpenBatch } from './batch/BatchDesk'
import { stateSchema } from '@/db/formulas/batchSchema'
import { viewOf } from './desk/deskDraft'
import { hidingWords, MixPicture } from './desk/MixPicture'
import { UsedInBottles, Versions, type ShownVersion } from './desk/Versions'
import { CandidateCard } from './match/CandidateCard'
import { besidesUl, cupOf, takenAlong } from './mend/cup'
import { PaletteCheck } from './palette/PaletteCheck'
import { NamedColours, type ColourCard } from './named/NamedColours'
import { labOfTarget, spectrumOfTarget, targetOf } from './target/target'

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }))

const html = (node: ReactNode) => renderToStaticMarkup(<App>{node}</App>)
const words = (node: ReactNode) =>
  html(node)
    .replace(/<style[^>]*>.*?<\/style>/gs, '')
    .replace(/<[^>]+>/g, ' ')
    .replace(/&#x27;/g, '’')
    .replace(/\s+/g, ' ')

const paint = (id: string, hex: string, more: Partial<Material> = {}) =>
  mixable(id, {
    hex,
    sigma: 0.05,
    known: 'tint and shade',
    pigments: ['PB29'],
    priceMinor: 600,
    onHandUl: 60_000,
    ...more,
  })
const violet = paint('Plum', '#4a2a78')
const yellow = paint('Marigold', '#f2b814')
const white = paint('Chalk', '#f5f3ec')
const teal = paint('Teal', '#136a78')
const byId = new Map([violet, yellow, white, teal].map((p) => [p.id, p]))

describe('the shelf of colours', () => {
  const card: ColourCard = {
    id: 'f',
    name: 'Harbour',
    hex: '#4f8f8a',
    body: 'soft',
    opacity: 'opaque',
    sheen: 'satin',
    text: 'Teal 2 : Chalk 1',
    versions: 3,
    miss: null,
    standsInFor: null,
  }
  it('says whether a colour was painted out, and how that came out', () => {
    const of = (miss: number | null) => words(<NamedColours colours={[{ ...card, miss }]} bottled={[]} />)
    expect(of(null)).toContain('not painted out yet')
    expect(of(0.4)).toContain('painted out, as computed')
    expect(of(2)).toContain('a hair off (ΔE00 2.0)')
    expect(of(7.3)).toContain('off by ΔE00 7.3')
    expect(of(null)).toContain('version 3')
  })
  it('names the paint it stands in for, and leads on where it is empty', () => {
    const lost = { id: 'w', name: 'Winter Barge', hex: '#4f8f8a' }
    expect(words(<NamedColours colours={[{ ...card, standsInFor: lost }]} bottled={[]} />)).toContain(
      'for Winter Barge, ΔE00 0.0',
    )
    const empty = words(
      <NamedColours colours={[]} bottled={[{ bottleId: 'b', label: 'Reed', hex: null, text: 'Reed 3', href: '/x' }]} />,
    )
    expect(empty).toContain('No colour is kept yet')
    expect(empty).toContain('In bottles, without a name')
    expect(empty).toContain('Reed 3')
  })
})

describe('the mix', () => {
  const rows = [
    { id: 'Teal', amount: '2' },
    { id: 'Chalk', amount: '1' },
  ]
  const { used, prediction } = viewOf(rows, 'parts', 90_000, byId)
  it('is drawn dry beside wet, in cups, over the card and against the target', () => {
    const target = { label: 'picked', hex: prediction!.hex, reflectance: null, sheen: null }
    const drawn = html(<MixPicture used={used} prediction={prediction} wetHex="#2b8894" target={target} />)
    expect(drawn).toContain(`The mix dries to about ${prediction!.hex}`)
    expect(drawn).toContain('#2b8894')
    expect(drawn.match(/226l10 98h/g)).toHaveLength(2)
    expect(drawn).toContain('cannot tell')
    const far = html(
      <MixPicture used={used} prediction={prediction} wetHex="#2b8894" target={{ ...target, hex: '#f2b814' }} />,
    )
    expect(far).toContain('plain')
  })
  it('shows what lies beneath, and is an outline before anything is chosen', () => {
    const over = { label: 'Plum', ground: '#4a2a78', hex: '#15606d' }
    expect(
      html(<MixPicture used={used} prediction={prediction} wetHex="#2b8894" target={undefined} over={over} />),
    ).toContain('over Plum, dry')
    expect(html(<MixPicture used={[]} prediction={undefined} wetHex={undefined} target={undefined} />)).toContain(
      'No mix yet',
    )
  })
  it('puts hiding into words by the classes of ISO 6504-3', () => {
    expect([0.985, 0.93, 0.6].map(hidingWords)).toEqual([
      'hides (0.98)',
      'nearly hides (0.93)',
      'shows what lies beneath (0.60)',
    ])
  })
})

describe('a version beside the others', () => {
  const version = (n: number, hex: string, dryHex: string | null): ShownVersion => ({
    version: n,
    at: '2026-01-05T09:00:00Z',
    by: n === 1 ? 'Ilse Marrow' : null,
    note: '',
    targetHex: null,
    dryHex,
    wetHex: null,
    read: false,
    mediumKind: null,
    mediumShare: 0,
    parts: [],
    hex,
    text: `Teal ${n}`,
  })
  it('tells how far they are apart, by what was painted out where it was', () => {
    const said = words(
      <Versions
        formulaId="f"
        shown={2}
        zone="UTC"
        versions={[version(2, '#136a78', null), version(1, '#ffffff', '#146b79')]}
      />,
    )
    expect(said).toContain('2 versions')
    expect(said).toContain('on the desk')
    expect(said).toContain('cannot tell, ΔE00 0.')
    expect(said).toContain('5 Jan 2026, Ilse Marrow')
    expect(said).toContain('not yet')
  })
  it('lists the bottles mixed by it', () => {
    const bottle = {
      bottleId: 'b',
      label: 'Night teal',
      hex: '#136a78',
      mixedAt: '2026-01-06T09:00:00Z',
      version: 2,
      empty: true,
    }
    expect(words(<UsedInBottles bottles={[bottle]} zone="UTC" />)).toContain('version 2, 6 Jan 2026, empty')
    expect(words(<UsedInBottles bottles={[]} zone="UTC" />)).toContain('No bottle yet')
  })
})

describe('a candidate', () => {
  const candidate: Candidate = {
    set: [3, 2],
    parts: [2, 1],
    deltaE: 0.4,
    perMl: 10,
    contrastRatio: 0.99,
    pigments: ['PB29'],
    sheen: 'satin',
    promise: true,
    score: 1,
  }
  const pool = [violet, yellow, white, teal]
  const target = { label: 'picked', hex: '#4f8f8a', reflectance: null, sheen: null }
  it('shows parts, nearness, how sure, cost and hiding, and goes to the bench with the volume', () => {
    const node = <CandidateCard candidate={candidate} pool={pool} target={target} volumeUl={240_000} currency="EUR" />
    const said = words(node)
    expect(said).toMatch(/cannot tell ΔE00 0\.4, calibrated, ±.\d/)
    expect(said).toMatch(/2 Teal 1 Chalk/)
    expect(said).toContain('hides (0.99)')
    expect(said).toContain('1 pigment')
    expect(html(node)).toContain('/bench?paints=Teal,Chalk&amp;parts=2,1&amp;ul=240000')
    expect(html(node)).toContain('target=4f8f8a')
  })
  it('warns where it matches by day only', () => {
    const flat = new Array<number>(36).fill(0).map((_, i) => (i % 6 < 3 ? 0.35 : 0.12))
    const read = { ...target, reflectance: flat }
    expect(
      words(<CandidateCard candidate={candidate} pool={pool} target={read} volumeUl={undefined} currency="EUR" />),
    ).toContain('in lamp light it differs')
  })
})

describe('the palette', () => {
  const check = (words2: Parameters<typeof PaletteCheck>[0]['words']) =>
    words(
      <PaletteCheck
        paints={[violet, yellow, white, teal]}
        words={words2}
        bottles={[]}
        start={['Plum', 'Marigold', 'Teal']}
      />,
    )
  it('keeps mud apart, and lets the maker’s word stand before it', () => {
    expect(check([])).toMatch(/Plum and Marigold turn to mud/)
    const said = check([{ aId: 'Plum', bId: 'Marigold', verdict: 'surprising', note: 'it sang' }])
    expect(said).toContain('surprising together, it sang')
    expect(said).not.toMatch(/Plum and Marigold turn to mud/)
  })
  it('tells of light and dark, and of what is transparent', () => {
    expect(check([])).toContain('A light stands among darks')
    expect(check([])).toContain('Transparent to opaque')
  })
  it('takes bottles too, and says how sure its least sure patch is', () => {
    const bottles = [{ id: 'b', label: 'Night teal', hex: '#1d4464', sheen: 'satin' as const }]
    const said = words(
      <PaletteCheck paints={[violet, yellow]} bottles={bottles} words={[]} start={['Plum', 'Marigold', 'b']} />,
    )
    expect(said).toContain('Night teal')
    expect(said).toMatch(/the least sure patch is an estimate, ±.\d/)
    expect(said).toContain('10 % tint')
  })
  it('asks for two paints', () => {
    expect(words(<PaletteCheck paints={[violet]} words={[]} bottles={[]} start={['Plum']} />)).toContain(
      'Two paints or more',
    )
  })
})

describe('a batch on its card', () => {
  const paints = [
    { id: 'Teal', name: 'Teal', hex: '#136a78', parts: 3, pull: 5 },
    { id: 'Plum', name: 'Plum', hex: '#4a2a78', parts: 1, pull: 9 },
  ]
  const batch = (state: Record<string, unknown>): OpenBatch => ({
    id: 'b',
    revision: 1,
    title: 'Nine panels',
    formulaId: 'f',
    formulaVersion: 2,
    formulaName: 'Sea',
    done: false,
    state: stateSchema.cast({ paintUl: 400_000, containers: 2, sizeUl: 1_000_000, keptHex: '#136a78', ...state }),
  })
  const say = (state: Record<string, unknown> = {}) => words(<BatchDesk batch={batch(state)} paints={paints} />)
  it('lists each container’s steps with both units, medium and water', () => {
    expect(say()).toContain('400 ml of paint in 2 containers')
    expect(say()).toMatch(/150.ml 5\.07.fl oz Teal/)
    expect(say()).toMatch(/400.ml 13\.5.fl oz medium, to the mark/)
    expect(say()).toContain('Read every container')
  })
  it('says how often to box containers that differ, and that others are one batch', () => {
    const read = (...hexes: string[]) => ({ readings: hexes.map((hex) => ({ hex, reflectance: null })) })
    expect(say(read('#136a78', '#1f7f86'))).toMatch(/Box them (once|\d times)/)
    expect(say({ ...read('#136a78', '#136a78'), boxed: 2 })).toContain('after boxing 2 times')
  })
  it('says what does not fit instead of drawing it', () => {
    expect(say({ sizeUl: 100_000 })).toContain('Use more containers, or larger ones')
  })
})

describe('targets and cups', () => {
  it('a target is its colour, or its spectrum where it was read', () => {
    const target = targetOf({ id: 'p', kind: 'paint', label: 'Teal', hex: '#136a78', sheen: 'gloss' })
    expect(target).toEqual({ label: 'Teal', hex: '#136a78', reflectance: null, sheen: 'gloss' })
    expect(labOfTarget(target)).toEqual(hexToLab('#136a78'))
    expect(spectrumOfTarget(target)).toHaveLength(36)
    const grey = { ...target, reflectance: new Array<number>(36).fill(0.18) }
    expect(spectrumOfTarget(grey)[0]).toBe(0.18)
    expect(Math.abs(labOfTarget(grey)[1])).toBeLessThan(0.1)
    expect(hexToSrgb(target.hex)[0]).toBeCloseTo(19 / 255, 9)
  })
  it('a bottle becomes a cup: its paints by lot summed, what carries them beside, and the room above', () => {
    const bottle = { id: 'b', capacityUl: 240_000, ul: 100_000 } as Parameters<typeof cupOf>[0]
    const portion = (materialId: string, kind: string, ul: number) =>
      ({ materialId, material: materialId, kind, ul }) as Parameters<typeof cupOf>[1][number]
    const portions = [
      portion('Teal', 'paint', 20_000),
      portion('Teal', 'paint', 5_500),
      portion('flow', 'medium', 60_000),
      portion('gone', 'paint', 14_500),
    ]
    expect(cupOf(bottle, portions, byId)).toEqual({
      bottleId: 'b',
      rows: [{ id: 'Teal', amount: '25.5' }],
      besides: [
        { name: 'flow', ul: 60_000 },
        { name: 'gone', ul: 14_500 },
      ],
      roomUl: 140_000,
    })
    expect(cupOf(undefined, [], byId)).toEqual({ bottleId: null, rows: [], besides: [], roomUl: null })
  })
  it('what is added to it takes its carriers along, so that it pours as before', () => {
    const besides = [
      { name: 'Flow', ul: 60_000 },
      { name: 'Water', ul: 15_000 },
    ]
    expect(takenAlong(besides, 25_000, 5_000)).toEqual([
      { name: 'Flow', ul: 12_000 },
      { name: 'Water', ul: 3_000 },
    ])
    expect(besidesUl(besides)).toBe(75_000)
    expect(takenAlong([{ name: 'Drop', ul: 1 }], 25_000, 5_000)).toEqual([])
    expect(takenAlong([], 25_000, 5_000)).toEqual([])
  })
})
