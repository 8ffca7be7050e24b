'use client'

import { Modal } from 'antd'
import { useEffect, useRef, useState } from 'react'
import { Notice } from '@/ui/frame/Notice'
import { bottlePath, codeIn, NOT_OURS } from './readQr'
import styles from './rack.module.css'

/** Longest side in which a frame is looked at, px, the pause between two, and the time one may take, ms. */
const SIDE = 720
const PAUSE_MS = 150
const LOOK_MS = 120

const WHY: Readonly<Record<string, string>> = {
  NotAllowedError: 'The camera may not be used here. Allow it for Fika in the browser, or take a picture instead.',
  NotFoundError: 'No camera was found on this device. Take a picture instead, or type the code.',
  NotReadableError: 'Another program uses the camera. Close it, then try again.',
}
const NOT_SECURE =
  'A browser gives its camera to a secure page alone. Open Fika by its https address (npm start -- --lan), or take a picture instead.'

/** Reads the label of a bottle live from the camera. Nothing leaves the device. */
export function LiveCode({ found }: { found: (path: string) => void }) {
  const [open, setOpen] = useState(false)
  return (
    <>
      <button type="button" className="go second" onClick={() => setOpen(true)}>
        Scan
      </button>
      <Modal
        open={open}
        title="Hold the label before the camera"
        footer={null}
        onCancel={() => setOpen(false)}
        destroyOnHidden
      >
        <Camera
          found={(path) => {
            setOpen(false)
            found(path)
          }}
        />
      </Modal>
    </>
  )
}

function Camera({ found }: { found: (path: string) => void }) {
  const video = useRef<HTMLVideoElement>(null)
  const [trouble, setTrouble] = useState('')
  const tell = useRef(found)
  useEffect(() => {
    tell.current = found
  })
  useEffect(() => {
    let over = false
    let stream: MediaStream | undefined
    let timer: ReturnType<typeof setTimeout>
    const look = () => {
      const seen = video.current
      if (over || !seen) return
      const text = seen.videoWidth ? codeIn(frameOf(seen), LOOK_MS) : undefined
      const path = text === undefined ? undefined : bottlePath(text)
      if (path) return tell.current(path)
      if (text !== undefined) setTrouble(NOT_OURS)
      timer = setTimeout(look, PAUSE_MS)
    }
    const start = async () => {
      if (!window.isSecureContext || !navigator.mediaDevices) return setTrouble(NOT_SECURE)
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } })
        if (over) return stop()
        video.current!.srcObject = stream
        await video.current!.play()
        look()
      } catch (error) {
        if (!over) setTrouble(WHY[(error as Error).name] ?? 'The camera does not start. Take a picture instead.')
      }
    }
    const stop = () => stream?.getTracks().forEach((t) => t.stop())
    void start()
    return () => {
      over = true
      clearTimeout(timer)
      stop()
    }
  }, [])
  return (
    <>
      <video ref={video} className={styles.live} muted playsInline aria-label="What the camera sees" />
      {trouble ? <Notice kind="warning">{trouble}</Notice> : null}
    </>
  )
}

/** One frame, no larger than it is looked at. */
function frameOf(video: HTMLVideoElement): ImageData {
  const scale = Math.min(1, SIDE / Math.max(video.videoWidth, video.videoHeight))
  const [width, height] = [Math.round(video.videoWidth * scale), Math.round(video.videoHeight * scale)]
  const context = new OffscreenCanvas(width, height).getContext('2d')!
  context.drawImage(video, 0, 0, width, height)
  return context.getImageData(0, 0, width, height)
}
