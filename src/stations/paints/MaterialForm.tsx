'use client'

import { Button, ColorPicker, Form, Input, Select } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { FikaError } from '@/core/errors'
import { needsPigmentCare } from '@/core/paint/pigments'
import {
  BODIES,
  BODY_WORDS,
  DEFAULTS_BY_BODY,
  DEFAULTS_BY_MEDIUM,
  MEDIUM_KINDS,
  OPACITIES,
  parsePigments,
  ROLES,
  SHEENS,
  STRENGTHS,
  type Body,
  type MediumKind,
  type Opacity,
  type Sheen,
  type Strength,
} from '@/core/paint/properties'
import { parseMoneyMinor } from '@/core/quantity/money'
import { parseNumber } from '@/core/quantity/number'
import { parseVolumeUl, type UnitSystem } from '@/core/quantity/parse'
import { Drawdown } from '@/ui/Drawdown'
import { Notice } from '@/ui/Notice'
import { useSend } from '@/ui/useSend'
import { saveMaterialAction } from './actions'
import type { MaterialRow } from './queries'

interface Fields {
  maker: string
  line: string
  name: string
  mediumKind: MediumKind
  body: Body
  opacity: Opacity
  sheen: Sheen
  strength: Strength
  pigments: string
  swatchHex: string
  density: string
  solids: string
  waterShare: string
  container: string
  price: string
  notes: string
  avoid: { role: string; reason: string }[]
}

const options = (values: readonly string[]) => values.map((v) => ({ value: v, label: v }))

function start(m: MaterialRow | undefined): Fields {
  return {
    maker: m?.maker ?? '',
    line: m?.line ?? '',
    name: m?.name ?? '',
    mediumKind: m?.mediumKind ?? 'pouring medium',
    body: m?.body ?? 'soft',
    opacity: m?.opacity ?? 'semi-opaque',
    sheen: m?.sheen ?? 'satin',
    strength: m?.strength ?? 'normal',
    pigments: m?.pigments.join(', ') ?? '',
    swatchHex: m?.swatchHex ?? '#7a7a7a',
    density: m ? String(m.densityGPerMl) : '',
    solids: m ? String(m.solids) : '',
    waterShare: m?.waterShare ? String(m.waterShare) : '',
    container: m?.containerUl ? `${m.containerUl / 1000} ml` : '',
    price: m?.priceMinor == null ? '' : (m.priceMinor / 100).toFixed(2),
    notes: m?.notes ?? '',
    avoid: m?.avoid.map((a) => ({ ...a })) ?? [],
  }
}

/** Reads the fields into what the action takes. @throws FikaError with a sentence for what cannot be read */
function read(kind: 'paint' | 'medium', f: Fields, units: UnitSystem) {
  const usual = kind === 'paint' ? DEFAULTS_BY_BODY[f.body] : DEFAULTS_BY_MEDIUM[f.mediumKind]
  const shared = {
    kind,
    maker: f.maker,
    line: f.line,
    name: f.name,
    densityGPerMl: f.density.trim() ? parseNumber(f.density) : usual.densityGPerMl,
    solids: f.solids.trim() ? parseNumber(f.solids) : usual.solids,
    containerUl: f.container.trim() ? parseVolumeUl(f.container, units) : null,
    priceMinor: f.price.trim() ? parseMoneyMinor(f.price) : null,
    notes: f.notes,
  }
  if (kind === 'medium')
    return {
      ...shared,
      mediumKind: f.mediumKind,
      waterShare: f.waterShare.trim() ? parseNumber(f.waterShare) : DEFAULTS_BY_MEDIUM[f.mediumKind].waterShare,
    }
  return {
    ...shared,
    body: f.body,
    opacity: f.opacity,
    sheen: f.sheen,
    strength: f.strength,
    pigments: parsePigments(f.pigments),
    swatchHex: f.swatchHex,
    avoid: f.avoid,
  }
}

