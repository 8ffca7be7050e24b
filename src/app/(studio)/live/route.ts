import { onChange } from '@/db/base/announce'
import { session } from '@/session/current'
import { eventStream } from '@/server/events'

export const dynamic = 'force-dynamic'

/** Tells a device what has changed in its studio, as it is committed. */
export async function GET(request: Request) {
  const who = await session()
  if (!who) return new Response(null, { status: 401 })
  return eventStream(request, who, (send) =>
    onChange(who.studioId, (topics) => {
      const told = topics.filter((t) => !t.startsWith('session '))
      if (told.length) send({ topics: told })
    }),
  )
}
