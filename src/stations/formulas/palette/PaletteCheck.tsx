'use client'

import { Select } from 'antd'
import { Link } from '@/ui/frame/Link'
import { useMemo, useState } from 'react'
import { hexToLab } from '@/core/colour/lab'
import { opticsOf } from '@/core/colour/packOptics'
import { checkPairs, valueLadder, type Pair, type PaletteColour, type PairWord } from '@/core/colour/paletteCheck'
import { MASSTONE_SIGMA } from '@/core/colour/calibrate'
import { sureOf, type FormulaPaint } from '@/core/colour/predict'
import { sureWords } from '@/core/colour/sureWords'
import { OPACITIES, type Opacity, type Sheen } from '@/core/paint/properties'
import type { Material } from '@/db/materials/mixable'
import { Chip } from '@/ui/pictures/Drawdown'
import { EmptyState } from '@/ui/frame/Notice'
import { sheenFill } from '@/ui/pictures/SheenDefs'
import { useTray } from '@/ui/frame/tray'
import { formulaPaint } from '../formulaPaint'
import styles from './palette.module.css'

const MOST = 12
const SAID = { together: 'together: yes', never: 'never together', surprising: 'surprising together' } as const

/** A bottle as it can stand on a palette. */
export interface Bottled {
  readonly id: string
  readonly label: string
  readonly hex: string
  readonly sheen: Sheen
}

/** A colour on the palette, paint or bottle. */
interface Entry {
  readonly id: string
  readonly name: string
  readonly label: string
  readonly hex: string
  readonly sheen: Sheen
  readonly opacity: Opacity | null
  readonly look: FormulaPaint
}

const paintEntry = (p: Material): Entry => ({
  id: p.id,
  name: p.name,
  label: p.maker ? `${p.name} · ${p.maker}` : p.name,
  hex: p.hex!,
  sheen: p.sheen!,
  opacity: p.opacity,
  look: formulaPaint(p),
})

/** A bottle counts by its colour, like a paint of which only the masstone is known. */
const bottleEntry = (b: Bottled): Entry => ({
  ...b,
  name: b.label,
  label: `${b.label} (bottle)`,
  opacity: null,
  look: {
    optics: opticsOf({ optics: null, hex: b.hex, strength: 'normal' }),
    opacity: 'semi-opaque',
    body: 'ready',
    sheen: b.sheen,
    sigma: MASSTONE_SIGMA,
    known: 'masstone',
  },
})

/** How sure the least sure patch of the map is, and what would make it surer. */
function sureOfMap(palette: readonly Entry[], pairs: readonly Pair[]): string {
  const all = pairs.map((p) => {
    const [a, b] = [palette[p.a]!, palette[p.b]!]
    const sure = sureOf([a.look, b.look], [1, 1])
    return { ...sureWords(sure, [a.name, b.name]), off: sure.sureness.plusMinus }
  })
  const worst = [...all].sort((x, y) => y.off - x.off)[0]
  return worst ? `Computed; the least sure patch is ${worst.how}. ${worst.next ?? ''}` : ''
}

