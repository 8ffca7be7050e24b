'use client'

import { Button, Form, Input, Select } from 'antd'
import { ROLES } from '@/core/paint/properties'
import styles from '../paints.module.css'

export interface PaintChoice {
  readonly id: string
  readonly label: string
}

/** "Avoid as…" and "good only as…", each with its reason. */
export function FlagFields() {
  return (
    <Form.List name="flags">
      {(fields, { add, remove }) => (
        <fieldset className={styles.bare}>
          <legend>Avoid as…, good only as…</legend>
          {fields.map((f) => (
            <div className="row" key={f.key}>
              <Form.Item name={[f.name, 'rule']} noStyle>
                <Select
                  aria-label="Avoid or only"
                  className="w150"
                  options={[
                    { value: 'avoid', label: 'avoid as' },
                    { value: 'only', label: 'good only as' },
                  ]}
                />
              </Form.Item>
              <Form.Item name={[f.name, 'role']} noStyle>
                <Select aria-label="Role" options={ROLES.map((r) => ({ value: r, label: r }))} className="w150" />
              </Form.Item>
              <Form.Item name={[f.name, 'reason']} noStyle>
                <Input aria-label="Reason" placeholder="why" maxLength={400} />
              </Form.Item>
              <Button onClick={() => remove(f.name)} aria-label="Remove this flag">
                ×
              </Button>
            </div>
          ))}
          <Button onClick={() => add({ role: 'top', rule: 'avoid', reason: '' })}>Add a flag</Button>
        </fieldset>
      )}
    </Form.List>
  )
}

/** The formula that stands in for a discontinued paint. */
/** Which white and which black the tint and the shade were painted out with. */
export function PaintedWith({
  paints,
  tint,
  shade,
}: {
  paints: readonly PaintChoice[]
  tint: string | undefined
  shade: string | undefined
}) {
  const which = (name: 'whiteId' | 'blackId', label: string, extra: string) => (
    <Form.Item name={['paintedWith', name]} label={label} extra={extra}>
      <Select
        allowClear
        showSearch
        optionFilterProp="label"
        options={paints.map((p) => ({ value: p.id, label: p.label }))}
        placeholder="a paint of the drawer"
      />
    </Form.Item>
  )
  return (
    <>
      {tint
        ? which(
            'whiteId',
            'White the tint was made with',
            'Until it is said, a standard white stands for it and mixes are less sure.',
          )
        : null}
      {shade
        ? which('blackId', 'Black the shade was made with', 'Until it is said, only a shade that was read counts.')
        : null}
    </>
  )
}

export function StandInFields({ paints }: { paints: readonly PaintChoice[] }) {
  return (
    <Form.List name="standIn">
      {(fields, { add, remove }) => (
        <fieldset className={`${styles.bare} under`}>
          <legend>Formula that stands in for it</legend>
          {fields.map((f) => (
            <div className="row" key={f.key}>
              <Form.Item name={[f.name, 'paintId']} noStyle rules={[{ required: true, message: 'Choose a paint.' }]}>
                <Select
                  className="grow"
                  aria-label="Paint of the formula"
                  showSearch
                  optionFilterProp="label"
                  options={paints.map((p) => ({ value: p.id, label: p.label }))}
                />
              </Form.Item>
              <Form.Item name={[f.name, 'parts']} noStyle>
                <Input aria-label="Parts" className="w90" inputMode="decimal" />
              </Form.Item>
              <Button onClick={() => remove(f.name)} aria-label="Remove this paint">
                ×
              </Button>
            </div>
          ))}
          <Button onClick={() => add({ paintId: undefined, parts: '1' })}>Add a paint</Button>
        </fieldset>
      )}
    </Form.List>
  )
}
