import { rehearsalImage } from '@/db/rehearsals/read'
import { keptPicture } from '@/server/keptPicture'

/** The picture of a rehearsal of this studio. */
export const GET = (_request: Request, { params }: { params: Promise<{ id: string }> }) =>
  keptPicture(params, rehearsalImage)
