'use client'

import { Input } from 'antd'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { useSend } from '@/ui/hooks/useSend'
import { findByCodeAction } from './actions'
import { LiveCode } from './LiveCode'
import { readQr } from './readQr'
import styles from './rack.module.css'

/** Opens a bottle by the short code on its label, or by a picture of it taken with a camera. */
export function FindByCode() {
  const [code, setCode] = useState('')
  const [trouble, setTrouble] = useState<string>()
  const { send, pending, refusal } = useSend<{ id: string }>({ quiet: true })
  const router = useRouter()
  const open = () => {
    setTrouble(undefined)
    if (code.trim())
      send(
        () => findByCodeAction({ code }),
        ({ id }) => router.push(`/rack/${id}`),
      )
  }
  const scan = async (file: File | undefined) => {
    if (!file) return
    setTrouble(undefined)
    const said = await readQr(file)
    if ('path' in said) router.push(said.path)
    else setTrouble(said.trouble)
  }
  return (
    <span className={styles.findCode}>
      <Input
        value={code}
        aria-label="Code on the label"
        placeholder="Code on the label"
        className="w190"
        disabled={pending}
        onChange={(e) => setCode(e.target.value)}
        onPressEnter={open}
        autoComplete="off"
      />
      <LiveCode found={(path) => router.push(path)} />
      <label className="go second">
        A picture
        <input
          type="file"
          accept="image/*"
          capture="environment"
          className="visually-hidden"
          aria-label="Picture of a label"
          onChange={(e) => {
            void scan(e.target.files?.[0])
            e.target.value = ''
          }}
        />
      </label>
      {trouble || refusal ? (
        <small role="alert" className={styles.findTrouble}>
          {trouble ?? refusal?.message}
        </small>
      ) : null}
    </span>
  )
}
