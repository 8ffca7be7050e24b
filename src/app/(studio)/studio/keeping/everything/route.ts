import { answer } from '@/server/answer'
import { refusedText } from '@/server/route'
import { studioTakenOut } from '@/stations/studio/keeping/studioFile'
import { requireSession } from '@/session/current'

export const dynamic = 'force-dynamic'

/** Everything of the studio, as one file. */
export async function GET() {
  const taken = await answer(async () => studioTakenOut(await requireSession()))
  return taken.ok ? taken.value : refusedText(taken)
}
