'use client'

import { Button } from 'antd'
import { useRouter } from 'next/navigation'
import { useRef, useState } from 'react'
import type { Answer } from '@/core/answer'
import type { Backups } from '@/db/everything/backups'
import { Notice } from '@/ui/frame/Notice'
import { useSend } from '@/ui/hooks/useSend'
import { ago, dayAndTime } from '@/ui/tables/dates'
import { StudioNav } from '../StudioNav'
import { backUpNowAction } from './actions'
import { ladderOf } from './ladder'
import styles from './keeping.module.css'

const sizeText = (bytes: number) =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB`

/** How nothing is lost: back-ups with their age, and the studio taken out or brought in as one file. */
export function Keeping({
  backups,
  now,
  zone,
  decides,
}: {
  backups: Backups
  now: string
  zone: string
  decides: boolean
}) {
  return (
    <>
      <div className="head">
        <h1>
          Keeping <span className="sub">so that nothing is lost</span>
        </h1>
      </div>
      <StudioNav here="/studio/keeping" />
      <div className="wide-left">
        <BackupsPanel backups={backups} now={new Date(now)} zone={zone} decides={decides} />
        <div className="grid">
          {decides ? <TakeOut /> : null}
          <BringIn />
        </div>
      </div>
    </>
  )
}

function BackupsPanel({
  backups,
  now,
  zone,
  decides,
}: {
  backups: Backups
  now: Date
  zone: string
  decides: boolean
}) {
  const { send, pending, refusal } = useSend<null>()
  const newest = backups.kept[0]
  const old = newest ? now.getTime() - new Date(newest.at).getTime() > 2 * 86_400_000 : true
  return (
    <section className="panel" aria-label="Back-ups">
      <h2>Back-ups</h2>
      {newest ? (
        <>
          <p className={styles.age}>
            <b>{ago(newest.at, now)}</b>
            <span>
              {dayAndTime(newest.at, zone)}, {sizeText(newest.bytes)}
              {newest.provedAt ? ', proved: restored beside, it held the same' : ', not proved'}
            </span>
          </p>
          <Ladder backups={backups} now={now} zone={zone} />
        </>
      ) : (
        <p className="said">
          None yet. They are made every night while Fika is started by <code>npm start</code>, without anybody having to
          think of it.
        </p>
      )}
      {backups.trouble ? <Notice kind="warning">The last one went wrong. {backups.trouble}</Notice> : null}
      {newest && old && !backups.trouble ? (
        <Notice kind="warning">The newest is more than two days old. Leave Fika running, or make one now.</Notice>
      ) : null}
      {decides ? (
        <div className="row below">
          <Button
            size="large"
            loading={pending}
            disabled={backups.wished}
            onClick={() => send(() => backUpNowAction(), undefined, 'It is made within the minute')}
          >
            {backups.wished ? 'One is being made' : 'Make one now'}
          </Button>
        </div>
      ) : null}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
      <p className="muted below">
        Kept are the newest of seven days, four weeks and twelve months, in the folder <code>backups</code> beside the
        data, or where <code>FIKA_BACKUPS</code> says; a folder on another disk is best. Each is restored beside the
        database and compared, row by row, before it counts. To bring one back, end Fika and run{' '}
        <code>npm run restore -- that file</code>.
      </p>
    </section>
  )
}

/** The places a back-up is kept for, filled where there is one. */
function Ladder({ backups, now, zone }: { backups: Backups; now: Date; zone: string }) {
  return (
    <dl className={styles.ladder}>
      {ladderOf(
        backups.kept.map((b) => b.at),
        now,
      ).map(({ name, places }) => (
        <div key={name}>
          <dt>{name}</dt>
          <dd>
            {places.map((at, i) => (
              <span
                key={i}
                data-kept={at ? '' : undefined}
                title={at ? dayAndTime(at, zone) : 'none'}
                role="img"
                aria-label={at ? dayAndTime(at, zone) : 'none'}
              />
            ))}
          </dd>
        </div>
      ))}
    </dl>
  )
}

function TakeOut() {
  return (
    <section className="panel" aria-label="Take everything out">
      <h2>Take everything out</h2>
      <p>
        One file with all of this studio: every table as a list for a spreadsheet and as JSON, every photo, and the sum
        of each, so that it can be seen that nothing is missing. Of people only their names are in it.
      </p>
      <a className="go" href="/studio/keeping/everything" download>
        Take everything out
      </a>
    </section>
  )
}

function BringIn() {
  const file = useRef<HTMLInputElement>(null)
  const [done, setDone] = useState('')
  const { send, pending, refusal } = useSend<string>()
  const router = useRouter()
  return (
    <section className="panel" aria-label="Bring a studio in">
      <h2>Bring a studio in</h2>
      <p>
        Such a file becomes a studio of its own, with you as its owner; the one that is open stays as it is. It comes in
        whole or not at all.
      </p>
      <input
        ref={file}
        type="file"
        accept=".zip,application/zip"
        aria-label="File of a studio"
        className="visually-hidden"
        tabIndex={-1}
        onChange={(e) => {
          const chosen = e.target.files?.[0]
          e.target.value = ''
          if (!chosen) return
          send(
            async () => {
              const said = await fetch('/studio/keeping/bring-in', {
                method: 'POST',
                headers: { 'Content-Type': 'application/zip' },
                body: chosen,
              })
              const text = await said.text()
              try {
                return JSON.parse(text) as Answer<string>
              } catch {
                return { ok: false, code: 'Unexpected', message: text || 'Fika did not answer. Try again in a moment.' }
              }
            },
            (name) => {
              setDone(name)
              router.push('/rack')
            },
          )
        }}
      />
      <Button size="large" loading={pending} onClick={() => file.current?.click()}>
        Choose the file
      </Button>
      {done ? <Notice kind="done">{done} came in, and is open now.</Notice> : null}
      {refusal ? <Notice kind="warning">{refusal.message}</Notice> : null}
    </section>
  )
}
