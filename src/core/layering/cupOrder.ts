import { Invalid } from '../errors'

/** What an order is looked for among. Colours by index into `costs`. */
export interface OrderTask {
  /** Cost of colour b lying on colour a: `costs[a][b]`. */
  readonly costs: readonly (readonly number[])[]
  /** How many layers of each colour there are to be; those with 0 may only come in as buffers. */
  readonly layers: readonly number[]
  /** Colour of the bottom layer, and of the top one; null: any. */
  readonly first: number | null
  readonly last: number | null
  /** Colours that may be laid between two others, and at most how many such layers. */
  readonly buffers: readonly number[]
  readonly mostBuffers: number
}

export interface FoundOrder {
  /** Colours, bottom first. */
  readonly order: readonly number[]
  /** Which of them are buffers that were put in. */
  readonly inserted: readonly boolean[]
  readonly cost: number
  /** Whether nothing cheaper can be; beyond twelve layers the search keeps only the best ways so far. */
  readonly exact: boolean
}

/** Up to so many layers every way is looked at. */
export const EXACT_LAYERS = 12
/** A table of so many ways still is one for a page that waits; more of them are searched by the beam. */
const TABLE = 4_000_000
/** Ways kept for each number of layers beyond that. Start value of Fika. */
const BEAM = 500
/** A layer that was not asked for must be worth this much. Start value of Fika. */
export const BUFFER_COST = 0.15

/**
 * The cheapest order of layers: the sum over neighbours, by dynamic programming over what is laid (counts of each
 * colour), the colour on top, and the buffers used (Held & Karp 1962, with repeats as counts). Exact to twelve layers
 * and as far beyond as a table holds it; else a beam.
 * @throws Invalid where nothing is to be laid, or a fixed colour is not among them
 */
export function findOrder(task: OrderTask): FoundOrder {
  const { layers, first, last } = task
  const total = layers.reduce((sum, n) => sum + n, 0)
  if (total === 0) throw new Invalid('Put at least one layer into the cup first.')
  for (const end of [first, last])
    if (end !== null && !(layers[end]! > 0)) throw new Invalid('The colour that is to lie outside is not in this cup.')
  if (total > 1 && first !== null && first === last && layers[first]! < 2)
    throw new Invalid('One layer cannot be first and last. Give that colour two layers, or free one end.')
  const via = bestBuffers(task)
  const states = layers.reduce((n, count) => n * (count + 1), 1)
  const exact = total <= EXACT_LAYERS || states * layers.length * (task.mostBuffers + 1) <= TABLE
  const laid = exact ? byTable(task, via, states) : byBeam(task, via, total)
  if (!laid) throw new Invalid('No order leaves that colour outside. Free one end, or take fewer layers of it.')
  return { ...laid, exact }
}

/** Between two colours the buffer that is cheapest there, and what the way over it costs; −1: none may go there. */
interface Via {
  readonly buffer: readonly (readonly number[])[]
  readonly cost: readonly (readonly number[])[]
}

function bestBuffers({ costs, buffers, mostBuffers }: OrderTask): Via {
  const between = (a: number, b: number) => {
    let best = { buffer: -1, cost: Infinity }
    if (mostBuffers > 0)
      for (const x of buffers) {
        const cost = costs[a]![x]! + costs[x]![b]! + BUFFER_COST
        if (x !== a && x !== b && cost < best.cost) best = { buffer: x, cost }
      }
    return best
  }
  const all = costs.map((_, a) => costs.map((__, b) => between(a, b)))
  return { buffer: all.map((row) => row.map((v) => v.buffer)), cost: all.map((row) => row.map((v) => v.cost)) }
}

type Laid = Omit<FoundOrder, 'exact'>