/** Adds or changes a paint or medium, with its drawdown card beside it as it will look. */
export function MaterialForm({
  kind,
  material,
  units,
  makers,
}: {
  kind: 'paint' | 'medium'
  material?: MaterialRow
  units: UnitSystem
  makers: string[]
}) {
  const [form] = Form.useForm<Fields>()
  const [id] = useState(() => material?.id ?? uuidv7())
  const [unreadable, setUnreadable] = useState<string>()
  const { send, pending, refusal } = useSend<{ id: string }>()
  const router = useRouter()
  const live = (Form.useWatch([], form) as Fields | undefined) ?? start(material)
  const usual =
    kind === 'paint' ? DEFAULTS_BY_BODY[live.body ?? 'soft'] : DEFAULTS_BY_MEDIUM[live.mediumKind ?? 'pouring medium']

  const submit = (fields: Fields) => {
    setUnreadable(undefined)
    try {
      const input = read(kind, { ...start(material), ...fields }, units)
      send(
        () => saveMaterialAction({ id, revision: material?.revision ?? 0, material: input }),
        () => router.push(kind === 'paint' ? '/paints' : '/paints?kind=medium'),
        material ? 'Saved' : 'Added to the drawer',
      )
    } catch (error) {
      if (!(error instanceof FikaError)) throw error
      setUnreadable(error.message)
    }
  }

  return (
    <Form<Fields> form={form} layout="vertical" initialValues={start(material)} onFinish={submit} requiredMark={false}>
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
            <Form.Item name="line" label="Line">
              <Input maxLength={120} />
            </Form.Item>
            {kind === 'medium' ? (
              <Form.Item name="mediumKind" label="Kind">
                <Select options={options(MEDIUM_KINDS)} />
              </Form.Item>
            ) : (
              <>
                <Form.Item name="pigments" label="Pigments (Colour Index)">
                  <Input placeholder="PB15:3, PW6" />
                </Form.Item>
                <Form.Item name="body" label="Body">
                  <Select options={BODIES.map((b) => ({ value: b, label: BODY_WORDS[b] }))} />
                </Form.Item>
                <Form.Item name="opacity" label="Opacity">
                  <Select options={options(OPACITIES)} />
                </Form.Item>
                <Form.Item name="sheen" label="Sheen">
                  <Select options={options(SHEENS)} />
                </Form.Item>
                <Form.Item name="strength" label="Strength in mixes">
                  <Select options={options(STRENGTHS)} />
                </Form.Item>
              </>
            )}
            <Form.Item name="container" label="Container size">
              <Input placeholder={units === 'us' ? '2 fl oz' : '60 ml'} />
            </Form.Item>
            <Form.Item name="price" label="Price paid for it">
              <Input placeholder="9.90" inputMode="decimal" />
            </Form.Item>
            <Form.Item name="density" label="Density, g/ml">
              <Input
                placeholder={`${usual.densityGPerMl} by ${kind === 'paint' ? 'body' : 'kind'}`}
                inputMode="decimal"
              />
            </Form.Item>
            <Form.Item name="solids" label="Volume solids, 0 – 1">
              <Input placeholder={`${usual.solids} by ${kind === 'paint' ? 'body' : 'kind'}`} inputMode="decimal" />
            </Form.Item>
            {kind === 'medium' ? (
              <Form.Item name="waterShare" label="Water already in it, 0 – 1">
                <Input
                  placeholder={String(DEFAULTS_BY_MEDIUM[live.mediumKind ?? 'pouring medium'].waterShare)}
                  inputMode="decimal"
                />
              </Form.Item>
            ) : null}
          </div>
          <Form.Item name="notes" label="Notes">
            <Input.TextArea rows={3} maxLength={4000} />
          </Form.Item>
          {kind === 'paint' ? <AvoidList /> : null}
          {unreadable || refusal ? <Notice kind="warning">{unreadable ?? refusal?.message}</Notice> : null}
          <div className="tools" style={{ marginTop: 16, marginBottom: 0 }}>
            <Button type="primary" size="large" htmlType="submit" loading={pending}>
              {material ? 'Save' : kind === 'paint' ? 'Add the paint' : 'Add the medium'}
            </Button>
          </div>
        </div>
        {kind === 'paint' ? (
          <div className="panel">
            <h2>Drawdown card</h2>
            <Drawdown
              hex={live.swatchHex ?? '#7a7a7a'}
              body={live.body ?? 'soft'}
              opacity={live.opacity ?? 'opaque'}
              sheen={live.sheen ?? 'satin'}
              height={230}
            />
            <div style={{ marginTop: 14 }}>
              <Form.Item
                name="swatchHex"
                label="Swatch colour, dry"
                getValueFromEvent={(c: { toHexString(): string }) => c.toHexString().slice(0, 7)}
              >
                <ColorPicker showText disabledAlpha size="large" />
              </Form.Item>
            </div>
            {needsPigmentCare(parsePigments(live.pigments ?? '')) ? <PigmentCaution /> : null}
          </div>
        ) : null}
      </div>
    </Form>
  )
}

function AvoidList() {
  return (
    <Form.List name="avoid">
      {(fields, { add, remove }) => (
        <fieldset style={{ border: 0, padding: 0, margin: '0 0 16px' }}>
          <legend style={{ padding: 0, marginBottom: 6 }}>Avoid as…</legend>
          {fields.map((f) => (
            <div className="row" key={f.key}>
              <Form.Item name={[f.name, 'role']} noStyle>
                <Select aria-label="Role to avoid it in" options={options(ROLES)} style={{ width: 160 }} />
              </Form.Item>
              <Form.Item name={[f.name, 'reason']} noStyle>
                <Input aria-label="Reason" placeholder="why" maxLength={400} />
              </Form.Item>
              <Button onClick={() => remove(f.name)}>Remove</Button>
            </div>
          ))}
          <Button onClick={() => add({ role: 'top', reason: '' })}>Add a role to avoid</Button>
        </fieldset>
      )}
    </Form.List>
  )
}

/** The caution for pigments whose dust harms; also shown at the bench. */
function PigmentCaution() {
  return (
    <Notice kind="warning">
      This pigment is harmful as dust. Wear gloves, never sand or spray it without proper respiratory protection, and
      follow the label, local codes and licensed practice.
    </Notice>
  )
}
