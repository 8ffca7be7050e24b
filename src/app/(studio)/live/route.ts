import { onChange, type Topic } from '@/db/base/announce'
import { session } from '@/session/current'
import { eventStream } from '@/server/events'

export const dynamic = 'force-dynamic'

/** What every device is told of one commit: one object for all of them, so that it is written once. */
const told = new WeakMap<readonly Topic[], { topics: readonly Topic[] }>()
function newsOf(topics: readonly Topic[]) {
  const news = told.get(topics) ?? { topics: topics.filter((t) => !t.startsWith('session ')) }
  told.set(topics, news)
  return news
}

/** Tells a device what has changed in its studio, as it is committed. */
export async function GET(request: Request) {
  const who = await session()
  if (!who) return new Response(null, { status: 401 })
  return eventStream(request, who, (send) =>
    onChange(who.studioId, (topics) => {
      const news = newsOf(topics)
      if (news.topics.length) send(news)
    }),
  )
}
