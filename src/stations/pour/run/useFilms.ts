'use client'

import { useEffect, useState } from 'react'
import type { DriedFilm } from '@/core/learning/crackRisk'

/** The studio's own films, asked for once it comes to what stayed; none where Fika is away, undefined until it has answered. */
export function useFilms(runId: string): readonly DriedFilm[] | undefined {
  const [films, setFilms] = useState<readonly DriedFilm[]>()
  useEffect(() => {
    let alive = true
    fetch(`/pour/run/${runId}/films`)
      .then((r) => (r.ok ? (r.json() as Promise<DriedFilm[]>) : []))
      .catch(() => [])
      .then((read) => alive && setFilms(read))
    return () => {
      alive = false
    }
  }, [runId])
  return films
}
