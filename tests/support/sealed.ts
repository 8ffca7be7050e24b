import { sealData } from 'iron-session'

/** A session, sealed as the app seals it. */
export const sealed = (token: string): Promise<string> =>
  sealData({ token }, { password: process.env.FIKA_COOKIE_SECRET! })
