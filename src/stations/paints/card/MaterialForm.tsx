'use client'

import { POURING_WORDS, type Pouring } from '@/core/paint/pouring'
import { Button, Checkbox, ColorPicker, Form, Input, Select } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { THINNER_FACTS, THINNERS } from '@/core/mix/thinners'
import { LIGHTFASTNESS, needsPigmentCare } from '@/core/paint/pigments'
import { BODIES, BODY_WORDS, MEDIUM_KINDS, OPACITIES, parsePigments, SHEENS, STRENGTHS } from '@/core/paint/properties'
import type { UnitSystem } from '@/core/quantity/parse'
import { Drawdown } from '@/ui/pictures/Drawdown'
import { Notice } from '@/ui/frame/Notice'
import { useAttempt } from '@/ui/hooks/useAttempt'
import { useSend } from '@/ui/hooks/useSend'
import { saveMaterialAction } from '../actions'
import { PhotoSwatch } from '../photo/PhotoSwatch'
import { FIELDS, fieldsOf, type AnyField, type FieldName } from '@/db/materials/fields'
import type { MaterialInput } from '@/db/materials/schema'
import { BothVersions } from './BothVersions'
import { ReadSwatch } from './ReadSwatch'
import { DensityHelper } from './DensityHelper'
import { EffectFields } from './EffectFields'
import { PigmentCaution } from './PigmentCaution'
import { FlagFields, PaintedWith, StandInFields, type PaintChoice } from './LinkedFields'
import { read, start, usualOf, type Fields, type FormKind } from './materialFields'

const UNSAID = { value: '', label: 'not known yet' }
const wordsOf = (what: keyof Pouring) =>
  Object.entries(POURING_WORDS[what].of).map(([value, label]) => ({ value, label }))
const options = (values: readonly string[]) => values.map((v) => ({ value: v, label: v }))
/** Fields that have their place in the form; any other that is a line of text comes after them. */
const PLACED: ReadonlySet<FieldName> = new Set([
  'name',
  'maker',
  'line',
  'pigments',
  'contrastRatio',
  'containerUl',
  'priceMinor',
  'lowUl',
  'supplier',
  'barcode',
])
const ADD = { paint: 'Add the paint', medium: 'Add the medium', water: 'Add the thinner' } as const

interface Props {
  readonly kind: FormKind
  /** What the form was opened with; a new material where it is missing. */
  readonly material?: { id: string; revision: number; input: MaterialInput }
  readonly units: UnitSystem
  readonly makers: readonly string[]
  readonly paints: readonly PaintChoice[]
}

