'use client'

import { InputNumber } from 'antd'
import { Button, Checkbox, Input, Select, TextArea } from '@/ui/forms/still'
import { SHAPES, type ShapeKind } from '@/core/surface/shapes'
import type { Point } from '@/core/surface/polygon'
import type { UnitSystem } from '@/core/quantity/parse'
import type { StockedSurface } from '@/db/surfaces/read'
import { Notice } from '@/ui/frame/Notice'
import { fromShelf, USUAL_SIZE, type DraftSurface } from './draft'
import { PointsField } from './PointsField'
import type { Drawing } from './SurfaceStage'
import styles from './desk.module.css'

const SHAPE_NAMES: Readonly<Record<ShapeKind, string>> = {
  rectangle: 'Rectangle',
  round: 'Round',
  ellipse: 'Ellipse',
  polygon: 'Regular polygon',
  tiles: 'Grid of tiles',
  profile: 'Vase or bowl',
  area: 'Measured area',
}
const SIZE_LABELS: Readonly<Record<ShapeKind, string>> = {
  rectangle: 'Size of the face',
  round: 'Diameter',
  ellipse: 'Length × width',
  polygon: 'Over the corners',
  tiles: 'Size of a tile',
  profile: '',
  area: 'Area',
}

/** What a surface is: shape, size, edges, count, what is kept free, a two-tone line, and what it drips on. */
export function SurfaceFields({
  s,
  others,
  surfaces,
  units,
  drawing,
  quarter,
  onDraw,
  change,
  onRemove,
}: {
  s: DraftSurface
  others: readonly DraftSurface[]
  surfaces: readonly StockedSurface[]
  units: UnitSystem
  drawing: Drawing
  /** What is kept free by one tap. */
  quarter: readonly Point[]
  onDraw: (drawing: Drawing) => void
  change: (part: Partial<DraftSurface>) => void
  onRemove: (() => void) | null
}) {
  const us = units === 'us'
  const stocked = surfaces.find((x) => x.id === s.stockId)
  return (
    <div className={styles.fields}>
      <div className={styles.line}>
        <label className="field">
          <span>Name</span>
          <Input
            value={s.name}
            maxLength={120}
            placeholder="Panel, vase…"
            onChange={(e) => change({ name: e.target.value })}
          />
        </label>
        <label className="field">
          <span>Shape</span>
          <Select
            aria-label="Shape"
            value={s.shape}
            className="wide"
            onChange={(shape) => change({ shape, size: USUAL_SIZE[shape][us ? 1 : 0], stockId: null })}
            options={SHAPES.map((value) => ({ value, label: SHAPE_NAMES[value] }))}
          />
        </label>
        {surfaces.length ? (
          <label className="field">
            <span>From the shelf</span>
            <Select
              aria-label="Surface from the shelf"
              value={s.stockId ?? ''}
              className="wide"
              popupMatchSelectWidth={false}
              onChange={(id) => {
                const found = surfaces.find((x) => x.id === id)
                change(found ? fromShelf(found, us) : { stockId: null })
              }}
              options={[
                { value: '', label: 'another surface' },
                ...surfaces.map((x) => ({ value: x.id, label: `${x.name}, ${x.onHand} on the shelf` })),
              ]}
            />
          </label>
        ) : null}
      </div>
      {stocked && stocked.onHand < s.count ? (
        <Notice kind="warning">
          Only {stocked.onHand} of {stocked.name} are on the shelf. Book a pack, or plan fewer pieces.
        </Notice>
      ) : null}
      <div className={styles.line}>
        {s.shape === 'profile' ? (
          <label className="field">
            <span>Height and radius, {us ? 'in' : 'cm'}, from the foot up</span>
            <TextArea rows={4} value={s.profile} onChange={(e) => change({ profile: e.target.value })} />
          </label>
        ) : (
          <label className="field">
            <span>
              {SIZE_LABELS[s.shape]}
              {s.shape === 'area' ? `, ${us ? 'in²' : 'cm²'}` : ''}
            </span>
            <Input value={s.size} onChange={(e) => change({ size: e.target.value })} />
          </label>
        )}
        {s.shape === 'polygon' ? (
          <label className={`field ${styles.slim}`}>
            <span>Corners</span>
            <Input value={s.sides} onChange={(e) => change({ sides: e.target.value })} />
          </label>
        ) : null}
        {s.shape === 'tiles' ? (
          <>
            <label className={`field ${styles.slim}`}>
              <span>Across</span>
              <Input value={s.across} onChange={(e) => change({ across: e.target.value })} />
            </label>
            <label className={`field ${styles.slim}`}>
              <span>Down</span>
              <Input value={s.down} onChange={(e) => change({ down: e.target.value })} />
            </label>
            <label className={`field ${styles.slim}`}>
              <span>Gap</span>
              <Input value={s.gap} onChange={(e) => change({ gap: e.target.value })} />
            </label>
          </>
        ) : null}
        {s.shape === 'profile' || s.shape === 'area' ? null : (
          <label className={`field ${styles.slim}`}>
            <span>Edge depth</span>
            <Input value={s.edge} onChange={(e) => change({ edge: e.target.value })} />
          </label>
        )}
        <label className={`field ${styles.slim}`}>
          <span>Pieces</span>
          <InputNumber className="wide" min={1} max={200} value={s.count} onChange={(v) => change({ count: v ?? 1 })} />
        </label>
        <label className={`field ${styles.slim}`}>
          <span>Price of one</span>
          <Input value={s.each} placeholder="7.50" onChange={(e) => change({ each: e.target.value })} />
        </label>
      </div>
      <div className={styles.line}>
        <label className={`field ${styles.slim}`}>
          <span>Covered, %</span>
          <Input
            value={s.free ? '' : s.cover}
            disabled={s.free !== null}
            placeholder={s.free ? 'as drawn' : '100'}
            onChange={(e) => change({ cover: e.target.value })}
          />
        </label>
        {s.shape === 'profile' ? null : (
          <div className={`field ${styles.buttons}`}>
            <span>Keep free</span>
            <Button onClick={() => onDraw(drawing === 'free' ? null : 'free')} aria-pressed={drawing === 'free'}>
              {drawing === 'free' ? 'Draw it on the surface…' : s.free ? 'Draw it anew' : 'Draw a region'}
            </Button>{' '}
            {s.free ? (
              <Button onClick={() => change({ free: null })}>Pour all over</Button>
            ) : (
              <Button onClick={() => change({ free: quarter })}>A quarter</Button>
            )}
          </div>
        )}
        {s.free ? (
          <PointsField
            key={JSON.stringify(s.free)}
            label="Corners kept free"
            points={s.free}
            units={units}
            onChange={(free) => change({ free: free.length > 2 ? free : null })}
          />
        ) : null}
        {others.length ? (
          <label className="field">
            <span>What drips lands on</span>
            <Select
              aria-label="What drips lands on"
              value={s.feeds ?? ''}
              className="wide"
              onChange={(id) => change({ feeds: id || null })}
              options={[
                { value: '', label: 'the sheet' },
                ...others.map((o, i) => ({ value: o.id, label: o.name || `surface ${i + 1}` })),
              ]}
            />
          </label>
        ) : null}
        {s.shape === 'profile' ? null : (
          <div className="field">
            <span>Two-tone</span>
            <Checkbox
              className="big-check"
              checked={s.split !== null}
              onChange={(e) =>
                change({ split: e.target.checked ? { turn: '0', offset: `0 ${us ? 'in' : 'cm'}` } : null })
              }
            >
              a line across
            </Checkbox>
          </div>
        )}
        {s.split ? (
          <>
            <label className={`field ${styles.slim}`}>
              <span>Turned, °</span>
              <Input value={s.split.turn} onChange={(e) => change({ split: { ...s.split!, turn: e.target.value } })} />
            </label>
            <label className={`field ${styles.slim}`}>
              <span>Off the middle</span>
              <Input
                value={s.split.offset}
                onChange={(e) => change({ split: { ...s.split!, offset: e.target.value } })}
              />
            </label>
          </>
        ) : null}
        {onRemove ? (
          <div className="field">
            <span>&nbsp;</span>
            <Button onClick={onRemove}>Take this surface out</Button>
          </div>
        ) : null}
      </div>
    </div>
  )
}
