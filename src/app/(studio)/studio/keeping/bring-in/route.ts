import { object } from 'yup'
import { ask } from '@/server/perform'
import { answered } from '@/server/route'
import { studioBroughtIn } from '@/stations/studio/keeping/studioFile'

export const dynamic = 'force-dynamic'

/** Makes a studio of the file that is sent, and opens it. */
export async function POST(request: Request) {
  return answered(await ask(object(), {}, (_, who) => studioBroughtIn(who, request.body)))
}
