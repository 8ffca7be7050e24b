import { existsSync } from 'node:fs'
import { chromium, type Browser } from '@playwright/test'

const SHELL = '/usr/bin/chromium-headless-shell'

/** Debian's Chromium, quiet and headless: where it is there, the one without windows, which draws the same for less. */
export const CHROMIUM = {
  executablePath: existsSync(SHELL) ? SHELL : '/usr/bin/chromium',
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
