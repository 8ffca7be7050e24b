import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { v7 as uuidv7 } from 'uuid'
import { hexToLab, labToSrgb } from '@/core/colour/lab'
import { hexOfReflectance } from '@/core/colour/paintedOut'
import { srgbToHex } from '@/core/colour/srgb'
import type { Strength } from '@/core/paint/properties'
import { DEFAULTS_BY_BODY, DEFAULTS_BY_MEDIUM, parsePigments } from '@/core/paint/properties'
import { amountsForTotal, ingredients } from '@/core/mix/recipe'
import { addMember } from '@/db/people/members'
import { createStudio } from '@/db/people/newStudio'
import { DEMO_EMAIL } from '@/db/people/demoDoor'
import { dropsUl } from '@/core/mix/drops'
import { START_DROPS } from '@/core/quantity/dropSizes'
import { buyContainer, discard, finishContainer, takeOut } from '@/db/ledger'
import { mixBottle, reclaimRunOff, waterBottle, weighInBottle } from '@/db/mixes'
import { saveRatioOfPaint } from '@/db/people/houseRules'
import { saveRecipe } from '@/db/recipes/recipes'
import { pool } from '@/db/base/pool'
import { measureFormula, saveFormula } from '@/db/formulas/formulas'
import { SHIPPED } from '@/core/technique/techniques'
import { ofBottle, simpleDesign } from '@/core/plan/simpleDesign'
import type { Surface } from '@/core/surface/shapes'
import { findBottle } from '@/db/bottles/read'
import { findPlan } from '@/db/plans/read'
import { withStudio, type Tx } from '@/db/base/withStudio'
import { findMaterial, inputOf } from '@/db/materials/read'
import { saveOffer } from '@/db/materials/offers'
import { moveSurfaces, saveSurface } from '@/db/surfaces/write'
import { insertMaterial, notePair, updateMaterial } from '@/db/materials/write'
import { savePlan } from '@/db/plans/write'
import { pourPlan } from '@/db/pieces/pour'
import { takePhoto } from '@/server/photo'
import { noteLook, notePiece } from '@/db/pieces/write'
import { keepRehearsal } from '@/db/rehearsals/write'
import type { Told } from '@/core/tilt/kept'
import { DISCONTINUED, FLAGS, LOW_ML, OFFERS, PAINTED_OUT, PAIRS, SUBSTITUTES, SURFACES, TAGS } from './catalogue'
import { COLOURS, mixOf, shadeOf, tintOf, truthOf } from './colours'
import { handOf, setAsPoured } from './hands'
import { MEDIUMS, PAINTS, SILICONE } from './paints'
import { MEASURED, measuredKey, pictureOf, toldOfPlan } from './pictures'
import { WHOLE } from '@/core/surface/homography'
import { keepMeasures } from '@/db/pieces/photos'
import type { MeasuredInput } from '@/db/pieces/measuresSchema'
import { canalStudies, cardTrials, EARLIER, SPRING_CONTAINERS, STUCK_ML } from './studies'
import { FULLER, fuller, planOf, plansAhead, room, WORK_OF } from './plans'
import { readByWatch } from './timing'
import { BOTTLES, PALETTES, POURS, READINGS, RECIPES, RUN_OFF, type DemoBottle, type DemoPour } from './work'

