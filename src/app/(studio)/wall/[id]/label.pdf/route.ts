import { printedLabel } from '@/stations/wall/writeUp/printed'
import { sentPdf } from '@/stations/wall/writeUp/sentPdf'

/** The label that hangs beside a piece. */
export const GET = (_request: Request, { params }: { params: Promise<{ id: string }> }) =>
  sentPdf(params, 'label', printedLabel)