/** The tray's colours as they meet: what every two turn into, from light to dark, what to keep apart and by what. */
export function PaletteCheck({
  paints,
  bottles,
  words,
  start,
}: {
  paints: readonly Material[]
  bottles: readonly Bottled[]
  words: readonly (PairWord & { note: string })[]
  start: readonly string[]
}) {
  const tray = useTray()
  const [chosen, setChosen] = useState<readonly string[] | undefined>(start.length ? start : undefined)
  const ids = chosen ?? tray.map((t) => t.id)
  const key = ids.join()
  const entries = useMemo(
    () => new Map([...bottles.map(bottleEntry), ...paints.map(paintEntry)].map((e) => [e.id, e])),
    [paints, bottles],
  )
  const palette = useMemo(
    () =>
      key
        .split(',')
        .flatMap((id) => entries.get(id) ?? [])
        .slice(0, MOST),
    [entries, key],
  )
  const colours = useMemo(
    () =>
      palette.map((p): PaletteColour => ({ id: p.id, optics: p.look.optics, lab: hexToLab(p.hex!), sheen: p.sheen })),
    [palette],
  )
  const pairs = useMemo(() => checkPairs(colours, words), [colours, words])
  const sure = useMemo(() => sureOfMap(palette, pairs), [palette, pairs])
  const picker = (
    <Select
      mode="multiple"
      aria-label="Colours of the palette"
      optionFilterProp="label"
      value={palette.map((p) => p.id)}
      maxCount={MOST}
      onChange={setChosen}
      placeholder="paints and bottles of the palette"
      className="wide apart"
      options={[...entries.values()].map((e) => ({ value: e.id, label: e.label }))}
    />
  )
  if (palette.length < 2)
    return (
      <>
        {picker}
        <EmptyState title="Two paints or more">
          Choose them above, or put paints on the tray: then they are here already.
          <br />
          <Link className="go" href="/paints">
            To the drawer
          </Link>
        </EmptyState>
      </>
    )
  return (
    <>
      {picker}
      <div className="wide-left">
        <section className={`neutral ${styles.mudMap}`} aria-label="Mud map">
          <MudMap palette={palette} pairs={pairs} />
          <p className={styles.onGrey}>{sure}</p>
        </section>
        <div className="grid">
          <section className="panel" aria-label="Keep apart">
            <h2>Keep apart</h2>
            <Apart palette={palette} pairs={pairs} words={words} />
          </section>
          <section className="panel" aria-label="Light to dark">
            <h2>Light to dark</h2>
            <Ladder palette={palette} colours={colours} />
          </section>
          <section className="panel" aria-label="Balance">
            <h2>Transparent to opaque</h2>
            {OPACITIES.map((o) => (
              <div className="row" key={o}>
                <span className="w150">{o}</span>
                {palette
                  .filter((p) => p.opacity === o)
                  .map((p) => (
                    <Chip key={p.id} hex={p.hex} sheen={p.sheen} />
                  ))}
                {palette.some((p) => p.opacity === o) ? null : <span className="muted">none</span>}
              </div>
            ))}
          </section>
        </div>
      </div>
    </>
  )
}

/** A quilt: the paints along the edges, in each patch what the two become one to one; a cross on what to keep apart. */
function MudMap({ palette, pairs }: { palette: readonly Entry[]; pairs: readonly Pair[] }) {
  const n = palette.length
  const size = 600 / (n + 1)
  const at = (i: number) => (i + 1) * size
  return (
    <svg viewBox="0 0 600 600" width="100%" role="img" aria-label="What every two paints turn into, one to one">
      {palette.map((p, i) => (
        <g key={p.id}>
          {[
            [at(i), 0],
            [0, at(i)],
          ].map(([x, y], k) => (
            <g key={k} transform={`translate(${x! + 2} ${y! + 2})`}>
              <title>{p.name}</title>
              <rect width={size - 4} height={size - 4} fill={p.hex} stroke="#1c1c1c" strokeWidth="2.5" />
              <rect width={size - 4} height={size - 4} fill={sheenFill(p.sheen)} />
            </g>
          ))}
          <rect x={at(i) + 2} y={at(i) + 2} width={size - 4} height={size - 4} fill={p.hex} />
        </g>
      ))}
      {pairs.flatMap((p) =>
        [
          [p.a, p.b],
          [p.b, p.a],
        ].map(([x, y]) => (
          <g key={`${x}/${y}`} transform={`translate(${at(x!)} ${at(y!)})`}>
            <title>{`${palette[p.a]!.name} with ${palette[p.b]!.name}: ${Math.round(100 * Math.min(1, p.mix.chromaKept))} % of the colour kept`}</title>
            <rect x="2" y="2" width={size - 4} height={size - 4} fill={p.mix.hex} />
            {p.verdict === 'apart' ? (
              <g strokeLinecap="round">
                <path
                  d={`M${size * 0.3} ${size * 0.3}L${size * 0.7} ${size * 0.7}M${size * 0.7} ${size * 0.3}L${size * 0.3} ${size * 0.7}`}
                  stroke="#fff"
                  strokeWidth="7"
                />
                <path
                  d={`M${size * 0.3} ${size * 0.3}L${size * 0.7} ${size * 0.7}M${size * 0.7} ${size * 0.3}L${size * 0.3} ${size * 0.7}`}
                  stroke="#111"
                  strokeWidth="3"
                />
              </g>
            ) : p.word ? (
              <circle cx={size / 2} cy={size / 2} r={size * 0.16} fill="none" stroke="#fff" strokeWidth="5" />
            ) : null}
          </g>
        )),
      )}
      <text x={size / 2} y={size / 2} textAnchor="middle" dominantBaseline="middle" fontSize="17" fill="#fff">
        1 : 1
      </text>
    </svg>
  )
}