/** Members of the invented studio; nobody signs in to them with a password. */
const MEMBERS = [
  { name: 'Ilse Marrow', email: DEMO_EMAIL, role: 'owner' },
  { name: 'Tobiah Quill', email: 'tobiah@lock-house.example', role: 'maker' },
  { name: 'Runa Hesketh-Vane', email: 'runa@lock-house.example', role: 'maker' },
] as const
/** Counted containers: name, how many, days ago of the first. */
const CONTAINERS: readonly (readonly [string, number, number])[] = [
  ['Lamp Soot', 2, 240],
  ['Sluice White', 2, 140],
  ['Ferry Navy', 2, 120],
  ['Canal Teal', 2, 118],
  ['Chalk Path', 1, 60],
  ['Towpath Ochre', 1, 60],
  ['Brick Arch', 1, 60],
  ['Picket White', 3, 130],
  ['Kvarnby Flow', 2, 150],
  ['Torvald Gloss 40', 1, 150],
  ['Finch Pouring Medium', 1, 80],
  ['Rowan Lake', 1, 40],
  ['Turquoise Lock', 1, 80],
  ['Old Gold', 2, 100],
  ['Pearl Mist', 2, 50],
  ['Titan Ridge', 1, 55],
  ['Plum Shed', 1, 30],
]

const DAY = 86_400_000

/**
 * Makes the demo studio through the same code its users use, in one transaction: an interrupted start leaves nothing
 * behind. Dates count back from `now`.
 * @returns false when it is there already
 */
export async function seedDemo(now: Date): Promise<boolean> {
  const { rows } = await pool().query('select 1 from account where email_key = $1', [DEMO_EMAIL])
  if (rows.length) return false
  const studioId = uuidv7()
  await withStudio({ studioId, accountId: null }, async (tx) => {
    await createStudio(tx, { studioId, name: 'Lock House Pour Room', timeZone: 'UTC', demo: true })
    const members: string[] = []
    for (const m of MEMBERS) {
      const id = uuidv7()
      members.push(id)
      await tx.q('insert into account (id, email, name) values ($1, $2, $3)', [id, m.email, m.name])
      await addMember(tx, id, m.role)
    }
    let turn = 0
    const by = (): Tx => ({ ...tx, accountId: members[turn++ % members.length]! })
    const at = (daysAgo: number) => new Date(now.getTime() - daysAgo * DAY)
    const materials = await drawer(by())
    await rest(by(), materials, at)
    await containers(by, materials, at)
    const made = await colours(by, materials, at)
    const spring = await springContainers(by, materials, at)
    const earlier = await rack(by, materials, made, at, EARLIER)
    await finished(by, spring, at)
    const bottles = new Map([...earlier, ...(await rack(by, materials, made, at, BOTTLES))])
    const works = await room(by(), at)
    await canalStudies(by, bottles, at)
    await emptied(by, bottles, at)
    await cardTrials(by, materials)
    await pours(by, bottles, works, at)
    for (const plan of plansAhead(bottles, works)) await savePlan(by(), plan)
    await consistency(by, materials, bottles, at)
    await later(by, bottles, at)
    await keptRecipes(by(), materials)
    await runOff(by(), at)
  })
  return true
}

async function drawer(tx: Tx): Promise<Map<string, string>> {
  const ids = new Map<string, string>()
  for (const [maker, line, name, pigments, body, opacity, sheen, strength, swatchHex, ml, priceMinor] of PAINTS) {
    const id = uuidv7()
    ids.set(name, id)
    await insertMaterial(tx, id, {
      kind: 'paint',
      maker,
      line,
      name,
      body,
      opacity,
      sheen,
      strength,
      swatchHex,
      priceMinor,
      pigments: parsePigments(pigments),
      containerUl: ml * 1000,
      ...paintedOut(name, swatchHex, strength),
      flags: [...(FLAGS[name] ?? [])],
      tags: [...(TAGS[name] ?? [])],
      lowUl: LOW_ML[name] ? LOW_ML[name] * 1000 : null,
      supplier: maker === 'Bracken Lane' ? 'Corner Hardware' : 'Lockside Supplies',
      ...DEFAULTS_BY_BODY[body],
    })
  }
  for (const [maker, line, name, mediumKind, ml, priceMinor] of MEDIUMS) {
    const id = uuidv7()
    ids.set(name, id)
    await insertMaterial(tx, id, {
      kind: 'medium',
      maker,
      line,
      name,
      mediumKind,
      priceMinor,
      containerUl: ml * 1000,
      ...DEFAULTS_BY_MEDIUM[mediumKind],
    })
  }
  const oil = uuidv7()
  ids.set(SILICONE.name, oil)
  await insertMaterial(tx, oil, {
    kind: 'additive',
    mediumKind: 'pouring medium',
    maker: SILICONE.maker,
    name: SILICONE.name,
    priceMinor: SILICONE.priceMinor,
    containerUl: SILICONE.ml * 1000,
    densityGPerMl: 0.97,
    solids: 1,
  })
  const [water] = await tx.q<{ id: string }>(
    `select id from material where studio_id = $1 and kind = 'water' and name = 'Distilled water'`,
    [tx.studioId],
  )
  ids.set('Distilled water', water!.id)
  return ids
}

