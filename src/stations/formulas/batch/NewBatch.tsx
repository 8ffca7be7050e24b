'use client'

import { Button, Input, Select } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { Invalid } from '@/core/errors'
import { numberIn } from '@/core/quantity/number'
import type { UnitSystem } from '@/core/quantity/parse'
import { Chip } from '@/ui/pictures/Drawdown'
import { EmptyState, Notice } from '@/ui/frame/Notice'
import { QuantityInput, readVolume } from '@/ui/forms/QuantityInput'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { Link } from '@/ui/frame/Link'
import { saveBatchAction } from '../actions'
import { planBatch } from './plan'
import { stateSchema } from '@/db/formulas/batchSchema'
import type { BatchPaint } from './BatchDesk'

export interface BatchFormula {
  readonly id: string
  readonly version: number
  readonly name: string
  readonly hex: string
  readonly paints: readonly BatchPaint[]
}

/** Plans a large batch of a named colour: how much, in how many containers, with what sample and what carries it. */
export function NewBatch({
  formulas,
  start,
  units,
}: {
  formulas: readonly BatchFormula[]
  start: string | undefined
  units: UnitSystem
}) {
  const router = useRouter()
  const [id] = useState(() => uuidv7())
  const [formulaId, setFormulaId] = useState(formulas.some((f) => f.id === start) ? start : formulas[0]?.id)
  const us = units === 'us'
  const [f, setF] = useState({
    title: '',
    paint: us ? '16 fl oz' : '400 ml',
    containers: '2',
    size: us ? '32 fl oz' : '1 l',
    sample: us ? '1 fl oz' : '30 ml',
    sampleMedium: '0 ml',
    medium: '2',
    water: '0.1',
  })
  const { unreadable, attempt } = useAttempt()
  const { send, pending, refusal } = useSend<{ id: string; revision: number }>()
  const formula = formulas.find((x) => x.id === formulaId)
  const set = (part: Partial<typeof f>) => setF((old) => ({ ...old, ...part }))
  if (!formula)
    return (
      <EmptyState title="Keep a colour first">
        A large batch is mixed by a named colour, so that it can be checked against its swatch.
        <br />
        <Link className="go" href="/formulas/new">
          Try a mix
        </Link>
      </EmptyState>
    )
  const begin = () => {
    attempt(() => {
      const volume = (text: string, what: string) => {
        const read = readVolume(text, units)
        if (read.value === undefined) throw new Invalid(read.sentence ?? `Say ${what}.`)
        return read.value
      }
      const number = (text: string, what: string) => {
        return numberIn(text, `“${text}” is not a number for ${what}. Type it like 2.`)
      }
      const state = stateSchema.cast({
        paintUl: volume(f.paint, 'how much paint the batch is'),
        containers: number(f.containers, 'the containers'),
        sizeUl: volume(f.size, 'how large a container is'),
        samplePaintUl: volume(f.sample || '0 ml', 'how much the sample is'),
        sampleMediumUl: volume(f.sampleMedium || '0 ml', 'how much medium the sample holds'),
        medium: number(f.medium, 'the medium'),
        water: number(f.water || '0', 'the water'),
        keptHex: formula.hex,
      })
      planBatch(formula.paints, state)
      send(
        () =>
          saveBatchAction({
            id,
            revision: 0,
            title: f.title || `${formula.name}, large`,
            formulaId: formula.id,
            formulaVersion: formula.version,
            state,
            finished: false,
          }),
        () => router.push(`/formulas/batch/${id}`),
      )
    })
  }
  const text = (key: 'title' | 'containers' | 'medium' | 'water', label: string, placeholder?: string) => (
    <label className="field">
      <span>{label}</span>
      <Input value={f[key]} placeholder={placeholder} onChange={(e) => set({ [key]: e.target.value })} />
    </label>
  )
  const amount = (key: 'paint' | 'size' | 'sample' | 'sampleMedium', label: string) => (
    <div className="field">
      <span>{label}</span>
      <QuantityInput label={label} value={f[key]} onChange={(v) => set({ [key]: v })} system={units} />
    </div>
  )
  return (
    <section className="panel page860" aria-label="New batch">
      <label className="field">
        <span>Colour</span>
        <Select
          aria-label="Colour"
          showSearch
          optionFilterProp="label"
          value={formulaId}
          onChange={setFormulaId}
          className="wide"
          options={formulas.map((x) => ({ value: x.id, label: x.name }))}
        />
      </label>
      <p className="chipline">
        <Chip hex={formula.hex} sheen="matte" size={44} />
        {formula.paints.map((p) => `${p.name} ${p.parts}`).join(' : ')}
      </p>
      {text('title', 'What it is for', `${formula.name}, large`)}
      <div className="three">
        {amount('paint', 'Paint in all')}
        {text('containers', 'Containers')}
        {amount('size', 'Each holds')}
        {amount('sample', 'Paint in the sample')}
        {amount('sampleMedium', 'Medium in the sample')}
        <span />
        {text('medium', 'Medium to one of paint')}
        {text('water', 'Water to one of paint')}
      </div>
      {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
      <div className="tools after">
        <Button type="primary" size="large" loading={pending} onClick={begin}>
          Begin the batch
        </Button>
      </div>
    </section>
  )
}
