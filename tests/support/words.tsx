import { App } from 'antd'
import type { ReactNode } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'

/** Markup of a component that says things in Ant Design's own places. */
export const html = (node: ReactNode) => renderToStaticMarkup(<App>{node}</App>)

/** Words of a component or a picture, as they are read. */
export const words = (node: ReactNode) =>
  html(node)
    .replace(/<(style|title)[^>]*>.*?<\/\1>/gs, '')
    .replace(/<[^>]+>/g, ' ')
    .replace(/&#x27;/g, '’')
    .replace(/&amp;/g, '&')
    .replace(/\s+/g, ' ')