/** A tint, for half of them a shade, and the wet look, as the studio painted them out and read them; made up. */
function paintedOut(name: string, hex: string, strength: Strength) {
  const turn = (PAINTED_OUT as readonly string[]).indexOf(name)
  if (turn < 0) return {}
  const truth = truthOf(name, hex, strength)
  const [tint, shade] = [tintOf(truth), turn % 2 ? null : shadeOf(truth)]
  const [l, a, b] = hexToLab(hex)
  return {
    tintHex: hexOfReflectance(tint),
    tintWhiteShare: 0.9,
    shadeHex: shade && hexOfReflectance(shade),
    shadeBlackShare: shade && 0.2,
    readings: { masstone: null, tint, shade },
    wetHex: srgbToHex(labToSrgb([l + 4, a * 1.06, b * 1.06])),
  }
}

/** Named colours by the bottles that are mixed by them. */
type Made = ReadonlyMap<string, { id: string; version: number }>

async function colours(by: () => Tx, ids: Map<string, string>, at: (d: number) => Date): Promise<Made> {
  const looks = new Map(PAINTS.map((p) => [p[2], truthOf(p[2], p[8], p[7])]))
  const made = new Map<string, { id: string; version: number }>()
  for (const c of COLOURS) {
    const tx = by()
    const id = uuidv7()
    for (const v of c.versions) {
      const version = await saveFormula(tx, {
        requestId: uuidv7(),
        id,
        name: c.name,
        notes: c.notes,
        standsInFor: c.standsInFor ? ids.get(c.standsInFor)! : null,
        note: v.note ?? '',
        targetHex: null,
        parts: v.parts.map(([name, parts]) => ({ paintId: ids.get(name)!, parts })),
      })
      await tx.q('update formula_version set at = $4 where studio_id = $1 and formula_id = $2 and version = $3', [
        tx.studioId,
        id,
        version,
        at(v.daysAgo),
      ])
      if (v.painted) {
        const dry = mixOf(
          v.parts.map(([name]) => looks.get(name)!),
          v.parts.map(([, parts]) => parts),
        )
        const [l, a, b] = hexToLab(hexOfReflectance(dry))
        await measureFormula(tx, {
          formulaId: id,
          version,
          dryHex: hexOfReflectance(dry),
          dryReflectance: dry,
          wetHex: srgbToHex(labToSrgb([l + 2.2, a, b])),
          mediumKind: null,
          mediumShare: 0,
        })
      }
      for (const label of c.bottles ?? []) made.set(label, { id, version })
    }
  }
  return made
}

