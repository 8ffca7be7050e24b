'use client'

import { App, ConfigProvider } from 'antd'
import type { ReactNode } from 'react'
import { benchTheme, theme } from './theme'

/** Ant Design in Fika's theme, for the whole app. */
export function Providers({ children }: { children: ReactNode }) {
  return (
    <ConfigProvider theme={theme} wave={{ disabled: true }}>
      <App component={false}>{children}</App>
    </ConfigProvider>
  )
}

/** The bench's darker controls. */
export function BenchProviders({ children }: { children: ReactNode }) {
  return <ConfigProvider theme={benchTheme}>{children}</ConfigProvider>
}
