'use client'

import { useSyncExternalStore } from 'react'

/** A paint or bottle that is carried between stations. */
export interface TrayItem {
  readonly kind: 'paint' | 'bottle'
  readonly id: string
  readonly label: string
  readonly hex: string | null
  readonly sheen: string
}

const MOST = 12
const NONE: readonly TrayItem[] = []
const listeners = new Set<() => void>()
let key = ''
let items: readonly TrayItem[] = NONE

/** Opens the tray of a studio; each studio has its own, kept on this device. */
export function openTray(studioId: string): void {
  const wanted = `fika-tray-${studioId}`
  if (key === wanted) return
  key = wanted
  try {
    items = JSON.parse(localStorage.getItem(key) ?? '[]') as TrayItem[]
  } catch {
    items = NONE
  }
  listeners.forEach((l) => l())
}

function set(next: readonly TrayItem[]): void {
  items = next
  if (key) localStorage.setItem(key, JSON.stringify(items))
  listeners.forEach((l) => l())
}

/** Puts something on the tray, or takes it off when it is there. The oldest makes room. */
export function toggleOnTray(item: TrayItem): void {
  const there = items.some((i) => i.id === item.id)
  set(there ? items.filter((i) => i.id !== item.id) : [...items, item].slice(-MOST))
}

export const clearTray = () => set(NONE)

/** The tray's items, newest last. */
export function useTray(): readonly TrayItem[] {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => items,
    () => NONE,
  )
}

/** Shows on every tray button of the page whether its thing is on the tray; for whoever draws buttons later. */
export function drawMarks(): void {
  const on = new Set(items.map((i) => i.id))
  document.querySelectorAll('[data-tray]').forEach((mark) => {
    const id = (JSON.parse(mark.getAttribute('data-tray')!) as { id: string }).id
    mark.setAttribute('aria-pressed', String(on.has(id)))
  })
}
