import fc from 'fast-check'
import { MEDIUM_KINDS, BODIES, OPACITIES, ROLES, SHEENS, STRENGTHS } from '@/core/paint/properties'
import { THINNERS } from '@/core/mix/thinners'
import { schemaOf, type MaterialInput } from '@/db/materials/schema'

/** Text as people type it: accents, quotes, signs that begin a formula, line breaks; never only spaces around it. */
const text = (max: number) =>
  fc
    .string({ unit: fc.constantFrom(...'aZ9 é"\';=+-@ß,\n.'), maxLength: max })
    .map((s) => s.trim().replace(/[ \n]+/g, ' '))
const word = fc.string({ unit: fc.constantFrom(...'abcé19 '), minLength: 1, maxLength: 12 }).map((s) => `x${s}`.trim())
const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`)
const share = fc.integer({ min: 1, max: 9999 }).map((n) => n / 10_000)
const maybe = <T>(arb: fc.Arbitrary<T>) => fc.option(arb, { nil: null })

const shared = {
  maker: text(12),
  line: text(12),
  name: text(20).map((s) => `N${s}`),
  densityGPerMl: fc.integer({ min: 5000, max: 60_000 }).map((n) => n / 10_000),
  solids: share,
  containerUl: maybe(fc.integer({ min: 1, max: 5_000_000 })),
  priceMinor: maybe(fc.integer({ min: 0, max: 100_000 })),
  lowUl: maybe(fc.integer({ min: 1, max: 5_000_000 })),
  supplier: text(12),
  barcode: text(12),
  tags: fc.uniqueArray(word, { maxLength: 4 }),
  discontinued: fc.boolean(),
  notes: text(40),
}
const flags = fc
  .uniqueArray(
    fc.record({
      role: fc.constantFrom(...ROLES),
      rule: fc.constantFrom('avoid' as const, 'only' as const),
      reason: word,
    }),
    { selector: (f) => f.role, maxLength: 4 },
  )
  .map((list) => [...list.filter((f) => f.rule === 'avoid'), ...list.filter((f) => f.rule === 'only')])

const said = fc.oneof(
  fc.record({
    ...shared,
    kind: fc.constant('paint' as const),
    pigmentShare: share,
    body: fc.constantFrom(...BODIES),
    opacity: fc.constantFrom(...OPACITIES),
    contrastRatio: maybe(share),
    sheen: fc.constantFrom(...SHEENS),
    sheenStrength: fc.constantFrom(1, 2, 3),
    strength: fc.constantFrom(...STRENGTHS),
    lightfastness: fc.constantFrom('' as const, 'I' as const, 'III' as const),
    pigments: fc.uniqueArray(fc.constantFrom('PB15:3', 'PW6', 'PBk7', 'PBr7'), { maxLength: 4 }),
    swatchHex: hex,
    tintHex: maybe(hex),
    tintWhiteShare: maybe(share),
    shadeHex: maybe(hex),
    shadeBlackShare: maybe(share),
    wetHex: maybe(hex),
    readings: fc.constant({ masstone: null, tint: null, shade: null }),
    flags,
    substitutes: fc.constant([]),
    standIn: fc.constant([]),
  }),
  fc.record({
    ...shared,
    kind: fc.constantFrom('medium' as const, 'additive' as const),
    pigmentShare: share,
    mediumKind: fc.constantFrom(...MEDIUM_KINDS),
    waterShare: share,
    effects: maybe(
      fc.array(
        fc.integer({ min: 0, max: 30 }).map((n) => n / 10),
        { minLength: 10, maxLength: 10 },
      ),
    ),
  }),
  fc.record({
    ...shared,
    kind: fc.constant('water' as const),
    thinner: fc.constantFrom(...THINNERS),
    waterShare: share,
  }),
) as fc.Arbitrary<MaterialInput>

/** A paint, medium or thinner with anything a form can hold, invented at random; what is not said, as the schema fills it. */
export const aMaterial: fc.Arbitrary<MaterialInput> = said.map((m) => schemaOf(m.kind).cast(m) as MaterialInput)