/** What hangs between paints, what they were sold at, and the surfaces on the shelf. */
async function rest(tx: Tx, ids: Map<string, string>, at: (d: number) => Date): Promise<void> {
  for (const [a, b, verdict, note] of PAIRS)
    await notePair(tx, { paintId: ids.get(a)!, otherId: ids.get(b)!, verdict, note })
  for (const name of new Set([...Object.keys(DISCONTINUED), ...Object.keys(SUBSTITUTES)])) {
    const row = await findMaterial(tx, ids.get(name)!)
    const input = inputOf(row)
    if (input.kind !== 'paint') continue
    await updateMaterial(tx, row.id, row.revision, {
      ...input,
      discontinued: name in DISCONTINUED,
      standIn: (DISCONTINUED[name] ?? []).map(([paint, parts]) => ({ paintId: ids.get(paint)!, parts })),
      substitutes: (SUBSTITUTES[name] ?? []).map((s) => ids.get(s)!),
    })
  }
  const day = (d: number) => at(d).toISOString().slice(0, 10)
  for (const [name, supplier, ml, listMinor, terms, from, until] of OFFERS)
    await saveOffer(tx, {
      id: uuidv7(),
      materialId: ids.get(name)!,
      supplier,
      sizeUl: ml * 1000,
      listMinor,
      terms,
      startsOn: day(from),
      endsOn: until === null ? null : day(until),
    })
  for (const [kind, name, [length, width], edge, grade, count, priceMinor, used] of SURFACES) {
    const id = uuidv7()
    await saveSurface(tx, {
      id,
      kind: kind as 'panel',
      name,
      grade,
      shape: width ? 'rectangle' : 'round',
      lengthMm: width ? length! * 10 : 0,
      widthMm: (width ?? 0) * 10,
      diameterMm: width ? 0 : length! * 10,
      edgeMm: edge * 10,
    })
    await moveSurfaces(tx, { requestId: uuidv7(), surfaceId: id, count, priceMinor, note: 'pack' })
    if (used)
      await moveSurfaces(tx, { requestId: uuidv7(), surfaceId: id, count: -used, priceMinor: null, note: 'used' })
  }
}

async function containers(by: () => Tx, ids: Map<string, string>, at: (d: number) => Date): Promise<void> {
  const sizes = new Map([
    ...PAINTS.map((p) => [p[2], [p[9], p[10]]] as const),
    ...MEDIUMS.map((m) => [m[2], [m[4], m[5]]] as const),
  ])
  for (const [name, count, daysAgo] of CONTAINERS)
    for (let i = 0; i < count; i++) {
      const [ml, price] = sizes.get(name)!
      await buyContainer(by(), {
        requestId: uuidv7(),
        materialId: ids.get(name)!,
        lotId: uuidv7(),
        vesselId: uuidv7(),
        label: `container ${i + 1}`,
        sizeUl: ml! * 1000,
        priceMinor: i === 0 ? price! : Math.round(price! * 0.8),
        at: at(daysAgo - 15 * i),
      })
    }
}

/** Containers of last spring. @returns their vessels */
async function springContainers(by: () => Tx, ids: Map<string, string>, at: (d: number) => Date): Promise<string[]> {
  const vessels: string[] = []
  for (const [name, ml, priceMinor] of SPRING_CONTAINERS) {
    const vesselId = uuidv7()
    vessels.push(vesselId)
    await buyContainer(by(), {
      requestId: uuidv7(),
      materialId: ids.get(name)!,
      lotId: uuidv7(),
      vesselId,
      label: 'spring container',
      sizeUl: ml * 1000,
      priceMinor,
      at: at(245),
    })
  }
  return vessels
}

async function finished(by: () => Tx, vessels: readonly string[], at: (d: number) => Date): Promise<void> {
  for (const vesselId of vessels) {
    const tx = by()
    const [held] = await tx.q<{ ul: number }>(
      'select coalesce(sum(ul), 0)::int as ul from vessel_content where studio_id = $1 and vessel_id = $2',
      [tx.studioId, vesselId],
    )
    await finishContainer(tx, {
      requestId: uuidv7(),
      vesselId,
      residueUl: Math.min(held!.ul, STUCK_ML * 1000),
      at: at(125),
    })
  }
}

