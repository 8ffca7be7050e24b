import { notFound } from 'next/navigation'
import { FikaError } from '@/core/errors'

/** For pages: what is not in this studio is the not-found page; every other error passes. */
export function orNotFound(error: unknown): never {
  if (error instanceof FikaError && error.code === 'NotFound') notFound()
  throw error
}
