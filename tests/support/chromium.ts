import { chromium, type Browser } from '@playwright/test'

/** Debian's Chromium, quiet and headless. */
export const CHROMIUM = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
} as const

export const launch = (): Promise<Browser> =>
  chromium.launch({ executablePath: CHROMIUM.executablePath, args: [...CHROMIUM.args] })
