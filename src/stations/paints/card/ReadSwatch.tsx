'use client'

import { Form, Segmented, type FormInstance } from 'antd'
import { useState } from 'react'
import { ColourReader } from '@/ui/forms/ColourReader'
import type { Fields } from './materialFields'

const OF = {
  masstone: { hex: 'swatchHex', share: undefined, usual: '' },
  tint: { hex: 'tintHex', share: 'tintWhiteShare', usual: '0.9' },
  shade: { hex: 'shadeHex', share: 'shadeBlackShare', usual: '0.2' },
} as const
type Swatch = keyof typeof OF

/** Reads one of a paint's swatches with the colour reader; the spectrum is kept beside the colour. */
export function ReadSwatch({ form, live }: { form: FormInstance<Fields>; live: Partial<Fields> }) {
  const [of, setOf] = useState<Swatch>('masstone')
  return (
    <div className="apart">
      <Form.Item name="readings" hidden>
        <input />
      </Form.Item>
      <Segmented
        value={of}
        onChange={setOf}
        options={Object.keys(OF) as Swatch[]}
        aria-label="Which swatch to read"
        className="close"
      />
      <ColourReader
        key={of}
        label={`Read the ${of}`}
        under={[
          { label: `the ${of} on the card`, hex: live[OF[of].hex] || live.swatchHex || '#767676' },
          { label: 'a grey card', hex: '#767676' },
        ]}
        onRead={(r) => {
          const { hex, share, usual } = OF[of]
          form.setFieldValue(hex, r.hex)
          if (share && !form.getFieldValue(share)) form.setFieldValue(share, usual)
          const readings = form.getFieldValue('readings') as Fields['readings']
          form.setFieldValue('readings', { ...readings, [of]: r.reflectance && [...r.reflectance] })
        }}
      />
    </div>
  )
}
