'use client'

import { Button, Input, Select, still } from '@/ui/forms/still'
import { formatFlOz, formatMl } from '@/core/quantity/format'
import type { FilledCup } from '@/core/plan/cups'
import { FILLED } from '@/core/plan/cups'
import type { Technique } from '@/core/technique/technique'
import { CUP_KINDS, TRAVELS } from '@/core/technique/technique'
import { Cup } from '@/ui/pictures/Cup'
import { Notice } from '@/ui/frame/Notice'
import type { DeskFacts } from '../deskFacts'
import { LayerList } from './LayerList'
import { OrderProposal as DrawnProposal } from './OrderProposal'
import { PointsField } from './PointsField'
import type { Drawing } from './SurfaceStage'
import type { DraftCup, DraftSurface } from './draft'
import { colourOf, type DeskColour, type Worked } from './workOut'
import styles from './desk.module.css'

const OrderProposal = still(DrawnProposal, 'by object')

/** The selected cup: how it is poured, its size, and its layers in cross-section with what their joints become. */
export function CupPanel({
  cup,
  number,
  surfaces,
  filled,
  worked,
  colours,
  technique,
  facts,
  drawing,
  newId,
  change,
  onDraw,
  onRemove,
}: {
  cup: DraftCup
  number: number
  surfaces: readonly DraftSurface[]
  filled: FilledCup | undefined
  worked: Worked | undefined
  colours: ReadonlyMap<string, DeskColour>
  technique: Technique
  facts: DeskFacts
  drawing: Drawing
  newId: () => string
  change: (part: Partial<DraftCup>) => void
  onDraw: (drawing: Drawing) => void
  onRemove: () => void
}) {
  const cups = filled?.cups ?? 1
  const layers = cup.layers.map((l) => ({
    id: l.id,
    ul: (filled?.layers.find((f) => f.layer === l.id)?.ul ?? 0) / Math.max(1, cups),
    hex: colourOf(colours, l.of)?.hex ?? '#ffffff',
    label: colourOf(colours, l.of)?.label ?? 'left open',
  }))
  const size = facts.cups.find((c) => c.sizeUl === filled?.smallestUl)
  const eachUl = filled?.eachUl ?? 0
  const brim = Math.max(readBrim(cup, worked), eachUl / FILLED, 1)
  return (
    <section className="panel" aria-label={`Cup ${number}`}>
      <div className={styles.cupHead}>
        <h2>Cup {number}</h2>
        <Button onClick={onRemove}>Take it out</Button>
      </div>
      <div className={styles.line}>
        <label className="field">
          <span>How</span>
          <Select
            aria-label="How the cup is poured"
            value={cup.kind}
            className="wide"
            popupMatchSelectWidth={false}
            onChange={(kind) => change({ kind })}
            options={CUP_KINDS.map((value) => ({
              value,
              label: technique.cups.includes(value) ? value : `${value} (not usual here)`,
            }))}
          />
        </label>
        <label className={`field ${styles.tight}`}>
          <span>Alike</span>
          <Input aria-label="Cups alike" value={cup.copies} onChange={(e) => change({ copies: e.target.value })} />
        </label>
        <label className={`field ${styles.slim}`}>
          <span>Cup holds</span>
          <Input
            value={cup.size}
            placeholder={size ? formatMl(size.sizeUl) : '210 ml'}
            onChange={(e) => change({ size: e.target.value })}
          />
        </label>
        <label className={`field ${styles.slim}`}>
          <span>Each pours</span>
          <Input
            value={cup.amount}
            placeholder={eachUl > 0 ? formatMl(eachUl) : 'its share'}
            onChange={(e) => change({ amount: e.target.value })}
          />
        </label>
      </div>
      {surfaces.length > 1 ? (
        <label className="field">
          <span>For</span>
          <Select
            aria-label="Surface of this cup"
            value={cup.on ?? ''}
            className="wide"
            onChange={(id) => change({ on: id || null })}
            options={[
              { value: '', label: 'every surface without a cup of its own' },
              ...surfaces.map((s, i) => ({ value: s.id, label: s.name || `surface ${i + 1}` })),
            ]}
          />
        </label>
      ) : null}
      {TRAVELS.has(cup.kind) ? (
        <div className={styles.line}>
          <div className="field">
            <span>Its way</span>
            <Button aria-pressed={drawing === 'path'} onClick={() => onDraw(drawing === 'path' ? null : 'path')}>
              {drawing === 'path' ? 'Draw it on the surface…' : 'Draw it'}
            </Button>
          </div>
          <PointsField
            key={JSON.stringify(cup.path)}
            label="Places of its way"
            points={cup.path}
            units={facts.studio.units}
            onChange={(path) => change({ path })}
          />
        </div>
      ) : null}
      <div className={styles.cupBody}>
        <div className="centred">
          <Cup layers={layers} fullUl={brim} height={170} />
          <div className="sum" data-testid="cup-ml" data-ul={filled?.ul ?? 0}>
            {formatMl(eachUl)}
          </div>
          <div className="muted">
            {formatFlOz(eachUl)} in {cups === 1 ? 'the cup' : `each of ${cups}`}
          </div>
          <CupSays filled={filled} size={size?.name} />
        </div>
        <LayerList cup={cup} filled={filled} worked={worked} colours={colours} newId={newId} change={change} />
      </div>
      <OrderProposal
        cup={cup}
        colours={colours}
        technique={technique}
        facts={facts}
        newId={newId}
        onTake={(taken) => change({ layers: taken })}
      />
    </section>
  )
}

const readBrim = (cup: DraftCup, worked: Worked | undefined) =>
  worked?.amounts.cups.find((c) => c.id === cup.id)?.sizeUl ?? 0

/** Whether it fits, and which of the studio's cups is the smallest that does. */
function CupSays({ filled, size }: { filled: FilledCup | undefined; size: string | undefined }) {
  if (!filled || filled.eachUl === 0) return null
  const smallest = filled.smallestUl
  const does = smallest === null ? 'none of your cups holds it' : `${size ?? 'a cup'} of ${formatMl(smallest)} does`
  if (filled.fits === false)
    return (
      <Notice kind="warning">It does not hold that much at nine tenths full: {does}. Take it, or more cups.</Notice>
    )
  if (smallest !== null && filled.sizeUl !== null && smallest < filled.sizeUl)
    return <p className="muted fine">Smaller will do: {does}.</p>
  return filled.sizeUl === null && smallest !== null ? (
    <p className="muted fine">Smallest that holds it: {does}.</p>
  ) : null
}
