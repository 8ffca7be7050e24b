'use client'

import { Button, Checkbox, Select } from '@/ui/forms/still'
import { useState } from 'react'
import { anyFlakes } from '@/core/paint/sheenOfMix'
import { isWhite } from '@/core/colour/paintOptics'
import { JOINT_WORDS, type Joint } from '@/core/layering/joint'
import { leavingOrder } from '@/core/layering/lands'
import { sourceKey } from '@/core/plan/design'
import type { Technique } from '@/core/technique/technique'
import { Notice } from '@/ui/frame/Notice'
import { Chip } from '@/ui/pictures/Drawdown'
import type { DeskFacts } from '../deskFacts'
import { newLayer, type DraftCup, type DraftLayer } from './draft'
import { useCupOrder } from './useCupOrder'
import { colourOf, jointOf, type DeskColour } from './workOut'
import styles from './desk.module.css'

const keyOf = (c: DeskColour) => sourceKey(c.of)

/** Where the colour that is to lie outermost stands in the cup, by how it is poured. */
function outsideEnd(kind: DraftCup['kind']): 'first' | 'last' {
  const leaving = leavingOrder(kind, [
    { colour: 0, ul: 1 },
    { colour: 1, ul: 1 },
  ])
  return leaving[0]!.colour === 0 ? 'first' : 'last'
}

/** Proposes the order in which the fewest joints go wrong; the maker takes it, or does not. */
export function OrderProposal({
  cup,
  colours,
  technique,
  facts,
  newId,
  onTake,
}: {
  cup: DraftCup
  colours: ReadonlyMap<string, DeskColour>
  technique: Technique
  facts: DeskFacts
  newId: () => string
  onTake: (layers: DraftLayer[]) => void
}) {
  const { find, found, sentence, clear } = useCupOrder()
  const [outside, setOutside] = useState('')
  const [inside, setInside] = useState('')
  const [buffers, setBuffers] = useState(false)
  const named = cup.layers.filter((l) => l.of)
  const inCup = [...new Map(named.map((l) => [keyOf(colourOf(colours, l.of)!), colourOf(colours, l.of)!])).values()]
  const others = buffers
    ? [...colours.values()].filter(
        (c) =>
          c.bottle &&
          !inCup.some((x) => keyOf(x) === keyOf(c)) &&
          (anyFlakes(c) || isWhite(c.lab)) &&
          c.bottle.role === 'pour',
      )
    : []
  const palette = [...inCup, ...others.slice(0, 6)]
  if (named.length < 3) return null
  const placeOf = (key: string) => {
    const at = palette.findIndex((c) => keyOf(c) === key)
    return at < 0 ? null : at
  }
  const costs = () => palette.map((a) => palette.map((b) => jointOf(a, b, technique, facts).cost))
  const ask = () => {
    const layers = palette.map((c) => named.filter((l) => keyOf(colourOf(colours, l.of)!) === keyOf(c)).length)
    const end = outsideEnd(cup.kind)
    find({
      costs: costs(),
      layers,
      first: placeOf(end === 'first' ? outside : inside),
      last: placeOf(end === 'last' ? outside : inside),
      buffers: palette.flatMap((c, i) => (anyFlakes(c) || isWhite(c.lab) ? [i] : [])).filter(() => buffers),
      mostBuffers: buffers ? 3 : 0,
    })
  }
  const order = found?.order.map((i) => palette[i]).filter((c) => c !== undefined)
  const now = jointsIn(
    named.map((l) => colourOf(colours, l.of)!),
    technique,
    facts,
  )
  const then = order ? jointsIn(order, technique, facts) : []
  const take = () => {
    const left = [...named]
    const layers = order!.map((c) => {
      const i = left.findIndex((l) => keyOf(colourOf(colours, l.of)!) === keyOf(c))
      return i < 0 ? newLayer(newId(), c.of) : left.splice(i, 1)[0]!
    })
    onTake([...layers, ...cup.layers.filter((l) => !l.of)])
    clear()
  }
  return (
    <div className={styles.order}>
      <div className="row">
        <Button onClick={ask} data-testid="propose-order">
          Propose an order
        </Button>
        <Select
          aria-label="Colour that is to lie outermost"
          value={outside}
          className={styles.outside}
          popupMatchSelectWidth={false}
          onChange={(key) => {
            setOutside(key)
            clear()
          }}
          options={[
            { value: '', label: 'any colour outermost' },
            ...inCup.map((c) => ({ value: keyOf(c), label: `${c.label} outermost` })),
          ]}
        />
        <Select
          aria-label="Colour that is to lie innermost"
          value={inside}
          className={styles.outside}
          popupMatchSelectWidth={false}
          onChange={(key) => {
            setInside(key)
            clear()
          }}
          options={[
            { value: '', label: 'any colour innermost' },
            ...inCup.map((c) => ({ value: keyOf(c), label: `${c.label} innermost` })),
          ]}
        />
        <Checkbox
          className="big-check"
          checked={buffers}
          onChange={(e) => {
            setBuffers(e.target.checked)
            clear()
          }}
        >
          a white or metal may go between
        </Checkbox>
      </div>
      {sentence ? <Notice kind="warning">{sentence}</Notice> : null}
      {order ? (
        <div className={styles.proposal} data-testid="proposal">
          <ol aria-label="Proposed order, bottom first">
            {order.map((c, i) => (
              <li key={i}>
                <Chip hex={c.hex} sheen={c.sheen} size={22} />
                <span>
                  {c.label}
                  {found?.inserted[i] ? <b> put between</b> : null}
                </span>
              </li>
            ))}
          </ol>
          <p className="muted fine">
            {wrongIn(now)} now, {wrongIn(then)} then
            {found?.exact ? '' : '; with so many layers there may be a better one'}. By mud, tint, lost contrast
            {technique.cells ? ' and cells' : ''}; your own word outranks them. Weights are start values of Fika.
          </p>
          <Button type="primary" onClick={take}>
            Take this order
          </Button>
        </div>
      ) : null}
    </div>
  )
}

const jointsIn = (order: readonly DeskColour[], technique: Technique, facts: DeskFacts): Joint[] =>
  order.slice(1).map((c, i) => jointOf(order[i]!, c, technique, facts))

/** The joints that go wrong, in words. */
function wrongIn(joints: readonly Joint[]): string {
  const wrong = joints.filter((j) => ['mud', 'tint', 'never', 'same', 'faint'].includes(j.word))
  const words = [...new Set(wrong.map((j) => JOINT_WORDS[j.word]))].join(', ')
  if (wrong.length === 0) return 'no joint goes wrong'
  return `${wrong.length} ${wrong.length === 1 ? 'joint goes' : 'joints go'} wrong (${words})`
}
