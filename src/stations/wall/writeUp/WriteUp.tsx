'use client'

import { App, Button } from 'antd'
import { Link } from '@/ui/frame/Link'
import { PiecePicture, type Pictured } from '../PiecePicture'
import styles from '../piece/piece.module.css'

/** How a piece was made, to copy, or to print as a page or a wall label. */
export function WriteUp({ piece, text }: { piece: Pictured; text: string }) {
  const { message } = App.useApp()
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(text)
      void message.success('Copied')
    } catch {
      void message.warning('This browser does not let Fika copy. Select the text, and copy it yourself.')
    }
  }
  return (
    <>
      <div className="head">
        <h1>
          {piece.title} <span className="sub">write-up</span>
        </h1>
        <Button type="primary" size="large" onClick={copy}>
          Copy the text
        </Button>
        <a className="go second" href={`/wall/${piece.id}/page.pdf`} target="_blank" rel="noreferrer">
          As a page
        </a>
        <a className="go second" href={`/wall/${piece.id}/label.pdf`} target="_blank" rel="noreferrer">
          As a wall label
        </a>
        <Link className="go second" href={`/wall/${piece.id}`}>
          To the piece
        </Link>
      </div>
      <div className="two">
        <div className={styles.frame}>
          <PiecePicture piece={piece} />
        </div>
        <section className="panel" aria-label="Write-up">
          <pre data-testid="write-up" className={styles.text}>
            {text}
          </pre>
          <p className="muted fine">Nothing stands here that the books do not know.</p>
        </section>
      </div>
    </>
  )
}
