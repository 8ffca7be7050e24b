import '@fontsource-variable/atkinson-hyperlegible-next'
import 'antd/dist/antd.css'
import './globals.css'
import './words.css'
import { AntdRegistry } from '@ant-design/nextjs-registry'
import type { Metadata } from 'next'
import type { ReactNode } from 'react'
import { Providers } from '@/ui/frame/Providers'
import { VARIABLES } from '@/ui/frame/theme'
import { SheenDefs } from '@/ui/pictures/SheenDefs'

export const metadata: Metadata = {
  title: { default: 'Fika', template: '%s · Fika' },
  description: 'Paints, bottles, pours and results of a fluid acrylic pour studio.',
}

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <head>
        <style>{VARIABLES}</style>
      </head>
      <body>
        <AntdRegistry>
          <Providers>
            <SheenDefs />
            {children}
          </Providers>
        </AntdRegistry>
      </body>
    </html>
  )
}