async function rack(
  by: () => Tx,
  ids: Map<string, string>,
  made: Made,
  at: (d: number) => Date,
  list: readonly DemoBottle[],
): Promise<Map<string, string>> {
  const bottles = new Map<string, string>()
  for (const b of list) bottles.set(b.label, await mix(by(), ids, b, made.get(b.label), at))
  return bottles
}

/** What was left of the bottles of the studies was thrown away. */
async function emptied(by: () => Tx, bottles: ReadonlyMap<string, string>, at: (d: number) => Date): Promise<void> {
  for (const b of EARLIER) {
    const tx = by()
    const { ul } = await findBottle(tx, bottles.get(b.label)!)
    if (ul > 0) await discard(tx, { requestId: uuidv7(), vesselId: bottles.get(b.label)!, note: 'old', at: at(120) })
  }
}

async function mix(
  tx: Tx,
  ids: Map<string, string>,
  b: DemoBottle,
  formula: { id: string; version: number } | undefined,
  at: (d: number) => Date,
): Promise<string> {
  const [paintParts, mediumParts, waterParts] = b.ratio
  const sum = b.mediums.reduce((s, [, parts]) => s + parts, 0)
  const named = ([name, parts]: readonly [string, number]) => ({ materialId: ids.get(name)!, name, parts })
  const recipe = {
    paintParts,
    paints: b.formula.map(named),
    mediums: b.mediums.map(([name, parts]) => named([name, (parts / sum) * mediumParts])),
    water: waterParts ? named(['Distilled water', waterParts]) : null,
    ...(b.silicone ? { drops: [named([SILICONE.name, b.silicone])] } : {}),
  }
  const list = ingredients({ ...recipe, water: recipe.water ?? undefined })
  const amounts = amountsForTotal(list, b.ml * 1000)
  const vesselId = uuidv7()
  await mixBottle(tx, {
    requestId: uuidv7(),
    vesselId,
    label: b.label,
    role: b.role ?? 'pour',
    recipe,
    formula,
    poured: [
      ...list.map((l, i) => {
        const isMedium = b.mediums.some(([name]) => ids.get(name) === l.materialId)
        return { materialId: l.materialId, ul: Math.round(amounts[i]! * (isMedium ? (b.mediumOff ?? 1) : 1)) }
      }),
      ...(recipe.drops ?? []).map((d) => ({
        materialId: d.materialId,
        ul: dropsUl({ materialId: d.materialId, per100Ml: d.parts, dropUl: START_DROPS.oil }, b.ml * 1000),
      })),
    ],
    capacityUl: b.holds * 1000,
    tareMg: 20_000 + b.holds * 45,
    restHours: b.restHours ?? 12,
    untrackedForRest: true,
    notes: b.notes ?? '',
    at: at(b.daysAgo),
  })
  return vesselId
}

async function pours(
  by: () => Tx,
  bottles: Map<string, string>,
  works: ReadonlyMap<string, string>,
  at: (d: number) => Date,
): Promise<void> {
  for (const p of POURS) {
    const tx = by()
    const [work, kind] = WORK_OF[p.title] ?? [null, 'final']
    const design = simpleDesign(
      {
        surface: surface(p),
        kind: SHIPPED.of(p.technique).cups[0],
        eachMinor: p.price / (p.surface.count ?? 1),
        cup: p.cup.map(([label, share]) => ({ of: ofBottle(bottles.get(label)!), share })),
        coats: (p.apart ?? []).map(([role, label, ml]) => ({ role, of: ofBottle(bottles.get(label)!), ul: ml * 1000 })),
      },
      uuidv7,
    )
    const asPoured = setAsPoured(fuller(design, FULLER[p.title]), p.title, uuidv7)
    const plan = planOf(p.title, p.technique, work && works.get(work)!, kind, asPoured)
    await savePlan(tx, plan)
    if (p.result) await finish(tx, plan.id, p.result, at)
    else await rehearse(tx, plan.id)
  }
}

