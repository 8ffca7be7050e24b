// Brings the database named by FIKA_OWNER_DATABASE to the newest schema. Called by the other commands.
import { fillKeep } from '@/db/mixes'
import { migrate } from '@/db/base/migrate'
import { fillOptics } from '@/db/materials/optics'
import { endPool } from '@/db/base/pool'

const url = process.env.FIKA_OWNER_DATABASE
if (!url) throw new Error('FIKA_OWNER_DATABASE names no database')
const done = await migrate(url)
console.log(done.length ? `migrated: ${done.join(', ')}` : 'schema is up to date')
const filled = await fillOptics()
if (filled) console.log(`worked out how ${filled} paints act in mixes`)
const kept = await fillKeep()
if (kept) console.log(`worked out until when ${kept} bottles keep`)
await endPool()
