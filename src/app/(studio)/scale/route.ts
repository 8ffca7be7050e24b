import { requestSchema } from '@/devices/scale/protocol'
import { AWAY, scaleStream } from '@/devices/scale/stream'
import { FikaError } from '@/core/errors'
import { session } from '@/session/current'
import { eventStream } from '@/server/events'
import { ask } from '@/server/perform'
import { answered, bodyOf } from '@/server/route'

export const dynamic = 'force-dynamic'

/** The scale of this machine as it weighs: here, away, and every weight. */
export async function GET(request: Request) {
  const who = await session()
  if (!who) return new Response(null, { status: 401 })
  return eventStream(request, who, (send) => scaleStream().listen(send))
}

/** Asks something of the scale: tare; of the stand-in also what lies on it. */
export async function POST(request: Request) {
  return answered(
    await ask(requestSchema, bodyOf(request), (wish) => {
      if (!scaleStream().ask(wish)) throw new FikaError('Device', AWAY)
      return null
    }),
  )
}
