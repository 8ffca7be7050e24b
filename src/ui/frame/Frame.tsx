'use client'

import { Link } from './Link'
import { usePathname, useRouter } from 'next/navigation'
import { Modal } from 'antd'
import { useEffect, useState, type ReactNode } from 'react'
import type { Role } from '@/core/people/roles'
import { Away } from './Away'
import { KEYS } from './keys'
import { OneStudio } from './OneStudio'
import { stationOf, STATIONS } from './stationList'
import { toggleOnTray, type TrayItem } from './tray'
import { TrayBar } from './TrayBar'
import { RefreshHere } from '@/ui/hooks/useRefresh'
import { useCards } from '@/ui/hooks/useCards'
import { useTopOfPage } from '@/ui/hooks/useTopOfPage'
import styles from './frame.module.css'

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))

function trayOf(element: Element | null): TrayItem | undefined {
  const text = element?.getAttribute('data-tray')
  return text ? (JSON.parse(text) as TrayItem) : undefined
}

/** The room around every station: the station bar in the order of work, the tray, and the keys. */
export function Frame({
  studio,
  person,
  role,
  children,
  signOut,
}: {
  studio: { id: string; name: string }
  person: string
  role: Role
  children: ReactNode
  signOut: () => Promise<void>
}) {
  const path = usePathname()
  const router = useRouter()
  const [help, setHelp] = useState(false)
  useTopOfPage(path)
  useCards()

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.ctrlKey || e.metaKey || e.altKey || isTyping(e.target)) return
      const station = /^[1-9]$/.test(e.key) ? STATIONS[Number(e.key) - 1] : undefined
      if (station) router.push(station.path)
      else if (e.key === '/')
        document.querySelector<HTMLElement>('[data-key="search"] input, input[data-key="search"]')?.focus()
      else if (e.key === 'n') document.querySelector<HTMLElement>('[data-key="n"]')?.click()
      else if (e.key === '?') setHelp(true)
      else if (e.key === 't') {
        const card = document.activeElement?.closest('[data-card]')
        const item = trayOf(card?.querySelector('[data-tray]') ?? null)
        if (item) toggleOnTray(item)
        else document.querySelector<HTMLElement>('[data-key="tray"] a, [data-key="tray"] button')?.focus()
      } else return
      e.preventDefault()
    }
    const onClick = (e: MouseEvent) => {
      const item = e.target instanceof Element ? trayOf(e.target.closest('[data-tray]')) : undefined
      if (item) {
        e.preventDefault()
        toggleOnTray(item)
      }
    }
    document.addEventListener('keydown', onKey)
    document.addEventListener('click', onClick)
    return () => {
      document.removeEventListener('keydown', onKey)
      document.removeEventListener('click', onClick)
    }
  }, [router])

  return (
    <RefreshHere>
      <div className={stationOf(path)?.dark ? `${styles.frame} frame-dark` : styles.frame}>
        <a href="#main" className={styles.skip}>
          Skip to the station
        </a>
        <header className={styles.bar}>
          <nav aria-label="Stations">
            {STATIONS.map((s, i) => (
              <Link
                key={s.path}
                href={s.path}
                className={styles.station}
                aria-current={path.startsWith(s.path) ? 'page' : undefined}
              >
                <svg
                  width="24"
                  height="24"
                  viewBox="0 0 24 24"
                  fill="none"
                  stroke="currentColor"
                  strokeWidth="1.6"
                  strokeLinejoin="round"
                  aria-hidden="true"
                >
                  <path d={s.icon} />
                </svg>
                <span>{s.name}</span>
                <kbd aria-hidden="true">{i + 1}</kbd>
              </Link>
            ))}
          </nav>
          <div className={styles.who}>
            <Link
              href="/studio"
              className={styles.whoStudio}
              title={`${studio.name}: house rules, room, people, keeping`}
            >
              {studio.name}
            </Link>
            <span className={styles.whoPerson}>
              <Link href="/account" className={styles.whoName}>
                {person}
              </Link>{' '}
              ·{' '}
              <button type="button" className="plain" onClick={() => signOut()}>
                Sign out
              </button>
              <span className={styles.forKeys}>
                {' '}
                ·{' '}
                <button type="button" className="plain" onClick={() => setHelp(true)} aria-label="Keys">
                  Keys
                </button>
              </span>
            </span>
          </div>
        </header>
        {role === 'visitor' ? (
          <p className={styles.visitor} role="note">
            You look on here as a visitor: everything can be seen, and nothing changed.
          </p>
        ) : null}
        <main id="main" tabIndex={-1}>
          {children}
        </main>
        <Away />
        <OneStudio id={studio.id} />
        <TrayBar studioId={studio.id} />
        <Modal title="Keys" open={help} onCancel={() => setHelp(false)} footer={null} destroyOnHidden>
          <dl className={styles.keys}>
            {KEYS.map(([key, what]) => (
              <div key={key}>
                <dt>
                  <kbd>{key}</kbd>
                </dt>
                <dd>{what}</dd>
              </div>
            ))}
          </dl>
        </Modal>
      </div>
    </RefreshHere>
  )
}
