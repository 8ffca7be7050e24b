import { photoImage } from '@/db/pieces/read'
import { keptPicture } from '@/server/keptPicture'

/** A photo of this studio. */
export const GET = (_request: Request, { params }: { params: Promise<{ id: string }> }) =>
  keptPicture(params, photoImage)
