import { findSession } from '@/db/people/sessions'
import { tokenIn } from '@/session/seal'
import { serve, type At, type Front } from './serve'
import type { RequestListener } from 'node:http'

/** Whether a Cookie header bears a session that stands. */
async function isKnown(cookies: string): Promise<boolean> {
  const token = await tokenIn(cookies)
  return token !== undefined && (await findSession(token)) !== undefined
}

/** Puts the front before the app, as configured by the environment. */
export const runFront = (app: RequestListener, at: At): Promise<Front> => serve(app, isKnown, at, process.env)
