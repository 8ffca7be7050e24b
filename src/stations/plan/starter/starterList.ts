import { DEFAULTS_BY_MEDIUM, type MediumKind } from '@/core/paint/properties'
import { ML_PER_FL_OZ, MM_PER_INCH } from '@/core/quantity/units'
import type { UnitSystem } from '@/core/quantity/parse'
import { mediumSchema, type MaterialInput } from '@/db/materials/schema'
import type { CupInput, PlaceInput } from '@/db/room/schema'
import type { SurfaceInput } from '@/db/surfaces/schema'

/** Something every room has, of no maker, to tick and bring in. */
export type StarterItem = {
  readonly key: string
  readonly group: 'Mediums' | 'Cups' | 'Surfaces' | 'Level places'
  readonly name: string
  /** Ticked where nobody said otherwise. */
  readonly usual: boolean
} & (
  | { readonly what: 'material'; readonly material: MaterialInput }
  | { readonly what: 'cup'; readonly cup: Omit<CupInput, 'id'> }
  | { readonly what: 'surface'; readonly surface: Omit<SurfaceInput, 'id'> }
  | { readonly what: 'place'; readonly place: Omit<PlaceInput, 'id'> }
)

const MEDIUMS: readonly (readonly [name: string, kind: MediumKind, usual: boolean])[] = [
  ['Latex-paint conditioner', 'conditioner', true],
  ['Pouring medium', 'pouring medium', true],
  ['Gloss medium', 'gloss medium', false],
  ['White glue', 'glue', false],
  ['Anti-craze medium', 'anti-craze medium', false],
  ['Clear water-borne varnish', 'clear varnish', false],
]

const medium = (name: string, mediumKind: MediumKind, usual: boolean): StarterItem => ({
  key: `medium ${name}`,
  group: 'Mediums',
  name,
  usual,
  what: 'material',
  material: mediumSchema.cast({ kind: 'medium', name, maker: '', mediumKind, ...DEFAULTS_BY_MEDIUM[mediumKind] }),
})

const additive: StarterItem = {
  key: 'additive silicone',
  group: 'Mediums',
  name: 'Silicone oil',
  usual: false,
  what: 'material',
  material: mediumSchema.cast({
    kind: 'additive',
    name: 'Silicone oil',
    maker: '',
    mediumKind: 'pouring medium',
    densityGPerMl: 0.97,
    solids: 1,
  }),
}

const cups = (units: UnitSystem): StarterItem[] =>
  (units === 'us' ? [3, 5, 7, 9, 16] : [50, 100, 200, 300, 500]).map((n) => {
    const name = units === 'us' ? `${n} oz cup` : `${n} ml cup`
    const sizeUl = Math.round(units === 'us' ? n * ML_PER_FL_OZ * 1000 : n * 1000)
    return { key: `cup ${n}`, group: 'Cups', name, usual: true, what: 'cup', cup: { name, sizeUl } }
  })

const surfaces = (units: UnitSystem): StarterItem[] => {
  const us = units === 'us'
  const unit = us ? 'in' : 'cm'
  const mm = us ? MM_PER_INCH : 10
  const flat: readonly (readonly [kind: SurfaceInput['kind'], a: number, b: number, edge: number, usual: boolean])[] =
    us
      ? [
          ['panel', 8, 8, 0.5, true],
          ['stretched canvas', 11, 14, 0.75, true],
          ['stretched canvas', 16, 20, 0.75, true],
          ['deep canvas', 18, 24, 1.5, false],
          ['tile', 4, 4, 0.25, false],
        ]
      : [
          ['panel', 20, 20, 1, true],
          ['stretched canvas', 30, 40, 2, true],
          ['stretched canvas', 40, 50, 2, true],
          ['deep canvas', 50, 70, 4, false],
          ['tile', 10, 10, 0.6, false],
        ]
  const across = us ? 12 : 30
  const round: StarterItem = {
    key: 'surface round',
    group: 'Surfaces',
    name: `Round, ${across} ${unit}`,
    usual: false,
    what: 'surface',
    surface: {
      kind: 'round',
      name: `Round ${across} ${unit}`,
      shape: 'round',
      lengthMm: 0,
      widthMm: 0,
      diameterMm: across * mm,
      edgeMm: 2 * mm,
      grade: 'practice',
    },
  }
  return [
    ...flat.map(([kind, a, b, edge, usual]): StarterItem => {
      const name = `${kind[0]!.toUpperCase()}${kind.slice(1)} ${a} × ${b} ${unit}`
      return {
        key: `surface ${kind} ${a}`,
        group: 'Surfaces',
        name,
        usual,
        what: 'surface',
        surface: {
          kind,
          name,
          shape: 'rectangle',
          lengthMm: a * mm,
          widthMm: b * mm,
          diameterMm: 0,
          edgeMm: edge * mm,
          grade: 'practice',
        },
      }
    }),
    round,
  ]
}

const places = (units: UnitSystem): StarterItem[] => {
  const us = units === 'us'
  const mm = us ? MM_PER_INCH : 10
  const all: readonly (readonly [name: string, a: number, b: number, spots: number])[] = us
    ? [
        ['Level table', 24, 32, 2],
        ['Rack of small boards', 12, 16, 6],
      ]
    : [
        ['Level table', 60, 80, 2],
        ['Rack of small boards', 30, 40, 6],
      ]
  return all.map(([name, a, b, spots]) => ({
    key: `place ${name}`,
    group: 'Level places',
    name: `${name}, ${spots} of ${a} × ${b} ${us ? 'in' : 'cm'}`,
    usual: true,
    what: 'place',
    place: { name, lengthMm: a * mm, widthMm: b * mm, spots },
  }))
}

/** What there is to tick, in the studio's units. Sizes are common ones; films and solids from memory. */
export const starterList = (units: UnitSystem): StarterItem[] => [
  ...MEDIUMS.map(([name, kind, usual]) => medium(name, kind, usual)),
  additive,
  ...cups(units),
  ...surfaces(units),
  ...places(units),
]
