'use client'

import { Button, ColorPicker, Input, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useState } from 'react'
import { deltaE00, differenceInWords } from '@/core/colour/deltaE00'
import { hexToLab } from '@/core/colour/lab'
import { MEDIUM_KINDS, type MediumKind } from '@/core/paint/properties'
import { parseNumber } from '@/core/quantity/number'
import type { FormulaVersion, UsedIn } from '@/db/formulas/formulas'
import { ColourReader, type ReadColour } from '@/ui/forms/ColourReader'
import { day } from '@/ui/tables/dates'
import { Chip } from '@/ui/pictures/Drawdown'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { measureFormulaAction } from '../actions'

/** A version with the colour computed for it. */
export interface ShownVersion extends FormulaVersion {
  readonly hex: string
  readonly text: string
}

/** Every version of a colour side by side: as computed, as painted out, and how far the first version lies from each. */
export function Versions({
  formulaId,
  versions,
  shown,
  zone,
}: {
  formulaId: string
  versions: readonly ShownVersion[]
  shown: number
  zone: string
}) {
  const here = versions.find((v) => v.version === shown)!
  return (
    <section className="panel" aria-label="Versions">
      <h2>{versions.length === 1 ? 'One version' : `${versions.length} versions`}</h2>
      <table className="sheet">
        <thead>
          <tr>
            <th>Version</th>
            <th>Computed</th>
            <th>Painted out</th>
            <th>Formula</th>
            <th>Against version {shown}</th>
          </tr>
        </thead>
        <tbody>
          {versions.map((v) => {
            const off = deltaE00(hexToLab(v.dryHex ?? v.hex), hexToLab(here.dryHex ?? here.hex))
            return (
              <tr key={v.version} aria-current={v.version === shown ? 'true' : undefined}>
                <td>
                  <Link href={`/formulas/${formulaId}?version=${v.version}`}>{v.version}</Link>
                  <small className="muted block">
                    {day(v.at, zone)}
                    {v.by ? `, ${v.by}` : ''}
                  </small>
                </td>
                <td>
                  <Chip hex={v.hex} sheen="matte" size={40} />
                </td>
                <td>
                  {v.dryHex ? <Chip hex={v.dryHex} sheen="matte" size={40} /> : <span className="muted">not yet</span>}
                </td>
                <td>{v.text}</td>
                <td>{v.version === shown ? 'on the desk' : `${differenceInWords(off)}, ΔE00 ${off.toFixed(1)}`}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </section>
  )
}

/** What the version on the desk looks like painted out: read, or picked by hand; wet and dry. */
export function PaintedOut({ formulaId, version }: { formulaId: string; version: ShownVersion }) {
  const [dry, setDry] = useState<{ hex: string | null; reflectance: readonly number[] | null }>({
    hex: version.dryHex,
    reflectance: null,
  })
  const [wet, setWet] = useState(version.wetHex)
  const [medium, setMedium] = useState<MediumKind | null>(version.mediumKind)
  const [share, setShare] = useState(version.mediumShare ? String(Math.round(100 * version.mediumShare)) : '')
  const { send, pending, refusal } = useSend<null>()
  const off = dry.hex ? deltaE00(hexToLab(dry.hex), hexToLab(version.hex)) : undefined
  const unreadable = share.trim() !== '' && parseNumber(share) === undefined
  const under = [
    { label: 'what was computed', hex: version.hex },
    ...(version.dryHex ? [{ label: 'what was read last', hex: version.dryHex }] : []),
    { label: 'a grey card', hex: '#767676' },
  ]
  return (
    <section className="panel" aria-label="Painted out">
      <h2>Painted out and dry</h2>
      <p className="muted">Its paints are calibrated from it, so that the next formula is surer.</p>
      <ColourReader under={under} onRead={(r: ReadColour) => setDry({ hex: r.hex, reflectance: r.reflectance })} />
      <div className="row wrap under">
        <span>dry</span>
        <ColorPicker
          showText
          allowClear
          disabledAlpha
          value={dry.hex}
          onChangeComplete={(c) => setDry({ hex: c.cleared ? null : c.toHexString().slice(0, 7), reflectance: null })}
        />
        <span>wet</span>
        <ColorPicker
          showText
          allowClear
          disabledAlpha
          value={wet}
          onChangeComplete={(c) => setWet(c.cleared ? null : c.toHexString().slice(0, 7))}
        />
      </div>
      <div className="row wrap">
        <Select<MediumKind | ''>
          aria-label="Carried by"
          value={medium ?? ''}
          className="min200"
          onChange={(m: MediumKind | '') => setMedium(m || null)}
          options={[{ value: '' as const, label: 'paint alone' }, ...MEDIUM_KINDS.map((k) => ({ value: k, label: k }))]}
        />
        {medium ? (
          <Input
            aria-label="Share of medium, per cent"
            className="w90"
            suffix="%"
            placeholder="66"
            value={share}
            onChange={(e) => setShare(e.target.value)}
            status={unreadable ? 'error' : ''}
          />
        ) : null}
      </div>
      {off !== undefined ? (
        <p>
          {differenceInWords(off) === 'cannot tell'
            ? 'You cannot tell it from what was computed'
            : differenceInWords(off) === 'plain'
              ? 'Plainly another colour than computed'
              : 'Differs from what was computed side by side only'}
          , ΔE00 {off.toFixed(1)}.
        </p>
      ) : null}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <Button
        type="primary"
        loading={pending}
        disabled={unreadable || (!dry.hex && !version.dryHex && !wet)}
        onClick={() =>
          send(
            () =>
              measureFormulaAction({
                formulaId,
                version: version.version,
                dryHex: dry.hex,
                dryReflectance: dry.reflectance,
                wetHex: wet,
                mediumKind: medium,
                mediumShare: medium ? (parseNumber(share) ?? 66) / 100 : 0,
              }),
            undefined,
            'Kept; its paints were worked out anew',
          )
        }
      >
        Keep the swatch
      </Button>
    </section>
  )
}

/** Bottles mixed by this colour. */
export function UsedInBottles({ bottles, zone }: { bottles: readonly UsedIn[]; zone: string }) {
  return (
    <section className="panel" aria-label="Used in">
      <h2>Used in</h2>
      {bottles.length === 0 ? (
        <p className="muted flush">No bottle yet. Mixed at the bench from here, a bottle remembers its formula.</p>
      ) : null}
      {bottles.map((b) => (
        <Link key={b.bottleId} href={`/rack/${b.bottleId}`} className="chipline" style={{ minHeight: 44 }}>
          <Chip hex={b.hex} />
          <span>
            {b.label}{' '}
            <small className="muted">
              version {b.version}, {day(b.mixedAt, zone)}
              {b.empty ? ', empty' : ''}
            </small>
          </span>
        </Link>
      ))}
    </section>
  )
}
