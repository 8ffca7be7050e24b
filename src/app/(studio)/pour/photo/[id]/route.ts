import { runImage } from '@/db/runs/read'
import { keptPicture } from '@/server/keptPicture'

/** A photo of the day, of this studio. */
export const GET = (_request: Request, { params }: { params: Promise<{ id: string }> }) => keptPicture(params, runImage)
