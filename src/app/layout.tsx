import '@fontsource-variable/atkinson-hyperlegible-next'
import 'antd/dist/antd.css'
import './globals.css'
import './words.css'
import { StyleRegistry } from '@/ui/frame/StyleRegistry'
import type { Metadata, Viewport } from 'next'
import { connection } from 'next/server'
import type { ReactNode } from 'react'
import { Providers } from '@/ui/frame/Providers'
import { VARIABLES } from '@/ui/frame/theme'
import { SheenDefs } from '@/ui/pictures/SheenDefs'

export const metadata: Metadata = {
  title: { default: 'Fika', template: '%s · Fika' },
  description: 'Paints, bottles, pours and results of a fluid acrylic pour studio.',
}

export const viewport: Viewport = {
  width: 'device-width',
  initialScale: 1,
  // Up to the edges of a phone; what lies at its foot keeps clear of them by itself.
  viewportFit: 'cover',
  themeColor: '#f5f5f5',
}

/** Every page is made when it is asked for: a page made at the build could not bear the nonce its scripts need. */
export default async function RootLayout({ children }: { children: ReactNode }) {
  await connection()
  return (
    <html lang="en">
      <head>
        <style>{VARIABLES}</style>
      </head>
      <body>
        <StyleRegistry>
          <Providers>
            <SheenDefs />
            {children}
          </Providers>
        </StyleRegistry>
      </body>
    </html>
  )
}
