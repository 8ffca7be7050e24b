/** One facet over a list of rows: each row has none, one or several of its values. */
export interface FacetColumn {
  readonly key: string
  /** Distinct values, sorted. */
  readonly values: readonly string[]
  /** Row i has the values at `codes[offsets[i] … offsets[i + 1])`. */
  readonly offsets: Int32Array
  readonly codes: Int32Array
}

/** Most facets at once: each is a bit of a row's mask. */
const MOST_FACETS = 30

/**
 * Makes a facet of `rows` rows; empty values are none.
 * @param valuesOf the values of row i; may hand out the same list again and again
 */
export function facetColumn(key: string, rows: number, valuesOf: (i: number) => readonly string[]): FacetColumn {
  const found = new Map<string, number>()
  const offsets = new Int32Array(rows + 1)
  let codes = new Int32Array(rows + 16)
  let end = 0
  for (let i = 0; i < rows; i++) {
    const own = valuesOf(i)
    for (let k = 0; k < own.length; k++) {
      const value = own[k]!
      if (!value || own.indexOf(value) < k) continue
      let code = found.get(value)
      if (code === undefined) found.set(value, (code = found.size))
      if (end === codes.length) {
        const wider = new Int32Array(2 * end)
        wider.set(codes)
        codes = wider
      }
      codes[end++] = code
    }
    offsets[i + 1] = end
  }
  const values = [...found.keys()].sort()
  const place = new Int32Array(values.length)
  values.forEach((v, i) => (place[found.get(v)!] = i))
  for (let at = 0; at < end; at++) codes[at] = place[codes[at]!]!
  return { key, values, offsets, codes: codes.subarray(0, end) }
}

export interface FacetCount {
  readonly value: string
  /** How many rows would show if this value were chosen, all other facets as they are. */
  readonly count: number
}

export interface Found {
  /** Indexes of the rows that match, in the order of the rows. */
  readonly matches: number[]
  readonly counts: Readonly<Record<string, readonly FacetCount[]>>
}

/**
 * Rows that match, and live counts. Values chosen in one facet are alternatives; facets narrow each other.
 * @param rows how many rows there are
 * @param chosen values by facet key; an empty list is no choice
 * @param within 1 for rows a search has found; all rows where it is missing
 * @throws RangeError for more than 30 facets
 */
export function countFacets(
  rows: number,
  columns: readonly FacetColumn[],
  chosen: Readonly<Record<string, readonly string[]>>,
  within?: Uint8Array,
): Found {
  if (columns.length > MOST_FACETS) throw new RangeError(`at most ${MOST_FACETS} facets`)
  // Column by column: each loop runs over plain arrays, and a row's misses are bits.
  const missed = new Int32Array(rows)
  if (within) for (let i = 0; i < rows; i++) if (!within[i]) missed[i] = OUT
  columns.forEach((c, k) => markMisses(missed, c, chosen[c.key] ?? [], 1 << k))
  const matches: number[] = []
  for (let i = 0; i < rows; i++) if (missed[i] === 0) matches.push(i)
  const counts = Object.fromEntries(
    columns.map((c, k) => {
      const tally = tallyOf(missed, c, ~(1 << k))
      return [c.key, c.values.map((value, v) => ({ value, count: tally[v]! }))]
    }),
  )
  return { matches, counts }
}

/** The mark of a row no search has found: it is missed whatever is chosen. */
const OUT = 1 << MOST_FACETS

/** Sets a facet's bit on every row that has none of the chosen values. */
function markMisses(
  missed: Int32Array,
  { values, offsets, codes }: FacetColumn,
  picks: readonly string[],
  bit: number,
): void {
  if (picks.length === 0) return
  const mask = Uint8Array.from(values, (v) => (picks.includes(v) ? 1 : 0))
  for (let i = 0; i < missed.length; i++) {
    let hit = 0
    for (let at = offsets[i]!; at < offsets[i + 1]!; at++) hit |= mask[codes[at]!]!
    if (!hit) missed[i]! |= bit
  }
}

/** How many rows have each value, of those that miss nothing but this facet. */
function tallyOf(missed: Int32Array, { values, offsets, codes }: FacetColumn, others: number): Int32Array {
  const tally = new Int32Array(values.length)
  for (let i = 0; i < missed.length; i++) {
    if ((missed[i]! & others) !== 0) continue
    for (let at = offsets[i]!; at < offsets[i + 1]!; at++) tally[codes[at]!]! += 1
  }
  return tally
}
