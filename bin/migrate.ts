// Brings the database named by FIKA_OWNER_DATABASE to the newest schema. Called by the other commands.
import { migrate } from '@/db/migrate'

const url = process.env.FIKA_OWNER_DATABASE
if (!url) throw new Error('FIKA_OWNER_DATABASE names no database')
const done = await migrate(url)
console.log(done.length ? `migrated: ${done.join(', ')}` : 'schema is up to date')
