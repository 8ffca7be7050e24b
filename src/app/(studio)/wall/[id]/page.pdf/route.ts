import { printedPage } from '@/stations/wall/writeUp/printed'
import { sentPdf } from '@/stations/wall/writeUp/sentPdf'

/** The write-up of a piece as a page with pictures. */
export const GET = (_request: Request, { params }: { params: Promise<{ id: string }> }) =>
  sentPdf(params, 'write-up', printedPage)
