'use client'

import { Button, Input } from 'antd'
import { useState } from 'react'
import { QrCode } from '@/ui/pictures/QrCode'
import styles from './frame.module.css'

/** A link to hand on: as a code to be held before a camera, and as text to be copied. It is told this once. */
export function LinkToGive({ link, label }: { link: string; label: string }) {
  const [copied, setCopied] = useState(false)
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(link)
      setCopied(true)
    } catch {
      // Not allowed here: the text stands marked, to be copied by hand.
      document.querySelector<HTMLInputElement>('[data-link]')?.select()
    }
  }
  return (
    <div className={styles.link} role="group" aria-label={label}>
      <QrCode text={link} label={`${label}, as a code`} />
      <div>
        <p>
          <b>This is shown once.</b> Let it be read from the screen, or copy it and send it the way you write to each
          other.
        </p>
        {/^https?:\/\/(127\.|localhost|\[::1\])/.test(link) ? (
          <p className="muted">
            It opens on this machine alone. For other devices of the house start Fika with{' '}
            <code>npm start -- --lan</code>, then make it again.
          </p>
        ) : null}
        <Input
          readOnly
          data-link=""
          size="large"
          aria-label={label}
          value={link}
          onFocus={(e) => e.currentTarget.select()}
        />
        <Button size="large" className="under" onClick={copy}>
          {copied ? 'Copied' : 'Copy it'}
        </Button>
      </div>
    </div>
  )
}
