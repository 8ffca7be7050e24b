import { bandOf, type Band } from '@/core/consistency/levelTime'
import { hexToLab } from '@/core/colour/lab'
import { groupBy } from '@/core/groupBy'
import type { PouredFacts } from '@/core/learning/pouredFacts'
import { pooledMeans, type Pooled } from '@/core/learning/pooled'
import type { TechniqueBook } from '@/core/technique/techniques'
import { pouredFacts } from '@/db/learning/pieces'
import { houseRules } from '@/db/people/houseRules'
import { techniqueBook } from '@/db/techniques/read'
import type { Tx } from '@/db/base/withStudio'
import type { Sheet } from '../sheet'

/** What pieces are told apart by. */
export const TRAITS = {
  technique: 'by technique',
  consistency: 'by consistency',
  colours: 'by how many paints',
  contrast: 'by contrast of the palette',
  silicone: 'by silicone',
} as const
type Trait = keyof typeof TRAITS

/** What is judged: a rating, or what was measured from a photo; with its usual spread. */
export const JUDGED = {
  rating: { name: 'Rating, 1 – 5', spread: 0.9, to: 5, of: (p: PouredFacts) => p.rating },
  cells: { name: 'Cells per dm²', spread: 30, to: null, of: (p: PouredFacts) => p.cellsPerDm2 },
  lacing: { name: 'Lacing, m per dm²', spread: 0.6, to: null, of: (p: PouredFacts) => p.laceMPerDm2 },
} as const
type Judged = keyof typeof JUDGED

export interface WorksFacts {
  readonly by: Trait
  readonly what: Judged
  readonly pooled: Pooled
}

/** Paints of less than this share are not counted as a colour of the palette. Start value of Fika. */
const COLOUR_SHARE = 0.01
/** L* between the lightest and the darkest paint. Start values of Fika. */
const CONTRAST = [
  [30, 'little contrast'],
  [60, 'some contrast'],
  [Infinity, 'much contrast'],
] as const

/** The trait of a piece in words; undefined where nobody noted it. */
function traitOf(p: PouredFacts, by: Trait, techniques: TechniqueBook, bands: readonly Band[]): string | undefined {
  const paints = p.materials.filter((m) => m.kind === 'paint' && m.share >= COLOUR_SHARE)
  switch (by) {
    case 'technique':
      return techniques.find(p.technique)?.name ?? p.technique
    case 'consistency':
      return p.levelTimeS === null ? undefined : bandOf(p.levelTimeS, bands).name
    case 'colours':
      return paints.length === 0 ? undefined : paints.length >= 6 ? 'six and more paints' : `${paints.length} paints`
    case 'contrast': {
      const light = paints.flatMap((m) => (m.hex ? [hexToLab(m.hex)[0]] : []))
      if (light.length < 2) return undefined
      return CONTRAST.find(([most]) => Math.max(...light) - Math.min(...light) < most)![1]
    }
    case 'silicone':
      return p.materials.some((m) => m.kind === 'additive') ? 'with silicone' : 'without silicone'
  }
}

export async function worksFacts(tx: Tx, search: Readonly<Record<string, string>>): Promise<WorksFacts> {
  const techniques = await techniqueBook(tx)
  const { bands } = await houseRules(tx)
  return whatWorks(await pouredFacts(tx, techniques), search, techniques, bands)
}

/** Pieces by a trait and what they are judged by; what is neither of ours is the usual one. */
export function whatWorks(
  pieces: readonly PouredFacts[],
  search: Readonly<Record<string, string>>,
  techniques: TechniqueBook,
  bands: readonly Band[],
): WorksFacts {
  const by = Object.hasOwn(TRAITS, search.by ?? '') ? (search.by as Trait) : 'technique'
  const what = Object.hasOwn(JUDGED, search.what ?? '') ? (search.what as Judged) : 'rating'
  const judged = pieces.flatMap((p) => {
    const [value, trait] = [JUDGED[what].of(p), traitOf(p, by, techniques, bands)]
    return value === null || trait === undefined ? [] : [{ trait, value }]
  })
  const groups = [...groupBy(judged, (j) => j.trait)].map(([key, of]) => ({ key, values: of.map((j) => j.value) }))
  return { by, what, pooled: pooledMeans(groups, JUDGED[what].spread) }
}

export function worksSheet({ pooled, by, what }: WorksFacts): Sheet {
  return {
    columns: [
      { name: TRAITS[by] },
      { name: 'Pieces', isNumber: true },
      { name: JUDGED[what].name, isNumber: true },
      { name: 'From', isNumber: true },
      { name: 'To', isNumber: true },
      { name: 'Better than the mean, %', isNumber: true },
    ],
    rows: [
      ...pooled.groups.map((g) => ({
        key: g.key,
        cells: [g.key, g.n, g.mean, g.low, g.high, Math.round(100 * g.above)],
      })),
      ...pooled.tooFew.map((g) => ({ key: g.key, cells: [g.key, g.n, null, null, null, null] })),
    ],
  }
}
