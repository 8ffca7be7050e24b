'use client'

import { ColorPicker, Input, Segmented, Select } from 'antd'
import { useMemo, useState } from 'react'
import { labToHex } from '@/core/colour/lab'
import type { Triple } from '@/core/colour/srgb'
import { inScreenGamut } from '@/core/colour/gamut'
import { parseNumber } from '@/core/quantity/number'
import { ColourReader } from '@/ui/forms/ColourReader'
import { Chip } from '@/ui/pictures/Drawdown'
import { PhotoTarget } from './PhotoTarget'
import { targetOf, type Coloured, type Target } from './target'

const SOURCES = ['Picked', 'Studio', 'Photo', 'Reader'] as const

/** Chooses a colour to hit: picked or typed, a paint, bottle or formula, a spot of a photo, or a reading. */
export function TargetPicker({
  target,
  onTarget,
  studio,
}: {
  target: Target | undefined
  onTarget: (t: Target) => void
  studio: readonly Coloured[]
}) {
  const [source, setSource] = useState<(typeof SOURCES)[number]>('Picked')
  const byKey = useMemo(() => new Map(studio.map((c) => [`${c.kind}:${c.id}`, c])), [studio])
  const plain = (label: string, hex: string, reflectance: Target['reflectance'] = null) =>
    onTarget({ label, hex, reflectance, sheen: null })
  return (
    <div>
      <Segmented
        block
        options={[...SOURCES]}
        value={source}
        onChange={setSource}
        aria-label="Where the colour comes from"
        className="apart"
      />
      {source === 'Picked' ? (
        <div className="row wrap">
          <ColorPicker
            showText
            disabledAlpha
            size="large"
            value={target?.hex ?? '#7a7a7a'}
            onChangeComplete={(c) => plain('picked', c.toHexString().slice(0, 7))}
          />
          <TypedColour onColour={(hex) => plain('typed', hex)} />
        </div>
      ) : null}
      {source === 'Studio' ? (
        <Select
          showSearch
          optionFilterProp="label"
          aria-label="Paint, bottle or formula to match"
          placeholder="a paint, a bottle or a formula"
          className="wide"
          value={null}
          onChange={(key: string) => onTarget(targetOf(byKey.get(key)!))}
          options={studio.map((c) => ({ value: `${c.kind}:${c.id}`, label: `${c.label} (${c.kind})` }))}
          optionRender={(o) => (
            <span className="chipline">
              <Chip hex={byKey.get(String(o.value))?.hex ?? null} size={22} />
              {o.label}
            </span>
          )}
        />
      ) : null}
      {source === 'Photo' ? <PhotoTarget onPick={(hex) => plain('from the photo', hex)} /> : null}
      {source === 'Reader' ? (
        <ColourReader
          onRead={(r) => plain('as read', r.hex, r.reflectance)}
          under={[{ label: 'a grey card', hex: '#767676' }, ...studio.map((c) => ({ label: c.label, hex: c.hex }))]}
        />
      ) : null}
      {target ? (
        <p className="chipline after">
          <Chip hex={target.hex} sheen={target.sheen ?? 'matte'} />
          <span>
            {target.label} <small className="muted">{target.hex}</small>
          </span>
        </p>
      ) : null}
    </div>
  )
}

/** `#1f7a8c`, or L*, a*, b* as three numbers. */
function TypedColour({ onColour }: { onColour: (hex: string) => void }) {
  const [text, setText] = useState('')
  const [trouble, setTrouble] = useState<string>()
  const take = () => {
    const typed = text.trim()
    if (!typed) return setTrouble(undefined)
    const hex = /^#?([0-9a-f]{6})$/i.exec(typed)
    if (hex) {
      setTrouble(undefined)
      return onColour(`#${hex[1]!.toLowerCase()}`)
    }
    const lab = typed
      .replace(/,\s/g, ' ')
      .split(/[\s;]+/)
      .map(parseSigned)
    if (lab.length !== 3 || lab.some((v) => v === undefined) || lab[0]! < 0 || lab[0]! > 100)
      return setTrouble(`“${typed}” is not a colour. Type six digits like #1f7a8c, or L a b like 46 −18 −22.`)
    setTrouble(
      inScreenGamut(lab as Triple)
        ? undefined
        : 'This colour lies outside what the screen can show; it is matched as near as that.',
    )
    onColour(labToHex(lab as Triple))
  }
  return (
    <span className="grow">
      <Input
        value={text}
        onChange={(e) => setText(e.target.value)}
        onBlur={take}
        onPressEnter={take}
        placeholder="#1f7a8c or L a b"
        aria-label="Colour as six digits or L a b"
      />
      {trouble ? <small role="alert">{trouble}</small> : null}
    </span>
  )
}

function parseSigned(text: string): number | undefined {
  const sign = /^[-−]/.test(text) ? -1 : 1
  const value = parseNumber(text.replace(/^[-−+]/, ''))
  return value === undefined ? undefined : sign * value
}
