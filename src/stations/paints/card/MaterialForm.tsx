'use client'

import { Button, Checkbox, ColorPicker, Form, Input, Select } from 'antd'
import { useRouter } from 'next/navigation'
import { useState, type ReactNode } from 'react'
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
import type { MaterialInput } from '@/db/materials/schema'
import { BothVersions } from './BothVersions'
import { ReadSwatch } from './ReadSwatch'
import { DensityHelper } from './DensityHelper'
import { EffectFields } from './EffectFields'
import { PigmentCaution } from './PigmentCaution'
import { FlagFields, StandInFields, type PaintChoice } from './LinkedFields'
import { read, start, usualOf, type Fields, type FormKind } from './materialFields'

const options = (values: readonly string[]) => values.map((v) => ({ value: v, label: v }))
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
        router.refresh()
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
          <div className="two" style={{ gap: '0 20px' }}>
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
            <Text name="line" label="Line" />
            {kind === 'medium' ? (
              <Choice name="mediumKind" label="Kind" values={options(MEDIUM_KINDS)} />
            ) : kind === 'water' ? (
              <Choice
                name="thinner"
                label="Kind"
                values={THINNERS.map((t) => ({ value: t, label: THINNER_FACTS[t].words }))}
              />
            ) : (
              <>
                <Text name="pigments" label="Pigments (Colour Index)" placeholder="PB15:3, PW6" />
                <Choice name="body" label="Body" values={BODIES.map((b) => ({ value: b, label: BODY_WORDS[b] }))} />
                <Choice name="opacity" label="Opacity" values={options(OPACITIES)} />
                <Text name="contrastRatio" label="Measured contrast ratio, sets the opacity" placeholder="0.97" />
                <Choice name="sheen" label="Sheen" values={options(SHEENS)} />
                <Choice
                  name="sheenStrength"
                  label="How strong the sheen"
                  values={['faint', 'usual', 'strong'].map((label, i) => ({ value: i + 1, label }))}
                />
                <Choice name="strength" label="Strength in mixes" values={options(STRENGTHS)} />
                <Choice
                  name="lightfastness"
                  label="Lightfastness (ASTM)"
                  values={[{ value: '', label: 'by its pigments' }, ...options(LIGHTFASTNESS)]}
                />
              </>
            )}
            <Text name="container" label="Container size" placeholder={units === 'us' ? '2 fl oz' : '60 ml'} />
            <Text name="price" label="List price of it" placeholder="9.90" />
            <Text name="density" label="Density, g/ml" placeholder={`${usual.densityGPerMl} ${by}`} />
            <Text name="solids" label="Volume solids, 0 – 1" placeholder={`${usual.solids} ${by}`} />
            {kind === 'paint' ? null : (
              <Text name="waterShare" label="Water already in it, 0 – 1" placeholder={String(usual.waterShare)} />
            )}
            <Text name="low" label="Low when less is left" placeholder={units === 'us' ? '1 fl oz' : '30 ml'} />
            <Text name="supplier" label="Supplier" />
            <Text name="barcode" label="Barcode" />
          </div>
          <DensityHelper units={units} onFound={(density) => form.setFieldValue('density', density)} />
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
          <div className="tools" style={{ marginTop: 16, marginBottom: 0 }}>
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
            <div className="two" style={{ gap: '0 16px', marginTop: 14 }}>
              <Colour name="swatchHex" label="Masstone, dry" />
              <Colour name="wetHex" label="Wet" clear />
              <Colour name="tintHex" label="Tint in white" clear />
              <Text name="tintWhiteShare" label="Share of white in it" placeholder="0.9" />
              <Colour name="shadeHex" label="Shade with black" clear />
              <Text name="shadeBlackShare" label="Share of black in it" placeholder="0.2" />
            </div>
            <ReadSwatch form={form} live={live} />
            <PhotoSwatch onUse={(use, hex) => form.setFieldValue(use, hex)} />
            {needsPigmentCare(parsePigments(live.pigments ?? '')) ? <PigmentCaution /> : null}
          </div>
        ) : null}
      </div>
    </Form>
  )
}

function Text({ name, label, placeholder }: { name: keyof Fields; label: ReactNode; placeholder?: string }) {
  return (
    <Form.Item name={name} label={label}>
      <Input maxLength={120} placeholder={placeholder} />
    </Form.Item>
  )
}

function Choice({
  name,
  label,
  values,
}: {
  name: keyof Fields
  label: string
  values: { value: string | number; label: string }[]
}) {
  return (
    <Form.Item name={name} label={label}>
      <Select options={values} />
    </Form.Item>
  )
}

function Colour({
  name,
  label,
  clear = false,
}: {
  name: 'swatchHex' | 'wetHex' | 'tintHex' | 'shadeHex'
  label: string
  clear?: boolean
}) {
  return (
    <Form.Item
      name={name}
      label={label}
      getValueProps={(v: string) => ({ value: v || null })}
      getValueFromEvent={(c: { cleared?: unknown; toHexString(): string }) =>
        c.cleared ? '' : c.toHexString().slice(0, 7)
      }
    >
      <ColorPicker showText disabledAlpha size="large" allowClear={clear} />
    </Form.Item>
  )
}
