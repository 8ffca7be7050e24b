'use client'

import { Button as AntButton, Checkbox as AntCheckbox, Input as AntInput, Select as AntSelect } from 'antd'
import isEqual from 'fast-deep-equal/es6/react'
import { memo, useRef, useState, type ComponentType } from 'react'
import { useBrowserLayoutEffect } from '../hooks/useBrowserLayoutEffect'

type Handler = (...args: unknown[]) => unknown

/** How what was shown is compared with what is to be: by what it says, or only by whether it is the same object. */
export type Sameness = 'by value' | 'by object'

/**
 * The same control or panel, drawn again only when something of it that is seen has changed: its functions (`onChange`,
 * `change` …) are new at every drawing of a screen, and always called as the latest drawing gave them. For screens that
 * hold many controls of which a key changes one. Not for functions whose answer is drawn.
 */
export function still<T extends ComponentType<never>>(control: T, sameness: Sameness = 'by value'): T {
  const Drawn = memo(control as ComponentType<Record<string, unknown>>, sameness === 'by value' ? isEqual : undefined)
  function Still(props: Record<string, unknown>) {
    const latest = useRef(props)
    useBrowserLayoutEffect(() => {
      latest.current = props
    })
    const [calls] = useState(() => new Map<string, Handler>())
    const given = Object.fromEntries(
      Object.entries(props).map(([name, value]) => {
        if (typeof value !== 'function') return [name, value]
        let call = calls.get(name)
        if (!call) calls.set(name, (call = (...args) => (latest.current[name] as Handler | undefined)?.(...args)))
        return [name, call]
      }),
    )
    return <Drawn {...given} />
  }
  return Still as unknown as T
}

export const Button = still(AntButton)
export const Checkbox = still(AntCheckbox)
export const Select = still(AntSelect)
export const TextArea = still(AntInput.TextArea)
const StillInput = still(AntInput)
export { StillInput as Input }
