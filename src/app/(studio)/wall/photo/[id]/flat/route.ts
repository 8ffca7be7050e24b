import { flatImage } from '@/db/pieces/read'
import { keptPicture } from '@/server/keptPicture'

/** A photo of a piece laid flat by its corners, of this studio. It changes where these are put again. */
export const GET = (_request: Request, { params }: { params: Promise<{ id: string }> }) =>
  keptPicture(params, flatImage, { changes: true })