/** Adds or changes a paint, medium or thinner, with its drawdown card beside it as it will look. */
export function MaterialForm({ kind, material, units, makers, paints }: Props) {
  const [form] = Form.useForm<Fields>()
  const [id] = useState(() => material?.id ?? uuidv7())
  const { unreadable, attempt } = useAttempt()
  const [mine, setMine] = useState<MaterialInput>()
  const { send, pending, refusal } = useSend<{ id: string }>()
  const router = useRouter()
  const live = (Form.useWatch([], form) as Fields | undefined) ?? start(material?.input)
  const usual = usualOf(kind, live)
  const by = kind === 'paint' ? 'by body' : 'by kind'

  const save = (input: MaterialInput, revision: number) =>
    send(
      () => saveMaterialAction({ id, revision, material: input }),
      () => {
        router.push(material ? `/paints/${id}` : kind === 'paint' ? '/paints' : '/paints/mediums')
      },
      material ? 'Saved' : 'Added to the drawer',
    )
  const submit = (fields: Fields) => {
    attempt(() => {
      const input = read(kind, { ...start(material?.input), ...fields }, units)
      setMine(input)
      save(input, material?.revision ?? 0)
    })
  }

  return (
    <Form<Fields>
      form={form}
      layout="vertical"
      initialValues={start(material?.input)}
      onFinish={submit}
      requiredMark={false}
    >
      <div className="wide-left">
        <div className="panel">
          <div className="two columns">
            <Form.Item name="name" label="Name" rules={[{ required: true, message: 'Type a name.' }]}>
              <Input maxLength={120} autoFocus={!material} />
            </Form.Item>
            <Form.Item name="maker" label="Maker">
              <Input maxLength={120} list="makers" />
            </Form.Item>
            <datalist id="makers">
              {makers.map((m) => (
                <option key={m} value={m} />
              ))}
            </datalist>
            <Text name="line" />
            {kind === 'medium' ? (
              <Choice name="mediumKind" values={options(MEDIUM_KINDS)} />
            ) : kind === 'water' ? (
              <Choice name="thinner" values={THINNERS.map((t) => ({ value: t, label: THINNER_FACTS[t].words }))} />
            ) : (
              <>
                <Text name="pigments" />
                <Choice name="body" values={BODIES.map((b) => ({ value: b, label: BODY_WORDS[b] }))} />
                <Choice name="opacity" values={options(OPACITIES)} />
                <Text name="contrastRatio" />
                <Choice name="sheen" values={options(SHEENS)} />
                <Choice
                  name="sheenStrength"
                  values={['faint', 'usual', 'strong'].map((label, i) => ({ value: i + 1, label }))}
                />
                <Choice name="strength" values={options(STRENGTHS)} />
                <Choice name="cells" values={[UNSAID, ...wordsOf('cells')]} />
                <Choice name="dryShine" values={[UNSAID, ...wordsOf('dryShine')]} />
                <Choice name="showsBeneath" values={[UNSAID, ...wordsOf('showsBeneath')]} />
                <Choice name="grade" values={[UNSAID, ...wordsOf('grade')]} />
                <Choice
                  name="lightfastness"
                  values={[{ value: '', label: 'by its pigments' }, ...options(LIGHTFASTNESS)]}
                />
              </>
            )}
            <Text name="containerUl" placeholder={units === 'us' ? '2 fl oz' : '60 ml'} />
            <Text name="priceMinor" placeholder="9.90" />
            <Text name="densityGPerMl" placeholder={`${usual.densityGPerMl} ${by}`} />
            <Text name="solids" placeholder={`${usual.solids} ${by}`} />
            {kind === 'water' ? null : <Text name="pigmentShare" placeholder={`${usual.pigmentShare} ${by}`} />}
            {kind === 'paint' ? null : <Text name="waterShare" placeholder={String(usual.waterShare)} />}
            <Text name="lowUl" placeholder={units === 'us' ? '1 fl oz' : '30 ml'} />
            <Text name="supplier" />
            <Text name="barcode" />
            {fieldsOf(kind).map(([name, f]) => (f.line && !PLACED.has(name) ? <Text key={name} name={name} /> : null))}
          </div>
          <DensityHelper units={units} onFound={(density) => form.setFieldValue('densityGPerMl', density)} />
          <Form.Item name="tags" label="Tags">
            <Select
              mode="tags"
              tokenSeparators={[',', ';']}
              open={false}
              suffixIcon={null}
              placeholder="sea, commission, …"
            />
          </Form.Item>
          {kind === 'medium' && !material ? (
            <Form.Item name="additive" valuePropName="checked">
              <Checkbox>An additive, dosed by drops (silicone and the like)</Checkbox>
            </Form.Item>
          ) : null}
          {kind === 'medium' ? <EffectFields mediumKind={live.mediumKind} form={form} /> : null}
          <Form.Item name="notes" label="Notes">
            <Input.TextArea rows={3} maxLength={4000} />
          </Form.Item>
          {kind === 'paint' ? (
            <>
              <FlagFields />
              <Form.Item name="substitutes" label="Can be replaced by">
                <Select
                  mode="multiple"
                  optionFilterProp="label"
                  options={paints.filter((p) => p.id !== id).map((p) => ({ value: p.id, label: p.label }))}
                  placeholder="paints of the drawer"
                />
              </Form.Item>
            </>
          ) : null}
          <Form.Item name="discontinued" valuePropName="checked" noStyle>
            <Checkbox>Discontinued, not made any more</Checkbox>
          </Form.Item>
          {kind === 'paint' && live.discontinued ? <StandInFields paints={paints.filter((p) => p.id !== id)} /> : null}
          {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
          {refusal?.code === 'Conflict' && material && mine ? (
            <BothVersions id={id} mine={mine} onKeep={(revision) => save(mine, revision)} />
          ) : null}
          <div className="tools under flush-foot">
            <Button type="primary" size="large" htmlType="submit" loading={pending}>
              {material ? 'Save' : ADD[kind]}
            </Button>
          </div>
        </div>
        {kind === 'paint' ? (
          <div className="panel">
            <h2>Drawdown card</h2>
            <Drawdown
              hex={live.swatchHex || '#7a7a7a'}
              body={live.body ?? 'soft'}
              opacity={live.opacity ?? 'opaque'}
              sheen={live.sheen ?? 'satin'}
              strength={live.sheenStrength ?? 2}
              height={230}
            />
            <div className="two columns under">
              <Colour name="swatchHex" />
              <Colour name="wetHex" clear />
              <Colour name="tintHex" clear />
              <Text name="tintWhiteShare" placeholder="0.9" />
              <Colour name="shadeHex" clear />
              <Text name="shadeBlackShare" placeholder="0.2" />
            </div>
            <PaintedWith paints={paints.filter((p) => p.id !== id)} tint={live.tintHex} shade={live.shadeHex} />
            <ReadSwatch form={form} live={live} />
            <PhotoSwatch onUse={(use, hex) => form.setFieldValue(use, hex)} />
            {needsPigmentCare(parsePigments(live.pigments ?? '')) ? <PigmentCaution /> : null}
          </div>
        ) : null}
      </div>
    </Form>
  )
}

function Text({ name, placeholder }: { name: FieldName; placeholder?: string }) {
  const field: AnyField = FIELDS[name]
  return (
    <Form.Item name={name} label={field.label}>
      <Input maxLength={120} placeholder={placeholder ?? field.line?.placeholder} />
    </Form.Item>
  )
}

function Choice({ name, values }: { name: FieldName; values: { value: string | number; label: string }[] }) {
  return (
    <Form.Item name={name} label={FIELDS[name].label}>
      <Select options={values} />
    </Form.Item>
  )
}

function Colour({ name, clear = false }: { name: 'swatchHex' | 'wetHex' | 'tintHex' | 'shadeHex'; clear?: boolean }) {
  return (
    <Form.Item
      name={name}
      label={FIELDS[name].label}
      getValueProps={(v: string) => ({ value: v || null })}
      getValueFromEvent={(c: { cleared?: unknown; toHexString(): string }) =>
        c.cleared ? '' : c.toHexString().slice(0, 7)
      }
    >
      <ColorPicker showText disabledAlpha size="large" allowClear={clear} />
    </Form.Item>
  )
}
