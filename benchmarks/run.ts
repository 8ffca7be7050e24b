// Runs every comparison and prints it; `--json` prints one line of JSON each, names of
// groups run only those. Called by npm run bench.
import { endPool } from '@/db/base/pool'
import { catalogueFigures } from './catalogue'
import { colourFigures } from './colour'
import { dayFigures } from './day'
import { learningFigures } from './learning'
import { ledgerFigures } from './ledger'
import type { Figure } from './measure'
import { matchFigures } from './match'
import { newsFigures } from './news'
import { photoFigures } from './photo'
import { photoAccuracy } from './photoAccuracy'
import { photoDeskFigures } from './photoDesk'
import { planFigures } from './plan'
import { rackFigures } from './rack'
import { tiltFigures } from './tilt'
import { wallFigures } from './wall'

const url = process.env.FIKA_URL
if (!url) throw new Error('FIKA_URL names no running Fika')
const json = process.argv.includes('--json')
const round = (n: number) => Number(n.toPrecision(4))

function print(figures: readonly Figure[]): void {
  for (const f of figures) {
    const line = { ...f, ours: round(f.ours), reference: round(f.reference), ratio: round(f.ratio) }
    if (json) console.log(JSON.stringify(line))
    else
      console.log(
        `${f.name}\n    ours ${line.ours} ${f.unit}, reference ${line.reference} ${f.unit}, ratio ${line.ratio} (aim ${f.aim})`,
      )
  }
}

const groups: Record<string, () => Promise<Figure[]>> = {
  colour: colourFigures,
  ledger: ledgerFigures,
  rack: () => rackFigures(url),
  catalogue: catalogueFigures,
  photo: async () => [...(await photoFigures(url)), ...(await photoAccuracy()), ...(await photoDeskFigures(url))],
  wall: () => wallFigures(url),
  match: () => matchFigures(url),
  news: () => newsFigures(url),
  plan: () => planFigures(url),
  tilt: () => tiltFigures(url),
  day: () => dayFigures(url),
  learning: () => learningFigures(url),
}
const wanted = process.argv.slice(2).filter((a) => a in groups)
for (const [name, run] of Object.entries(groups)) if (wanted.length === 0 || wanted.includes(name)) print(await run())
await endPool()