/** Hangs up what was rehearsed of a plan, where it is made. */
async function rehearse(tx: Tx, planId: string): Promise<void> {
  const plan = await findPlan(tx, planId)
  if (!existsSync(toldOfPlan(plan.title))) return
  const told = JSON.parse(await readFile(toldOfPlan(plan.title), 'utf8')) as Told
  await keepRehearsal(tx, {
    id: uuidv7(),
    planId,
    surfaceId: plan.design.surfaces[0]!.id,
    path: handOf(plan.title),
    told: {
      ...told,
      colours: told.colours.map((c) => ({ ...c, of: plan.parts.find((p) => p.label === c.label)?.of ?? c.of })),
    },
    ...(await takePhoto(await readFile(pictureOf(plan.title, 'wet')))),
  })
}

function surface({ surface: s }: DemoPour): Surface {
  const both = { edgeMm: s.edge * 10, count: s.count ?? 1 }
  return 'round' in s
    ? { shape: 'round', diameterMm: s.round * 10, ...both }
    : { shape: 'rectangle', lengthMm: s.cm[0] * 10, widthMm: s.cm[1] * 10, ...both }
}

/** What was measured of the pictures of the demo, by their keys; nothing where they are not made yet. */
async function measuredPictures(): Promise<Record<string, MeasuredInput['measures'] | undefined>> {
  return existsSync(MEASURED) ? (JSON.parse(await readFile(MEASURED, 'utf8')) as never) : {}
}

async function finish(
  tx: Tx,
  planId: string,
  result: NonNullable<DemoPour['result']>,
  at: (d: number) => Date,
): Promise<void> {
  const plan = await findPlan(tx, planId)
  const pieceId = uuidv7()
  const takes = plan.parts.map((p) => ({ vesselId: p.of.id, ul: p.ul }))
  await pourPlan(tx, { requestId: uuidv7(), planId, pieceId, vesselId: uuidv7(), takes }, at(result.daysAgo))
  await notePiece(tx, {
    id: pieceId,
    revision: 1,
    title: plan.title,
    nextTime: result.next ?? '',
    up: 0,
    fate: result.fate ?? 'drying',
    fateOn: null,
    priceMinor: null,
    fateTo: '',
    fateReason: '',
  })
  const isDry = result.rating !== null
  await noteLook(
    tx,
    {
      pieceId,
      moment: isDry ? 'dry' : 'day',
      revision: 0,
      words: result.notes,
      rating: result.rating,
      weak: [],
      best: null,
      faults: (result.faults ?? []).map((fault) => ({ fault, spots: [], much: 2 })),
    },
    null,
    at(result.daysAgo - (isDry ? 3 : 1)),
  )
  for (const state of result.rating === null ? (['wet'] as const) : (['wet', 'dry'] as const)) {
    const file = pictureOf(plan.title, state)
    // A picture that is not made yet is not hung.
    if (!existsSync(file)) continue
    const picture = await readFile(file)
    const { image, width, height } = await takePhoto(picture)
    const photoId = uuidv7()
    await tx.q(
      'insert into piece_photo (studio_id, id, piece_id, moment, width, height, image, taken_at) values ($1, $2, $3, $4, $5, $6, $7, $8)',
      [tx.studioId, photoId, pieceId, state, width, height, image, at(result.daysAgo - (state === 'wet' ? 0 : 3))],
    )
    const measures = (await measuredPictures())[measuredKey(plan.title, state)]
    // The picture shows the face and nothing else: it lies flat already.
    if (measures) await keepMeasures(tx, { photoId, corners: WHOLE, measures }, { image, width, height })
  }
}