function Apart({
  palette,
  pairs,
  words,
}: {
  palette: readonly Entry[]
  pairs: readonly Pair[]
  words: readonly (PairWord & { note: string })[]
}) {
  const apart = pairs.filter((p) => p.verdict === 'apart')
  const spoken = pairs.filter((p) => p.word && p.verdict === 'fine')
  const note = (p: Pair) =>
    words.find((w) => [w.aId, w.bId].includes(palette[p.a]!.id) && [w.aId, w.bId].includes(palette[p.b]!.id))?.note
  return (
    <>
      {apart.length === 0 ? <p className="muted">Any two of them may touch.</p> : null}
      <ul className={styles.apart}>
        {[...apart, ...spoken].map((p) => {
          const [a, b] = [palette[p.a]!, palette[p.b]!]
          const between = p.buffer === undefined ? undefined : palette[p.buffer]
          return (
            <li key={`${p.a}/${p.b}`}>
              <span className={styles.apartChips}>
                <Chip hex={a.hex} sheen={a.sheen} size={34} />
                <Chip hex={p.mix.hex} sheen="matte" size={22} />
                <Chip hex={b.hex} sheen={b.sheen} size={34} />
              </span>
              <span>
                <b>
                  {a.name} and {b.name}
                </b>
                <small>
                  {p.word
                    ? `your word: ${SAID[p.word]}${note(p) ? `, ${note(p)}` : ''}`
                    : p.why === 'mud'
                      ? `turn to mud: ${Math.round(100 * p.mix.chromaKept)} % of the colour is kept`
                      : 'the white goes pink'}
                  {p.verdict === 'apart'
                    ? between
                      ? `. Put ${between.name} between.`
                      : '. Nothing on this palette goes between: add a white or a metallic.'
                    : ''}
                </small>
              </span>
            </li>
          )
        })}
      </ul>
    </>
  )
}

function Ladder({ palette, colours }: { palette: readonly Entry[]; colours: readonly PaletteColour[] }) {
  const ladder = valueLadder(colours)
  return (
    <>
      <svg viewBox="0 0 400 96" width="100%" role="img" aria-label="Lightness of each paint">
        {ladder.order.map((i) => {
          const x = 8 + (384 * (100 - colours[i]!.lab[0])) / 100
          return (
            <rect
              key={i}
              x={x - 9}
              y="4"
              width="18"
              height="62"
              fill={palette[i]!.hex}
              stroke="#1c1c1c"
              strokeOpacity=".5"
            />
          )
        })}
        <path d="M8 74H392" stroke="#1c1c1c" strokeWidth="1.5" />
        <text x="8" y="92" fontSize="13" fill="#1c1c1c">
          light
        </text>
        <text x="392" y="92" fontSize="13" textAnchor="end" fill="#1c1c1c">
          dark
        </text>
      </svg>
      <p className="after">
        {ladder.lacingShows
          ? 'A light stands among darks: lacing will be seen.'
          : 'No light stands among darks: lacing will hardly be seen.'}
        {ladder.widest && ladder.widest.step > 25
          ? ` The widest step lies between ${palette[ladder.order[ladder.widest.after]!]!.name} and ${palette[ladder.order[ladder.widest.after + 1]!]!.name}.`
          : ''}
      </p>
    </>
  )
}
