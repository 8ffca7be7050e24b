import { formatMl } from '../quantity/format'
import { surfaceWords } from '../surface/words'
import type { Surface } from '../surface/shapes'
import { MOMENT_WORDS, MUCH_WORDS, type Look } from './looks'

/** A bottle that went in, as it was mixed: its paints with maker, mediums, ratio. */
export interface WrittenBottle {
  readonly label: string
  readonly ul: number
  readonly paints: readonly { readonly name: string; readonly maker: string; readonly parts: number }[]
  readonly mediums: readonly { readonly name: string; readonly maker: string; readonly parts: number }[]
  /** Parts of paint, medium and water; null where the books do not know. */
  readonly ratio: readonly [paint: number, medium: number, water: number] | null
  /** Level time when it was poured, s; null where nobody timed it. */
  readonly levelTimeS: number | null
}

/** What a write-up is made of: nothing that the books do not know. */
export interface WrittenPiece {
  readonly title: string
  /** Day it was poured, in words. */
  readonly poured: string
  readonly technique: string
  readonly surface: Surface
  readonly bottles: readonly WrittenBottle[]
  /** Layers of each cup from the bottom up, as they were loaded; none where it was booked at once. */
  readonly cups: readonly { readonly name: string; readonly layers: readonly string[] }[]
  readonly filmMm: number | null
  readonly looks: readonly Look[]
  readonly faultNames: Readonly<Record<string, string>>
  readonly finish: readonly string[]
  readonly changed: string
  readonly nextTime: string
}

const list = (words: readonly string[]) =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`

const number = (v: number) => (v >= 10 ? String(Math.round(v)) : String(Math.round(10 * v) / 10))

const named = (m: { readonly name: string; readonly maker: string; readonly parts: number }, all: number) =>
  `${m.name}${m.maker ? ` (${m.maker})` : ''}${all > 1 ? `, ${number(m.parts)}` : ''}`

/** One bottle in a line: paints, medium, ratio, consistency. */
export function bottleLine(b: WrittenBottle): string {
  const paints = list(b.paints.map((p) => named(p, b.paints.length)))
  const parts = [
    paints || 'no paint',
    b.mediums.length ? `in ${list(b.mediums.map((m) => named(m, b.mediums.length)))}` : 'without medium',
    b.ratio ? b.ratio.map(number).join(' : ') : '',
    b.levelTimeS === null ? '' : `level in ${number(b.levelTimeS)} s`,
  ]
  return `${b.label}, ${formatMl(b.ul)}: ${parts.filter(Boolean).join('; ')}`
}

/**
 * How a piece was made, in the maker's order: surface, paints with maker, ratio, medium, consistency, cup layers,
 * technique, what was changed; then how it dried, the finish, and next time. What is not known is left out.
 */
export function writeUp(p: WrittenPiece): string {
  const lines: string[] = [`${p.title}, poured ${p.poured}`, '', `Surface: ${surfaceWords(p.surface)}`]
  if (p.bottles.length) lines.push('Paints (paint : medium : water):', ...p.bottles.map((b) => `  ${bottleLine(b)}`))
  for (const c of p.cups) if (c.layers.length) lines.push(`${c.name}, from the bottom: ${c.layers.join(', ')}`)
  lines.push(`Technique: ${p.technique}`)
  if (p.filmMm !== null) lines.push(`Left on it: ${p.filmMm.toFixed(1)} mm of wet film`)
  if (p.changed) lines.push(`Changed: ${p.changed}`)
  for (const l of p.looks) {
    const faults = l.faults.map(
      (f) =>
        `${(p.faultNames[f.fault] ?? f.fault).toLowerCase()}, ${MUCH_WORDS[f.much]}${f.spots.length ? ` (${f.spots.join(', ')})` : ''}`,
    )
    const said = [l.words.trim().replace(/[.\s]+$/, ''), faults.join('; '), l.rating ? `${l.rating} of 5` : ''].filter(
      Boolean,
    )
    if (said.length) lines.push(`Seen ${MOMENT_WORDS[l.moment]}: ${said.join('. ')}`)
  }
  if (p.finish.length) lines.push(`Finish: ${list(p.finish)}`)
  if (p.nextTime) lines.push(`Next time: ${p.nextTime}`)
  return `${lines.join('\n')}\n`
}
