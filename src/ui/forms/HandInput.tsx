'use client'

import { Input, type InputProps } from 'antd'

/** A large field on a screen with one key for the hand: Enter takes what was typed and gives the key back to the hand. */
export function HandInput({ onEnter, ...props }: Omit<InputProps, 'onPressEnter'> & { onEnter: () => void }) {
  return (
    <Input
      size="large"
      {...props}
      onPressEnter={(e) => {
        onEnter()
        e.currentTarget.blur()
      }}
    />
  )
}