/** Palettes, and readings with the drops between them. */
async function consistency(
  by: () => Tx,
  ids: Map<string, string>,
  bottles: Map<string, string>,
  at: (d: number) => Date,
): Promise<void> {
  const tx = by()
  for (const p of PALETTES)
    for (const label of p.bottles)
      await tx.q(
        'update bottle set palette = $3, technique = $4, is_reference = $5 where studio_id = $1 and vessel_id = $2',
        [tx.studioId, bottles.get(label)!, p.name, p.technique, label === p.reference],
      )
  for (const r of READINGS)
    for (const [i, step] of r.steps.entries()) {
      const when = at(r.days - 0.01 * i)
      const vesselId = bottles.get(r.bottle)!
      if (step.drops)
        await waterBottle(by(), {
          requestId: uuidv7(),
          vesselId,
          waterId: ids.get('Distilled water')!,
          ul: step.drops * START_DROPS.water,
          note: 'to consistency',
          at: when,
        })
      await readByWatch(by(), vesselId, step.tries, when)
    }
}

/** Recipes with a name, and one paint with a ratio of its own. */
async function keptRecipes(tx: Tx, ids: Map<string, string>): Promise<void> {
  for (const r of RECIPES) {
    const id = uuidv7()
    const body = {
      paints: r.paints.map(([name, parts]) => ({ id: ids.get(name)!, parts })),
      mediums: r.mediums.map(([name, parts]) => ({ id: ids.get(name)!, parts })),
      ratio: r.ratio,
      waterId: ids.get('Distilled water')!,
      waterParts: r.water,
      drops: [],
      steps: r.steps,
      role: r.role,
      technique: r.technique,
    }
    for (const note of r.notes) await saveRecipe(tx, { requestId: uuidv7(), id, name: r.name, note, body })
  }
  await saveRatioOfPaint(tx, ids.get('Plum Shed')!, { medium: 5, paint: 1, note: 'strong: a spoonful colours a cup' })
}

/** Run-off of one piece, kept in a jar. */
async function runOff(tx: Tx, at: (d: number) => Date): Promise<void> {
  const [piece] = await tx.q<{ id: string }>('select vessel_id as id from piece where studio_id = $1 and title = $2', [
    tx.studioId,
    RUN_OFF.piece,
  ])
  await reclaimRunOff(tx, {
    requestId: uuidv7(),
    pourId: piece!.id,
    jarId: uuidv7(),
    newJar: { label: RUN_OFF.jar, capacityUl: 250_000, tareMg: 165_000 },
    netMg: RUN_OFF.grams * 1000,
    at: at(RUN_OFF.days),
  })
}

/** What happens to bottles besides pours: one is emptied, one lumped, one lost water, some went to tests. */
async function later(by: () => Tx, bottles: Map<string, string>, at: (d: number) => Date): Promise<void> {
  const take = (label: string, ml: number, note: string, daysAgo: number) =>
    takeOut(by(), { requestId: uuidv7(), vesselId: bottles.get(label)!, ul: ml * 1000, note, at: at(daysAgo) })
  await take('Rowan', 106, 'given to Runa for tiles', 6)
  await take('Wisteria', 60, 'test cards', 5)
  await take('Marigold', 100, 'paper swatches', 4)
  await discard(by(), { requestId: uuidv7(), vesselId: bottles.get('Poppy')!, note: 'lumps, smells', at: at(5) })
  const id = bottles.get('Night teal')!
  const tx = by()
  const [held] = await tx.q<{ mg: number; tare: number }>(
    `select round(sum(c.ul * m.density_g_per_ml))::bigint as mg, min(b.tare_mg) as tare
     from vessel_content c join bottle b on b.studio_id = c.studio_id and b.vessel_id = c.vessel_id
     join lot l on l.studio_id = c.studio_id and l.id = c.lot_id join material m on m.studio_id = l.studio_id and m.id = l.material_id
     where c.studio_id = $1 and c.vessel_id = $2`,
    [tx.studioId, id],
  )
  await weighInBottle(tx, {
    requestId: uuidv7(),
    vesselId: id,
    grossMg: held!.mg + held!.tare - 4_000,
    tareMg: held!.tare,
    at: at(2),
  })
}
