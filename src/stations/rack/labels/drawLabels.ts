import { inThread, type ThreadKind } from '@/server/thread'
import type { LabelText } from './layout'

/** What is drawn: labels on the grid of that name, from the first free place of the first sheet. */
export interface LabelJob {
  readonly as: 'pdf' | 'svg'
  readonly texts: readonly LabelText[]
  readonly grid: string | null
  readonly from: number
  /** For SVG: text as outlines, for programs without the font. */
  readonly outlines: boolean
}

const LABELS: ThreadKind = {
  file: 'stations/rack/labels/thread.ts',
  mostMb: 320,
  mostMs: 20_000,
  tooMuch: 'So many labels take too long at once. Print fewer of them.',
}

/** Draws labels, in a thread: two hundred take seconds. @throws FikaError TooLarge */
export const drawLabels = async (job: LabelJob): Promise<BodyInit> => {
  const drawn = await inThread<string | Uint8Array>(LABELS, job)
  return typeof drawn === 'string' ? drawn : Buffer.from(drawn)
}
