'use client'

import { Button, Form, Segmented, type FormInstance } from 'antd'
import { EFFECTS, EFFECTS_BY_KIND } from '@/core/mix/mediumEffects'
import type { MediumKind } from '@/core/paint/properties'
import type { Fields } from './materialFields'
import styles from '../paints.module.css'

/** The ten effects of a medium from 0 to 3: the usual ones of its kind until one is changed. */
export function EffectFields({ mediumKind, form }: { mediumKind: MediumKind | undefined; form: FormInstance<Fields> }) {
  const own = Form.useWatch('effects', { form, preserve: true }) as number[] | null | undefined
  const usual = EFFECTS_BY_KIND[mediumKind ?? 'pouring medium']
  const values = own ?? usual
  return (
    <fieldset className={styles.bare}>
      <legend>What it does, 0 none to 3 strong</legend>
      <Form.Item name="effects" hidden>
        <input />
      </Form.Item>
      <div className="two" style={{ gap: '8px 20px' }}>
        {EFFECTS.map((name, i) => (
          <div key={name} className="row flush spread">
            <span id={`effect-${i}`}>{name}</span>
            <Segmented
              aria-labelledby={`effect-${i}`}
              value={Math.round(values[i]!)}
              options={[0, 1, 2, 3]}
              onChange={(v) =>
                form.setFieldValue(
                  'effects',
                  values.map((old, k) => (k === i ? v : old)),
                )
              }
            />
          </div>
        ))}
      </div>
      {own ? (
        <Button type="link" onClick={() => form.setFieldValue('effects', null)}>
          Back to the usual ones of its kind
        </Button>
      ) : (
        <p className="muted">The usual ones of its kind: start values of Fika after what makers say.</p>
      )}
    </fieldset>
  )
}