/** The programme over a table of all that may be laid so far; undefined where the last colour cannot be had on top. */
function byTable({ costs, layers, first, last, mostBuffers }: OrderTask, via: Via, states: number): Laid | undefined {
  const colours = layers.length
  const slots = mostBuffers + 1
  const size: number[] = []
  layers.reduce((n, count) => {
    size.push(n)
    return n * (count + 1)
  }, 1)
  const at = (state: number, top: number, used: number) => (state * colours + top) * slots + used
  const cost = new Float64Array(states * colours * slots).fill(Infinity)
  /** The colour beneath, and whether a buffer lies between. */
  const below = new Int16Array(states * colours * slots)
  for (let c = 0; c < colours; c++) if (layers[c]! > 0 && (first === null || first === c)) cost[at(size[c]!, c, 0)] = 0
  const count = (state: number, c: number) => Math.floor(state / size[c]!) % (layers[c]! + 1)
  for (let state = 1; state < states - 1; state++)
    for (let top = 0; top < colours; top++)
      for (let used = 0; used < slots; used++) {
        const here = cost[at(state, top, used)]!
        if (here === Infinity) continue
        for (let c = 0; c < colours; c++) {
          if (count(state, c) === layers[c]!) continue
          const next = state + size[c]!
          // The last colour is laid last: until then one layer of it is kept back.
          if (last !== null && (next === states - 1 ? c !== last : c === last && count(next, c) === layers[c]!))
            continue
          const straight = at(next, c, used)
          if (here + costs[top]![c]! < cost[straight]!) {
            cost[straight] = here + costs[top]![c]!
            below[straight] = top
          }
          const over = at(next, c, used + 1)
          if (used + 1 < slots && here + via.cost[top]![c]! < cost[over]!) {
            cost[over] = here + via.cost[top]![c]!
            below[over] = top + colours
          }
        }
      }
  let [top, used, best] = [-1, 0, Infinity]
  for (let c = 0; c < colours; c++)
    for (let u = 0; u < slots; u++)
      if ((last === null || last === c) && cost[at(states - 1, c, u)]! < best - 1e-12) {
        best = cost[at(states - 1, c, u)]!
        top = c
        used = u
      }
  if (top < 0) return undefined
  const order = [top]
  const inserted = [false]
  for (let state = states - 1; state !== size[top]!;) {
    const from = below[at(state, top, used)]!
    state -= size[top]!
    const under = from % colours
    if (from >= colours) {
      order.unshift(via.buffer[under]![top]!)
      inserted.unshift(true)
      used -= 1
    }
    order.unshift(under)
    inserted.unshift(false)
    top = under
  }
  return { order, inserted, cost: best }
}

interface Way {
  readonly left: readonly number[]
  readonly cost: number
  readonly used: number
  readonly order: readonly number[]
  readonly inserted: readonly boolean[]
}

/** The same, of which only the best ways so far are followed. */
function byBeam({ costs, layers, first, last, mostBuffers }: OrderTask, via: Via, total: number): Laid | undefined {
  const less = (counts: readonly number[], c: number) => counts.map((n, i) => (i === c ? n - 1 : n))
  const mayLay = (left: readonly number[], c: number, remaining: number) =>
    left[c]! > 0 && (last === null || (remaining === 1 ? c === last : c !== last || left[c]! > 1))
  let front: Way[] = layers.flatMap((_, c) =>
    (first === null || first === c) && mayLay(layers, c, total)
      ? [{ left: less(layers, c), cost: 0, used: 0, order: [c], inserted: [false] }]
      : [],
  )
  for (let remaining = total - 1; remaining > 0; remaining--) {
    const best = new Map<string, Way>()
    const keep = (way: Way) => {
      const key = `${way.left.join(',')}/${way.order.at(-1)}/${way.used}`
      if (way.cost < (best.get(key)?.cost ?? Infinity)) best.set(key, way)
    }
    for (const way of front)
      for (let c = 0; c < layers.length; c++) {
        if (!mayLay(way.left, c, remaining)) continue
        const top = way.order.at(-1)!
        const left = less(way.left, c)
        keep({
          left,
          cost: way.cost + costs[top]![c]!,
          used: way.used,
          order: [...way.order, c],
          inserted: [...way.inserted, false],
        })
        const buffer = via.buffer[top]![c]!
        if (buffer >= 0 && way.used < mostBuffers)
          keep({
            left,
            cost: way.cost + via.cost[top]![c]!,
            used: way.used + 1,
            order: [...way.order, buffer, c],
            inserted: [...way.inserted, true, false],
          })
      }
    front = [...best.values()].sort((a, b) => a.cost - b.cost).slice(0, BEAM)
  }
  return front.filter((w) => last === null || w.order.at(-1) === last).sort((a, b) => a.cost - b.cost)[0]
}
