'use client'

import { createCache, extractStyle, StyleProvider } from '@ant-design/cssinjs'
import { useServerInsertedHTML } from 'next/navigation'
import { useState, type ReactNode } from 'react'

type Cache = ReturnType<typeof createCache>
type Entry = ReturnType<Cache['opGet']>

/**
 * Variables of the themes as they were first worked out, by their keys. They hang on the theme alone and are the same for
 * everybody; working them out for every page that is served took a third of its time.
 */
const known = new Map<string, Entry>()

/** A cache that holds what one page uses, and takes what is known already from there. */
function lent(): Cache {
  const own = createCache()
  const update = own.opUpdate.bind(own)
  own.opUpdate = (key, make) => {
    update(key, (before) => make(before ?? known.get(key)!))
    if (!known.has(key)) known.set(key, own.opGet(key))
  }
  return own
}

/** Ant Design's variables of what a page shows, sent with it before anything is drawn. */
export function StyleRegistry({ children }: { children: ReactNode }) {
  const [cache] = useState(() => (typeof window === 'undefined' ? lent() : createCache()))
  useServerInsertedHTML(() => {
    const css = extractStyle(cache, { plain: true, once: true })
    if (css.includes('.data-ant-cssinjs-cache-path{content:"";}')) return null
    return (
      <style
        id="antd-cssinjs"
        data-rc-order="prepend"
        data-rc-priority="-1000"
        dangerouslySetInnerHTML={{ __html: css }}
      />
    )
  })
  return <StyleProvider cache={cache}>{children}</StyleProvider>
}
