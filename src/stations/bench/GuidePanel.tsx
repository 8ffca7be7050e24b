'use client'

import { Button, Input, Select } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { USUAL_TECHNIQUE } from '@/core/technique/techniques'
import { useTechniques } from '@/ui/hooks/useTechniques'
import { LOOKS, wantedBand, type Look } from '@/core/consistency/wanted'
import type { Role } from '@/core/paint/properties'
import type { UnitSystem } from '@/core/quantity/parse'
import { Notice } from '@/ui/frame/Notice'
import { readVolume } from '@/ui/forms/QuantityInput'
import { useSend } from '@/ui/hooks/useSend'
import { beginGuideAction } from './guide/actions'
import { SaveRecipe } from './recipes/SaveRecipe'
import type { Draft, MixView } from './mixDraft'
import type { BenchStart } from './start'

/** What it is mixed for, and the way into the guided mix; the recipe can be kept under a name. */
export function GuidePanel({
  draft,
  view,
  start,
  units,
}: {
  draft: Draft
  view: MixView
  start: BenchStart
  units: UnitSystem
}) {
  const techniques = useTechniques()
  const [technique, setTechnique] = useState(start.technique ?? USUAL_TECHNIQUE)
  const [look, setLook] = useState<Look>('as usual')
  const [cup, setCup] = useState('')
  const [role] = useState<Role>(start.role)
  const [unreadable, setUnreadable] = useState<string>()
  const [id] = useState(() => uuidv7())
  const { send, pending, refusal } = useSend<{ id: string }>({ quiet: true })
  const router = useRouter()
  const meantFor = techniques.find(technique)
  const bandS = meantFor && wantedBand(meantFor, look, role)
  const begin = () => {
    const size = readVolume(cup, units)
    if (size.sentence || view.problems.length) return setUnreadable(size.sentence ?? view.problems[0])
    if (!view.recipe || view.lines.length === 0) return setUnreadable('Choose a paint or a medium, and a total, first.')
    setUnreadable(undefined)
    if (!bandS) return setUnreadable('Choose what it is thinned for first.')
    const { paints, paintParts, mediums, water } = view.recipe
    const input = {
      id,
      lines: view.lines.map((l) => ({
        source: l.material.inBottle ? 'bottle' : 'material',
        id: l.materialId,
        plannedUl: Math.round(l.plannedUl),
        byDrop: l.kind === 'additive',
      })),
      recipe: { paints, paintParts, mediums, water: water ?? null, drops: view.drops },
      label:
        start.label || (paints.length === 1 ? (view.lines.find((l) => l.kind === 'paint')?.material.name ?? '') : ''),
      role,
      technique,
      bandS,
      cupUl: size.value ?? null,
      waterId: draft.waterId,
      steps: draft.steps.filter((s) => s.trim()),
      formula:
        start.formula && JSON.stringify(draft.paints) === JSON.stringify(start.draft.paints)
          ? { id: start.formula.id, version: start.formula.version }
          : null,
    }
    send(
      () => beginGuideAction(input),
      (made) => router.push(`/bench/guide/${made.id}`),
    )
  }
  return (
    <section className="panel" aria-label="Mix step by step">
      <div className="three columns">
        <label className="field">
          <span>For</span>
          <Select
            aria-label="Technique"
            value={technique}
            onChange={setTechnique}
            className="wide"
            popupMatchSelectWidth={false}
            options={techniques.all.map((t) => ({ value: t.key, label: t.name }))}
          />
        </label>
        <label className="field">
          <span>Look</span>
          <Select<Look>
            aria-label="Look"
            value={look}
            onChange={setLook}
            className="wide"
            options={LOOKS.map((l) => ({ value: l, label: l }))}
          />
        </label>
        <label className="field">
          <span>Cup holds</span>
          <Input value={cup} placeholder="not given" onChange={(e) => setCup(e.target.value)} />
        </label>
      </div>
      {bandS ? (
        <p className="muted">
          Should be flat in {bandS[0]}–{bandS[1]} s. Start values of Fika.
        </p>
      ) : null}
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
      <div className="row near">
        <Button type="primary" size="large" className="grow" loading={pending} onClick={begin}>
          Mix step by step
        </Button>
        <SaveRecipe draft={draft} role={role} technique={technique} known={start.recipe} />
      </div>
    </section>
  )
}
