'use client'

import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
} from '@dnd-kit/core'
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { Button, Input, Select, still } from '@/ui/forms/still'
import { formatMl } from '@/core/quantity/format'
import { JOINT_WORDS, type Joint } from '@/core/layering/joint'
import { WAYS_IN, type WayIn } from '@/core/plan/design'
import type { FilledCup } from '@/core/plan/cups'
import { Chip } from '@/ui/pictures/Drawdown'
import { newLayer, type DraftCup, type DraftLayer } from './draft'
import { SourceSelect } from './SourceSelect'
import { colourOf, type DeskColour, type Worked } from './workOut'
import styles from './desk.module.css'

const WAY_WORDS: Readonly<Record<WayIn, string>> = {
  side: 'the side',
  high: 'from high',
  middle: 'the middle',
}

const HOW_TO_MOVE = {
  draggable: 'The space bar takes a layer up and puts it down; arrow keys move it; Escape leaves it where it was.',
}

const nameIn = (colours: ReadonlyMap<string, DeskColour>, layer: DraftLayer | undefined): string =>
  (layer && colourOf(colours, layer.of)?.label) ?? 'a layer left open'

/** Layers as they stand in the cup, the top one first; moved by drag, by keys or by its arrows. */
export function LayerList({
  cup,
  filled,
  worked,
  colours,
  newId,
  change,
}: {
  cup: DraftCup
  filled: FilledCup | undefined
  worked: Worked | undefined
  colours: ReadonlyMap<string, DeskColour>
  newId: () => string
  change: (part: Partial<DraftCup>) => void
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const shown = [...cup.layers].reverse()
  const joints = worked?.joints.get(cup.id) ?? []
  const set = (id: string, part: Partial<DraftLayer>) =>
    change({ layers: cup.layers.map((l) => (l.id === id ? { ...l, ...part } : l)) })
  const move = (from: number, to: number) => {
    if (from >= 0 && to >= 0 && to < cup.layers.length) change({ layers: arrayMove([...cup.layers], from, to) })
  }
  const nameOf = (id: unknown) =>
    nameIn(
      colours,
      shown.find((l) => l.id === id),
    )
  const placeOf = (id: unknown) => `${shown.findIndex((l) => l.id === id) + 1} of ${shown.length} from the top`
  /** What moves, told to whoever does not see it. */
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${nameOf(active.id)} is taken up, layer ${placeOf(active.id)}.`,
    onDragOver: ({ active, over }) =>
      over ? `${nameOf(active.id)} would be layer ${placeOf(over.id)}.` : `${nameOf(active.id)} is beside the layers.`,
    onDragEnd: ({ active, over }) =>
      over ? `${nameOf(active.id)} is layer ${placeOf(over.id)}.` : `${nameOf(active.id)} stays where it was.`,
    onDragCancel: ({ active }) => `${nameOf(active.id)} stays where it was.`,
  }
  return (
    <div className={styles.layers}>
      <Button data-testid="add-bottle" onClick={() => change({ layers: [...cup.layers, newLayer(newId(), null)] })}>
        {cup.layers.length ? 'One more on top' : 'Add a layer'}
      </Button>
      <DndContext
        id={`layers ${cup.id}`}
        sensors={sensors}
        collisionDetection={closestCenter}
        accessibility={{ announcements, screenReaderInstructions: HOW_TO_MOVE }}
        onDragEnd={({ active, over }) => {
          const at = (id: unknown) => cup.layers.findIndex((l) => l.id === id)
          if (over && active.id !== over.id) move(at(active.id), at(over.id))
        }}
      >
        <SortableContext items={shown.map((l) => l.id)} strategy={verticalListSortingStrategy}>
          <ol className={styles.layerList} aria-label="Layers, the top one first">
            {shown.map((l, i) => {
              const index = cup.layers.length - 1 - i
              return (
                <LayerRow
                  key={l.id}
                  layer={l}
                  colours={colours}
                  ul={(filled?.layers.find((f) => f.layer === l.id)?.ul ?? 0) / Math.max(1, filled?.cups ?? 1)}
                  joint={index > 0 ? joints[index - 1] : undefined}
                  set={(part) => set(l.id, part)}
                  onUp={index < cup.layers.length - 1 ? () => move(index, index + 1) : null}
                  onDown={index > 0 ? () => move(index, index - 1) : null}
                  onAgain={() => change({ layers: [...cup.layers, { ...l, id: newId() }] })}
                  onRemove={() => change({ layers: cup.layers.filter((x) => x.id !== l.id) })}
                />
              )
            })}
          </ol>
        </SortableContext>
      </DndContext>
    </div>
  )
}

function DrawnRow({
  layer,
  colours,
  ul,
  joint,
  set,
  onUp,
  onDown,
  onAgain,
  onRemove,
}: {
  layer: DraftLayer
  colours: ReadonlyMap<string, DeskColour>
  ul: number
  joint: Joint | null | undefined
  set: (part: Partial<DraftLayer>) => void
  onUp: (() => void) | null
  onDown: (() => void) | null
  onAgain: () => void
  onRemove: () => void
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: layer.id })
  const colour = colourOf(colours, layer.of)
  const name = nameIn(colours, layer)
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition, opacity: isDragging ? 0.6 : 1 }}
    >
      <div className={styles.layer}>
        <button type="button" className={styles.grip} aria-label={`Move ${name}`} {...attributes} {...listeners}>
          <svg width="14" height="22" viewBox="0 0 14 22" aria-hidden="true">
            <path d="M1 4h12M1 11h12M1 18h12" stroke="currentColor" strokeWidth="2" />
          </svg>
        </button>
        <Chip hex={colour?.hex ?? null} sheen={colour?.sheen ?? 'satin'} />
        <span className={styles.source}>
          <SourceSelect
            colours={colours}
            value={layer.of}
            label="Bottle for the cup"
            use="cup"
            onChange={(of) => set({ of })}
          />
        </span>
        <span className={styles.moves}>
          <Button aria-label={`${name} once more on top`} onClick={onAgain}>
            +
          </Button>
          <Button aria-label={`Leave out ${name}`} onClick={onRemove}>
            ×
          </Button>
        </span>
        <span className={styles.doses}>
          <Input
            aria-label={`Share of ${colour?.label ?? 'bottle'}`}
            className="w70"
            value={layer.share}
            disabled={layer.amount.trim() !== ''}
            onChange={(e) => set({ share: e.target.value })}
          />
          <Input
            aria-label={`Amount of ${name} in each cup`}
            className="w90"
            value={layer.amount}
            placeholder={ul > 0 ? formatMl(ul) : 'ml'}
            onChange={(e) => set({ amount: e.target.value })}
          />
          <Select
            aria-label={`How ${name} goes in`}
            value={layer.how}
            className={styles.way}
            popupMatchSelectWidth={false}
            onChange={(how) => set({ how })}
            options={WAYS_IN.map((value) => ({ value, label: WAY_WORDS[value] }))}
          />
          <span className={styles.moves}>
            <Button aria-label={`${name} further up`} disabled={!onUp} onClick={() => onUp?.()}>
              ↑
            </Button>
            <Button aria-label={`${name} further down`} disabled={!onDown} onClick={() => onDown?.()}>
              ↓
            </Button>
          </span>
        </span>
      </div>
      {joint === undefined ? null : (
        <div className={styles.joint}>
          {joint ? (
            <>
              <Chip hex={joint.hex} size={16} />
              <span
                className={joint.cost > 0.5 ? styles.bad : undefined}
                title={`It costs ${joint.cost.toFixed(1)} in the sum the order is sought by.`}
              >
                {JOINT_WORDS[joint.word]}
              </span>
            </>
          ) : (
            <span>what they become is open</span>
          )}
        </div>
      )}
    </li>
  )
}

const LayerRow = still(DrawnRow)
