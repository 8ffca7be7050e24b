'use client'

import { Button, Checkbox, Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useMemo, useState } from 'react'
import { v7 as uuidv7 } from 'uuid'
import { checkPairs } from '@/core/colour/paletteCheck'
import { drawIdea, type Idea } from '@/core/plan/ideas'
import { ofBottle, simpleDesign } from '@/core/plan/simpleDesign'
import { MM_PER_INCH } from '@/core/quantity/units'
import type { Technique } from '@/core/technique/technique'
import { EmptyState } from '@/ui/frame/Notice'
import { useTechniques } from '@/ui/hooks/useTechniques'
import { PouredPicture } from '@/ui/pictures/PouredPicture'
import type { DeskFacts } from '../deskFacts'
import type { Opened } from '../desk/draft'
import { PlanDesk } from '../desk/PlanDesk'
import { deskColours } from '../desk/workOut'
import { seeded } from './seeded'
import styles from './ideas.module.css'

const DAY = 86_400_000
const SHOWN = 3

/** Techniques and palettes drawn from what is on the rack; parts are held, the rest is drawn anew, and one tap plans it. */
export function Ideas({ facts, tried, seed: start }: { facts: DeskFacts; tried: readonly string[]; seed: number }) {
  const techniques = useTechniques()
  const [seed, setSeed] = useState(start)
  const [technique, setTechnique] = useState('')
  const [held, setHeld] = useState<readonly string[]>([])
  const [open, setOpen] = useState<Opened>()
  const ready = useMemo(
    () => facts.bottles.filter((b) => b.hex && b.ul > 20_000 && b.role === 'pour' && !b.isJar),
    [facts],
  )
  const ideas = useMemo(() => {
    const colours = deskColours(facts)
    const palette = ready.map((b) => ({ ...colours.get(`bottle ${b.id}`)!, id: b.id }))
    const pairs = checkPairs(palette, [])
    const known = new Set(tried)
    const bottles = ready.map((b) => ({
      id: b.id,
      ul: b.ul,
      idleDays: (facts.now - Math.max(b.mixedAt, b.movedAt ?? 0)) / DAY,
      keepsDays: b.keepUntil === null ? null : (b.keepUntil - facts.now) / DAY,
    }))
    return Array.from({ length: SHOWN }, (_, i) =>
      drawIdea(bottles, techniques.all, pairs, (a, b) => known.has([a, b].sort().join(' ')), seeded(seed * SHOWN + i), {
        technique: technique || undefined,
        bottles: held,
      }),
    ).filter((x) => x !== undefined)
  }, [facts, ready, tried, seed, technique, held, techniques])
  if (open) return <PlanDesk opened={open} chosen={[]} facts={facts} />
  return (
    <>
      <div className="head">
        <h1>
          Ideas <span className="sub">from what is on the rack; idle bottles and those near their date come first</span>
        </h1>
        <Select
          aria-label="Technique of the ideas"
          value={technique}
          className="w240"
          popupMatchSelectWidth={false}
          onChange={setTechnique}
          options={[
            { value: '', label: 'any technique' },
            ...techniques.all.map((t) => ({ value: t.key, label: t.name })),
          ]}
        />
        <Button type="primary" size="large" onClick={() => setSeed(seed + 1)}>
          Shuffle
        </Button>
      </div>
      {facts.wouldTeach.length ? (
        <section className={`panel ${styles.teach}`} aria-label="What would teach most">
          <h2>What would teach most</h2>
          {facts.wouldTeach.slice(0, 3).map((w) => (
            <p key={`${w.fault} ${w.name}`} className="flush">
              <b>
                {w.pairs === 1 ? 'One pair' : `${w.pairs} pairs`} with and without {w.name} would settle {w.fault}.
              </b>{' '}
              <Link
                href={`/notebook/trials/new?fault=${encodeURIComponent(w.fault)}${w.materialId ? `&material=${w.materialId}` : ''}`}
              >
                Begin the trial
              </Link>
            </p>
          ))}
        </section>
      ) : null}
      {ideas.length === 0 ? (
        <EmptyState title="Too little on the rack">
          Two bottles for pouring are the least to draw an idea from. Mix another.
        </EmptyState>
      ) : (
        <ul className={styles.ideas}>
          {ideas.map((idea, i) => (
            <IdeaCard
              key={i}
              idea={idea}
              technique={techniques.of(idea.technique)}
              facts={facts}
              held={held}
              seed={`${seed} ${i}`}
              onHold={(id) => setHeld(held.includes(id) ? held.filter((h) => h !== id) : [...held, id])}
              onPlan={() => setOpen(planOf(idea, techniques.of(idea.technique), facts))}
            />
          ))}
        </ul>
      )}
    </>
  )
}

function IdeaCard({
  idea,
  technique,
  facts,
  held,
  seed,
  onHold,
  onPlan,
}: {
  idea: Idea
  technique: Technique
  facts: DeskFacts
  held: readonly string[]
  seed: string
  onHold: (id: string) => void
  onPlan: () => void
}) {
  const bottles = idea.bottles.map((id) => facts.bottles.find((b) => b.id === id)!)
  return (
    <li className="panel">
      <PouredPicture
        seed={seed}
        label={`A drawing of ${bottles.map((b) => b.label).join(', ')}`}
        ratio={0.55}
        colours={bottles.map((b) => ({ hex: b.hex!, amount: 1 }))}
      />
      <h2>{technique.name}</h2>
      <p className="muted">{technique.gives}</p>
      {[...bottles].reverse().map((b) => (
        <div key={b.id} className={styles.bottle}>
          <span className={styles.swatch} style={{ background: b.hex! }} />
          <Checkbox className="big-check" checked={held.includes(b.id)} onChange={() => onHold(b.id)}>
            {b.label}
          </Checkbox>
        </div>
      ))}
      <p className="fine">{idea.why.join(', ')}.</p>
      <Button type="primary" size="large" onClick={onPlan}>
        Plan it
      </Button>
    </li>
  )
}

/** An idea as a plan of a usual size. */
function planOf(idea: Idea, technique: Technique, facts: DeskFacts): Opened {
  const us = facts.studio.units === 'us'
  const surface = us
    ? ({
        shape: 'rectangle',
        lengthMm: 16 * MM_PER_INCH,
        widthMm: 20 * MM_PER_INCH,
        edgeMm: 0.75 * MM_PER_INCH,
        count: 1,
      } as const)
    : ({ shape: 'rectangle', lengthMm: 400, widthMm: 500, edgeMm: 20, count: 1 } as const)
  return {
    title: `${technique.name} of ${new Date(facts.now).toISOString().slice(0, 10)}`,
    technique: technique.key,
    workId: null,
    kind: 'test',
    pourOn: null,
    notes: '',
    carriedNote: '',
    afterPlanId: null,
    afterPieceId: null,
    design: simpleDesign(
      { surface, kind: technique.cups[0], cup: idea.bottles.map((id) => ({ of: ofBottle(id), share: 1 })) },
      uuidv7,
    ),
  }
}
