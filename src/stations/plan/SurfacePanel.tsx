'use client'

import { Input, InputNumber, Segmented, Select } from 'antd'
import { TECHNIQUES } from '@/core/technique/techniques'
import { type UnitSystem } from '@/core/quantity/parse'
import { COVERAGE_SOURCE } from '@/core/surface/coverage'
import { Notice } from '@/ui/frame/Notice'
import { SurfacePicture } from '@/ui/pictures/SurfacePicture'
import type { StockedSurface } from '@/db/surfaces/read'
import { shelfFields, type Fields, type ReadPlan } from './planDraft'

/** Title, technique, the surface to scale, and how much the cup holds for it. */
export function SurfacePanel({
  f,
  change,
  reading,
  units,
  colours,
  surfaces,
}: {
  surfaces: readonly StockedSurface[]
  colours: readonly { hex: string; ul: number }[]
  f: Fields
  change: (p: Partial<Fields>) => void
  reading: ReadPlan
  units: UnitSystem
}) {
  const stocked = surfaces.find((s) => s.id === f.surfaceStockId)
  return (
    <section className="panel" aria-label="Surface">
      <label className="field">
        <span>Title</span>
        <Input value={f.title} maxLength={120} onChange={(e) => change({ title: e.target.value })} />
      </label>
      <label className="field">
        <span>Technique</span>
        <Select
          aria-label="Technique"
          value={f.technique}
          className="wide"
          onChange={(technique) => change({ technique })}
          options={TECHNIQUES.map((t) => ({ value: t.key, label: t.name }))}
        />
      </label>
      {surfaces.length ? (
        <label className="field">
          <span>From the shelf</span>
          <Select
            aria-label="Surface from the shelf"
            value={f.surfaceStockId}
            className="wide"
            onChange={(id) =>
              change(
                shelfFields(
                  surfaces.find((s) => s.id === id),
                  f.count,
                  units === 'us',
                ),
              )
            }
            options={[
              { value: '', label: 'another surface' },
              ...surfaces.map((s) => ({ value: s.id, label: `${s.name}, ${s.onHand} on the shelf` })),
            ]}
          />
        </label>
      ) : null}
      {stocked && stocked.onHand < f.count ? (
        <Notice kind="warning">
          Only {stocked.onHand} of {stocked.name} are on the shelf. Book a pack, or plan fewer pieces.
        </Notice>
      ) : null}
      <Segmented
        block
        value={f.shape}
        onChange={(shape: Fields['shape']) =>
          change({
            shape,
            size:
              shape === 'round' ? (units === 'us' ? '12 in' : '30 cm') : units === 'us' ? '16 x 20 in' : '40 x 50 cm',
          })
        }
        options={[
          { value: 'rectangle', label: 'Rectangle' },
          { value: 'round', label: 'Round' },
        ]}
        className="apart"
      />
      <div className="two" style={{ gap: '0 12px', gridTemplateColumns: '1.5fr 1fr 0.8fr' }}>
        <label className="field">
          <span>{f.shape === 'round' ? 'Diameter' : 'Size of the face'}</span>
          <Input value={f.size} onChange={(e) => change({ size: e.target.value })} />
        </label>
        <label className="field">
          <span>Edge depth</span>
          <Input value={f.edge} onChange={(e) => change({ edge: e.target.value })} />
        </label>
        <label className="field">
          <span>Pieces</span>
          <InputNumber className="wide" min={1} max={200} value={f.count} onChange={(v) => change({ count: v ?? 1 })} />
        </label>
      </div>
      {reading.problem ? <Notice kind="warning">{reading.problem}</Notice> : null}
      {reading.surface ? <SurfacePicture surface={reading.surface} colours={colours} /> : null}
      <label className="field under">
        <span>How much the cup holds</span>
        <Select
          aria-label="Coverage school"
          value={f.school}
          className="wide"
          onChange={(school: Fields['school']) => change({ school })}
          options={[
            { value: 'rule-of-28', label: 'Rule of 28: face in² ÷ 28 = fl oz' },
            { value: 'film', label: 'Film: face and edges × wet film' },
          ]}
        />
      </label>
      {f.school === 'film' ? (
        <div className="two columns">
          <label className="field">
            <span>Wet film, mm</span>
            <Input value={f.wet} onChange={(e) => change({ wet: e.target.value })} />
          </label>
          <label className="field">
            <span>Run-off, %</span>
            <Input value={f.runOff} onChange={(e) => change({ runOff: e.target.value })} />
          </label>
        </div>
      ) : (
        <p className="muted fine">
          Run-off included, edges by habit. {COVERAGE_SOURCE[0]!.toUpperCase() + COVERAGE_SOURCE.slice(1)}.
        </p>
      )}
      <label className="field flush-foot">
        <span>Price of the surface, all pieces</span>
        <Input value={f.surfaceCost} placeholder="7.50" onChange={(e) => change({ surfaceCost: e.target.value })} />
      </label>
    </section>
  )
}
