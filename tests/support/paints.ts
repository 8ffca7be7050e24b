import { hexToLab } from '@/core/colour/lab'
import { DEFAULTS_BY_BODY } from '@/core/paint/properties'
import type { DrawerPaint } from '@/db/materials/drawer'
import type { MediumRow, WaterRow } from '@/db/materials/read'
import { mediumSchema, paintSchema, thinnerSchema } from '@/db/materials/schema'

const shared = {
  maker: 'Kvarnby Colour',
  line: 'Studio',
  containerUl: 120_000,
  priceMinor: 990,
  ...DEFAULTS_BY_BODY.soft,
}
const row = { archived: false, revision: 1 }

/** An invented paint as the drawer has it; what is not said is as the schema fills it. */
export function drawerPaint(more: Partial<DrawerPaint> = {}): DrawerPaint {
  const teal = paintSchema.cast({
    ...shared,
    kind: 'paint',
    name: 'Canal Teal',
    body: 'soft',
    opacity: 'semi-opaque',
    sheen: 'satin',
    strength: 'strong',
    pigments: ['PB15:3', 'PG7'],
    swatchHex: '#136a78',
  })
  const m = { ...teal, ...row, id: 'm', ...more }
  return { ...m, lab: hexToLab(m.swatchHex), hueOrder: 0, perMl: 8.25, ...more }
}

/** An invented conditioner, and tap water. */
export const flowMedium = (more: Partial<MediumRow> = {}): MediumRow => ({
  ...mediumSchema.cast({
    ...shared,
    kind: 'medium',
    name: 'Kvarnby Flow',
    mediumKind: 'conditioner',
    waterShare: 0.4,
    containerUl: 1_000_000,
    priceMinor: 2000,
  }),
  ...row,
  id: 'f',
  ...more,
})
export const tapWater = (): WaterRow => ({
  ...thinnerSchema.cast({ ...shared, kind: 'water', name: 'Tap', thinner: 'tap' }),
  ...row,
  id: 'w',
})
