import { FikaError } from '@/core/errors'

/** SQLSTATE classes and system errors by which a database says that it is not there just now (PostgreSQL 15, appendix A). */
const AWAY = new Set([
  '57P01',
  '57P02',
  '57P03',
  '08000',
  '08001',
  '08003',
  '08006',
  '53300',
  'ECONNREFUSED',
  'ECONNRESET',
  'ETIMEDOUT',
  'EPIPE',
])
const FULL = new Set(['53100', 'ENOSPC'])

const codeOf = (error: unknown) => (error as { code?: unknown } | null)?.code

/**
 * What is the matter where the database itself cannot: it is away, it has its hands full, its disk is full.
 * @returns a refusal with what to do; undefined where the trouble is another
 */
export function troubleOf(error: unknown): FikaError | undefined {
  const code = codeOf(error)
  const message = error instanceof Error ? error.message : ''
  if (typeof code === 'string' && FULL.has(code))
    return new FikaError(
      'Busy',
      'The disk is full, and nothing was changed. Make room on the machine Fika runs on, then try again.',
    )
  if (message.startsWith('timeout exceeded when trying to connect'))
    return new FikaError('Busy', 'Fika is busy just now, and changed nothing. Wait a moment, then try again.')
  if ((typeof code === 'string' && AWAY.has(code)) || message.startsWith('Connection terminated'))
    return new FikaError(
      'Busy',
      'The database does not answer just now, and nothing was changed. Wait a moment, then try again.',
    )
  return undefined
}
