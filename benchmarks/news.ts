import { v7 as uuidv7 } from 'uuid'
import { openSession, type Signed } from '@/db/people/sessions'
import { person, signUp } from '../tests/support/accounts'
import { takeOut } from '@/db/ledger'
import { withStudio } from '@/db/base/withStudio'
import { scaleAddress } from '@/devices/scale/stream'
import { startScale } from '@/devices/scale/standIn'
import { random } from '../tests/support/random'
import { makeStudio } from '../tests/support/studio'
import { median, type Figure } from './measure'
import { cookieOf, listen } from './http'
import { inPage } from './page'

const LISTENERS = 200
const LINES_EACH = 8
const READINGS = 80

/** How soon a reading of the scale is on the screen, and how soon two hundred devices hear of a change. */
export async function newsFigures(url: string): Promise<Figure[]> {
  return [await readingToPixel(url), await listeners(url)]
}

/**
 * From the moment a weight leaves the scale, at 10 readings a second, to the frame that shows it: the 95th percentile,
 * beside that of a bare event stream in the same page.
 */
async function readingToPixel(url: string): Promise<Figure> {
  const scale = await startScale({ port: scaleAddress()!.port, random: random(3), clock: Date.now })
  try {
    return await inPage(url, 'Scale bench', async (page, signed) => {
      const id = await beginPour(url, signed)
      await page.goto(`${url}/bench/guide/${id}`)
      await page.locator('[data-testid=scale][data-here]').waitFor()
      const pouring = scale.pour(4_000, 200)
      const { shown, bare } = await page.evaluate(async (most) => {
        const at = new Map<string, number>()
        const [shown, bare]: [number[], number[]] = [[], []]
        const source = new EventSource('/scale')
        source.onmessage = (e: MessageEvent<string>) => {
          const news = JSON.parse(e.data) as { kind: string; grams: number; tare: number; at: number }
          if (news.kind !== 'weight') return
          at.set((news.grams + news.tare).toFixed(1), news.at)
          bare.push(Date.now() - news.at)
        }
        const line = document.querySelector('[data-testid=scale]')!
        await new Promise<void>((resolve) => {
          const watch = new MutationObserver(() => {
            const grams = parseFloat(line.querySelector('b')!.textContent!).toFixed(1)
            requestAnimationFrame(() => {
              // The frame is on the screen when the next task runs.
              const { port1, port2 } = new MessageChannel()
              port1.onmessage = () => {
                const sent = at.get(grams)
                if (sent !== undefined) shown.push(Date.now() - sent)
                if (shown.length >= most) {
                  watch.disconnect()
                  resolve()
                }
              }
              port2.postMessage(0)
            })
          })
          watch.observe(line, { characterData: true, subtree: true, childList: true })
        })
        source.close()
        return { shown, bare }
      }, READINGS)
      void pouring
      const [ours, reference] = [high(shown), Math.max(1, high(bare))]
      return {
        name: 'scale reading to pixel at 10 readings a second, 95th percentile, against the bare event',
        ours,
        reference,
        unit: 'ms',
        ratio: ours / reference,
        aim: '< 150 ms',
      }
    })
  } finally {
    await scale.close()
  }
}

const high = (list: readonly number[]) => [...list].sort((a, b) => a - b)[Math.floor(0.95 * (list.length - 1))]!

/** A guided mix at its first pour, through the app's own door. */
async function beginPour(url: string, signed: Signed): Promise<string> {
  const [id, material] = [uuidv7(), uuidv7()]
  await withStudio(signed, async (tx) => {
    await tx.q(
      `insert into material (studio_id, id, kind, name, density_g_per_ml, solids) values ($1, $2, 'medium', 'Flow', 1, 0.3)`,
      [tx.studioId, material],
    )
    await tx.q('insert into mixing (studio_id, id, kind, plan) values ($1, $2, $3, $4)', [
      tx.studioId,
      id,
      'guided',
      JSON.stringify({
        lines: [
          {
            source: 'material',
            id: material,
            name: 'Flow',
            kind: 'medium',
            hex: null,
            densityGPerMl: 1,
            solids: 0.3,
            waterShare: 0,
            plannedUl: 5_000_000,
          },
        ],
        cupUl: null,
        prepare: [],
        bandS: [1, 2],
        school: 'binder',
        water: null,
        label: 'Bench',
        role: 'pour',
        technique: 'straight',
        recipe: { paints: [], paintParts: 0, mediums: [], water: null },
        formula: null,
        steps: [],
        belief: { a: 1, b: 10, varA: 1, covAb: 0, varB: 1 },
      }),
    ])
  })
  const cookie = await cookieOf(signed.token)
  for (const [after, event] of [{ kind: 'next' }, { kind: 'tare', grams: 0 }].entries())
    await fetch(`${url}/bench/mixing/${id}`, {
      method: 'POST',
      headers: { cookie, origin: url, 'content-type': 'application/json' },
      body: JSON.stringify({ requestId: uuidv7(), after, event }),
    })
  return id
}

/** From a commit to the moment the last of two hundred devices has heard of it, beside one device alone. */
async function listeners(url: string): Promise<Figure> {
  const signed = await signUp({ ...person(), studioName: 'Many devices' })
  const room = await makeStudio(signed)
  const bottle = await room.bottle('Teal', [{ materialId: await room.paint('Teal'), ul: 1_000_000 }])
  // A session holds a handful of lines.
  const cookies = await Promise.all(
    Array.from({ length: LISTENERS / LINES_EACH }, async () =>
      cookieOf((await openSession(signed.accountId, signed.studioId)).token),
    ),
  )
  const change = () => withStudio(signed, (tx) => takeOut(tx, { requestId: uuidv7(), vesselId: bottle, ul: 1_000 }))
  const timed = async (count: number) => {
    const stop = new AbortController()
    const heard = new Array<() => void>(count)
    await Promise.all(
      heard
        .fill(() => undefined)
        .map((_, i) => listen(`${url}/live`, cookies[Math.floor(i / LINES_EACH)]!, stop.signal, () => heard[i]!())),
    )
    // The first listener makes the server open its line; what it says on that is not counted.
    await new Promise((resolve) => setTimeout(resolve, 600))
    const times: number[] = []
    for (let round = 0; round < 9; round++) {
      const all = Promise.all(
        Array.from({ length: count }, (_, i) => new Promise<void>((resolve) => (heard[i] = resolve))),
      )
      await change()
      const from = performance.now()
      await all
      times.push(performance.now() - from)
      await new Promise((resolve) => setTimeout(resolve, 60))
    }
    stop.abort()
    return median(times)
  }
  const one = await timed(1)
  const many = await timed(LISTENERS)
  return {
    name: `a commit is heard by ${LISTENERS} devices, against one`,
    ours: many,
    reference: one,
    unit: 'ms',
    ratio: many / one,
    aim: '< 1000 ms',
  }
}
