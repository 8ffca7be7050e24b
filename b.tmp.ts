import { ledgerFigures } from './bench/ledger'
import { colourFigures } from './bench/colour'
import { endPool } from './src/db/pool'
console.log(await colourFigures())
console.log(await ledgerFigures())
await endPool()
