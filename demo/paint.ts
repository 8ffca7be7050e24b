// Makes the pictures of the demo's pieces: each is poured and tilted as its plan and hand say, and drawn wet and dry.
// Called by node bin/demo-pictures.mjs, with the demo studio in its database.
import { mkdirSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import sharp from 'sharp'
import { measurePhoto, type PhotoMeasures } from '@/core/photo/measurePhoto'
import { WHOLE } from '@/core/surface/homography'
import { planAmounts } from '@/core/plan/amounts'
import { sourceKey } from '@/core/plan/design'
import { cellFor } from '@/core/tilt/board'
import { slopesOf } from '@/core/tilt/hand'
import { rehearsalOf } from '@/core/tilt/ofPlan'
import { toldOf } from '@/core/tilt/kept'
import { Rehearsal } from '@/core/tilt/rehearsal'
import { SHIPPED } from '@/core/technique/techniques'
import { START_SECONDS_PER_NU } from '@/core/consistency/flowCup'
import { endPool } from '@/db/base/pool'
import { withStudio } from '@/db/base/withStudio'
import { demoDoor } from '@/db/people/demoDoor'
import { listPlans, type PlanWithParts } from '@/db/plans/read'
import type { Sheen } from '@/core/paint/properties'
import { drawn } from './drawn'
import { handOf, REHEARSED } from './hands'
import { MEASURED, measuredKey, pictureOf, toldOfPlan } from './pictures'

const WIDTH = 720
const measured: Record<string, PhotoMeasures> = {}

/** What is measured of a picture, as it would be of a photo; numbers are kept as finely as they mean anything. */
async function measuresOf(file: string, { parts, design }: PlanWithParts): Promise<PhotoMeasures> {
  const { data, info } = await sharp(file).ensureAlpha().raw().toBuffer({ resolveWithObject: true })
  const ul = new Map<string, number>()
  for (const p of parts) if (p.hex) ul.set(p.hex, (ul.get(p.hex) ?? 0) + p.ul)
  const all = [...ul.values()].reduce((a, b) => a + b, 0)
  const { measures } = measurePhoto(
    { width: info.width, height: info.height, data },
    WHOLE,
    design.surfaces[0]!.surface,
    [...ul].map(([hex, of]) => ({ hex, share: of / all })),
  )
  return JSON.parse(
    JSON.stringify(measures, (_, v: unknown) => (typeof v === 'number' ? Math.round(1e4 * v) / 1e4 : v)),
  ) as PhotoMeasures
}

const plans = await withStudio((await demoDoor('a computer'))!, listPlans)
for (const [n, plan] of plans.filter((p) => p.pouredAt || REHEARSED[p.title]).entries()) {
  const [from, to] = SHIPPED.of(plan.technique).levelTimeS
  // A technique may do with paint that is level at once; a board needs some thickness to be rehearsed.
  const nu = Math.sqrt(Math.max(from, to / 4) * to) / START_SECONDS_PER_NU
  const parts = new Map(plan.parts.map((p) => [sourceKey(p.of), p]))
  const { task, of } = rehearsalOf(plan.design, planAmounts(plan.design), plan.design.surfaces[0]!.id, (of) => {
    const part = parts.get(sourceKey(of))!
    return { hex: part.hex ?? '#dddddd', sheen: part.sheen as Sheen, nu }
  })
  const rehearsal = new Rehearsal(task, cellFor(task.shape, 1, 25_000), { seed: n + 1 })
  const hand = handOf(plan.title)
  rehearsal.advance((hand.at(-1)?.t ?? 0) + 1, slopesOf(hand))
  for (const state of ['wet', 'dry'] as const) {
    const file = pictureOf(plan.title, state)
    mkdirSync(dirname(file), { recursive: true })
    await drawn(rehearsal, WIDTH, state).picture.webp({ quality: 80 }).toFile(file)
    if (plan.pouredAt) measured[measuredKey(plan.title, state)] = await measuresOf(file, plan)
  }
  const readings = rehearsal.readings()
  if (!plan.pouredAt) {
    const named = of.map((o) => ({ of: o, hex: parts.get(sourceKey(o))!.hex!, label: parts.get(sourceKey(o))!.label }))
    writeFileSync(toldOfPlan(plan.title), `${JSON.stringify(toldOf(readings, named), null, 2)}\n`)
  }
  const { meanMm, covered } = readings
  console.log(`${plan.title}: ${meanMm.toFixed(2)} mm left, ${Math.round(covered * 100)} % covered`)
}
writeFileSync(MEASURED, `${JSON.stringify(measured)}\n`)
await endPool()
